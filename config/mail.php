<?php

declare(strict_types=1);

// The post. Without a host named in .env, letters go to the simulated world's; with real hosts and none named, they are only kept, where
// they can be read.
$named = (string) env('ACRE_SMTP_HOST', '');
$isSimulated = $named === '' && env('ACRE_WORLD', 'off') === 'on';

return [
    'default' => $named === '' && ! $isSimulated ? 'letterbox' : 'listed',
    'mailers' => [
        'letterbox' => ['transport' => 'array'],
        'listed' => [
            'transport' => 'listed',
            'host' => $isSimulated ? 'post.example' : explode('=', $named)[0],
            'port' => (int) env('ACRE_SMTP_PORT', $isSimulated ? 465 : 587),
            'user' => env('ACRE_SMTP_USER'),
            'password' => env('ACRE_SMTP_PASSWORD'),
            'seconds' => 20.0,
        ],
    ],
    'from' => [
        'address' => env('ACRE_MAIL_FROM', $isSimulated ? 'desk@harrow-tern.example' : 'acre-roll@localhost'),
        'name' => 'Acre Roll',
    ],
    // To which mailbox undelivered letters come back, and where it is fetched by POP3.
    'returns' => [
        'address' => env('ACRE_RETURNS', $isSimulated ? 'returns@harrow-tern.example' : null),
        'host' => $isSimulated ? 'mailboxes.example' : explode('=', (string) env('ACRE_RETURNS_HOST', ''))[0],
        'user' => env('ACRE_RETURNS_USER', $isSimulated ? 'returns@harrow-tern.example' : ''),
        'password' => env('ACRE_RETURNS_PASSWORD', $isSimulated ? 'what comes back' : ''),
    ],
];
