<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'database'),
    'lifetime' => 240,
    'expire_on_close' => false,
    'encrypt' => true,
    'connection' => null,
    'table' => 'sessions',
    'cookie' => 'acre_session',
    'path' => '/',
    'secure' => env('SESSION_SECURE', false),
    'http_only' => true,
    'same_site' => 'lax',
];
