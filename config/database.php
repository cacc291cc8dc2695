<?php

declare(strict_types=1);

$connection = fn (string $user, string $password): array => [
    'driver' => 'pgsql',
    'host' => '127.0.0.1',
    'port' => env('ACRE_DB_PORT', '8425'),
    'database' => env('DB_DATABASE', 'acre'),
    'username' => $user,
    'password' => env($password),
    'charset' => 'utf8',
    'timezone' => 'UTC',
    'search_path' => 'public',
    'sslmode' => 'disable',
];

return [
    'default' => 'pgsql',
    'connections' => [
        // What the application runs as: owns nothing, and may only add to log and proofs.
        'pgsql' => $connection('acre_app', 'DB_PASSWORD'),
        // What migrates, and resets the demo.
        'owner' => $connection('acre_owner', 'DB_OWNER_PASSWORD'),
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
