<?php

declare(strict_types=1);

use App\Support\WithoutValues;
use Monolog\Handler\NullHandler;

// One file a day, two weeks of them, for the house alone to read. What a statement was given never stands there.
return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'deprecations' => ['channel' => 'null', 'trace' => false],
    'channels' => [
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/acre.log'),
            'level' => 'info',
            'days' => 14,
            'permission' => 0600,
            'replace_placeholders' => true,
            'tap' => [WithoutValues::class],
        ],
        'null' => ['driver' => 'monolog', 'handler' => NullHandler::class],
        'emergency' => ['path' => storage_path('logs/acre.log')],
    ],
];
