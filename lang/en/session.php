<?php

declare(strict_types=1);

return [
    'unknown' => 'No one signs in with this mailbox and this password. Check both; after five tries you must wait a minute.',
    'code_wrong' => 'This code is not the one of now, or was used already. Wait for the next one, and see that both clocks are right.',
    'waited' => 'That took too long. Sign in again.',
    'password_wrong' => 'This is not your password.',
];
