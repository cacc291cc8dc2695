<?php

declare(strict_types=1);

return [
    'unknown' => 'No one signs in with this mailbox and this password. Check both; after five tries you must wait a minute.',
];
