<?php

declare(strict_types=1);

return [
    'unknown' => 'No one signs in with this mailbox and this password. Check both; after five tries you must wait a minute.',
    'code_wrong' => 'This code is not the one of now, or was used already. Wait for the next one, and see that both clocks are right.',
    'waited' => 'That took too long. Sign in again.',
    'password' => [
        'short' => 'Choose a password of at least :least characters.', 'long' => 'Choose a password of at most :most bytes; more would not be used.',
        'common' => 'This is among the passwords that are tried first, or made of your own name. Choose another: three or four unrelated words are easy to remember.',
        'differ' => 'The two passwords differ. Type the same one twice.', 'note' => 'At least 12 characters; a few unrelated words will do',
    ],
    'asked' => 'If somebody signs in here with that mailbox, a letter with a link is on its way. The link is good for an hour.',
    'changed' => 'Your password is changed, and you are signed out everywhere else.',
    'over' => 'You were signed in for twelve hours. Sign in again.',
    'second_needed' => 'Type the code that your authenticator app shows now, or a recovery code.',
    'begin_code' => 'This is not the code that ./acre start --empty printed.',
    'password_wrong' => 'This is not your password.',
];
