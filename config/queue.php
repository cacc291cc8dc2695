<?php

declare(strict_types=1);

// Jobs stand in PostgreSQL, and so do those that failed. A lease is longer than the longest job may take: what a worker died with
// is sent again long before by whoever sweeps.
return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => [
            'driver' => 'database',
            'connection' => 'pgsql',
            'table' => 'jobs',
            'queue' => 'default',
            'retry_after' => 1_200,
            'after_commit' => false,
        ],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => 'pgsql', 'table' => 'failed_jobs'],
];
