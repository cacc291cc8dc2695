<?php

declare(strict_types=1);

// Settings of the house that are not secrets. Sizes are bytes unless said.
return [
    // Tries to sign in that one person has a minute; an address has six times as many.
    'sign_in_tries' => (int) env('ACRE_SIGN_IN_TRIES', 5),
    // Whether the house sends each registrant, once a year, what is on record: where registrars do, twice is once too often.
    'yearly_letters' => (bool) env('ACRE_YEARLY_LETTERS', false),
    // Where links in letters lead, whatever address a page was asked at.
    'public_address' => rtrim(
        (string) (env('ACRE_PUBLIC_ADDRESS') ?? (env('ACRE_REACHED_AT') ?? env('APP_URL', 'http://127.0.0.1:8420'))),
        '/',
    ),
    'listens' => env('APP_URL', 'http://127.0.0.1:8420'),
    // Addresses, or blocks of them, of whoever passes requests on: only what they say of a visitor is believed.
    'trusted_proxies' => preg_split('/[\s,]+/', (string) env('ACRE_TRUSTED_PROXIES', ''), -1, PREG_SPLIT_NO_EMPTY),
    // The seed of the key that heads of the records are signed with, 64 hexadecimal digits.
    'signing_key' => env('SIGNING_KEY', ''),
    // Apart from the database: a head for each, called as it is.
    'heads' => storage_path('app/heads'),
    'currency' => 'GBP',
    // Files that one person sends a minute.
    'uploads_a_minute' => (int) env('ACRE_UPLOADS_A_MINUTE', 20),
    'upload_limit' => 40 * 1024 * 1024,
    'import_rows' => 200_000,
    'import_chunk' => 500,
    'ask_client_days' => 14,
    'roll_page' => 50,
    // Of the Almanac: about 600 bytes each are held in memory.
    'charges_a_page' => 250_000,
    'selection_limit' => 5_000,
];
