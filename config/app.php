<?php

declare(strict_types=1);

return [
    'name' => 'Acre Roll',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    // Behind TLS the house is reached at another address than the one at which it listens.
    'url' => rtrim((string) (env('ACRE_REACHED_AT') ?? env('APP_URL', 'http://127.0.0.1:8420')), '/'),
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'key' => env('APP_KEY'),
    // What was encrypted with them is read, and written with the one above: ./acre new-key.
    'previous_keys' => array_values(
        array_filter(explode(',', (string) env('APP_PREVIOUS_KEYS', '')), fn (string $key): bool => $key !== ''),
    ),
    'cipher' => 'AES-256-CBC',
];
