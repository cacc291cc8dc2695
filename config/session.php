<?php

declare(strict_types=1);

// A browser keeps a `__Host-` cookie only from this very host, over TLS, for all of it (RFC 6265bis §4.1.3.2).
$isTls = str_starts_with((string) env('ACRE_REACHED_AT', ''), 'https://');

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    'lifetime' => 240,
    'expire_on_close' => false,
    'encrypt' => true,
    'connection' => null,
    'table' => 'sessions',
    'cookie' => ($isTls ? '__Host-' : '').'acre_session',
    'path' => '/',
    'secure' => $isTls,
    'http_only' => true,
    'same_site' => 'lax',
];
