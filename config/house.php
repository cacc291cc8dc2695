<?php

declare(strict_types=1);

// Settings of the house that are not secrets. Sizes are bytes unless said.
return [
    'currency' => 'GBP',
    'upload_limit' => 40 * 1024 * 1024,
    'import_rows' => 200_000,
    'import_chunk' => 500,
    'ask_client_days' => 14,
    'roll_page' => 50,
    'selection_limit' => 5_000,
];
