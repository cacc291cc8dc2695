<?php

declare(strict_types=1);

// Without a host named in .env, letters go nowhere but into the letterbox, where they can be read.
return [
    'default' => env('ACRE_SMTP_HOST', '') === '' ? 'letterbox' : 'smtp',
    'mailers' => [
        'letterbox' => ['transport' => 'array'],
        'smtp' => [
            'transport' => 'smtp', 'host' => env('ACRE_SMTP_HOST'), 'port' => env('ACRE_SMTP_PORT', 587), 'username' => env('ACRE_SMTP_USER'), 'password' => env('ACRE_SMTP_PASSWORD'), 'timeout' => 20,
        ],
    ],
    'from' => ['address' => env('ACRE_MAIL_FROM', 'acre-roll@localhost'), 'name' => 'Acre Roll'],
];
