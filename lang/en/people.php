<?php

declare(strict_types=1);

return [
    'last_owner' => 'This is the last Owner who may sign in: make another one first.',
    'second_off' => ':who signs in with the password alone until they set up a second factor again.',
    'right' => [
        'look' => 'See whatever the house keeps, and take it away as a list',
        'prepare' => 'Bring names in, gather them, write down :served_many, accounts, terms and notes, and prepare a deed',
        'settle' => 'Settle a deed, and tick off what was done outside',
        'run' => 'Say who may sign in, set the house’s settings, read the log',
    ],
];
