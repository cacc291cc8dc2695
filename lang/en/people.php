<?php

declare(strict_types=1);

return [
    'last_owner' => 'This is the last Owner who may sign in: make another one first.',
    'second_off' => ':who signs in with the password alone until they set up a second factor again.',
    'invited' => ':who is invited by letter, and sets their own password.',
    'letter' => [
        'invitation' => ['subject' => 'You may sign in to :house', 'body' => "Good day :name,\n\nyou may sign in to the domain names of :house. Set your own password here:\n\n:link\n\nThe link is good once, for a week, and for you alone; please don’t pass it on.\n\nIf you did not expect this, ask whoever runs the house."],
        'password' => ['subject' => 'Set a new password for :house', 'body' => "Good day :name,\n\nsomebody, most likely you, has said that the password for :house was forgotten. Set a new one here:\n\n:link\n\nThe link is good once, for an hour, and for you alone. If you have a second factor, it is asked for as before.\n\nIf you did not ask for this, do nothing: your password stays as it is."],
        'way_in' => [
            'subject' => ['password' => 'Your password for :house was set', 'second_on' => 'A second factor for :house was set up', 'second_off' => 'Your second factor for :house was taken off', 'mailbox' => 'Your mailbox for :house was changed'],
            'what' => ['password' => 'your password for :house was set anew', 'second_on' => 'a second factor was set up for you at :house', 'second_off' => 'your second factor at :house was taken off: the password alone lets you in', 'mailbox' => 'you sign in to :house with :mailbox from now on'],
            'body' => "Good day :name,\n\n:what.\n\nIf you know of this, there is nothing to do. If you don’t, tell whoever runs the house at once: somebody else may be signing in as you.",
        ],
    ],
    'right' => [
        'look' => 'See whatever the house keeps, and take it away as a list',
        'prepare' => 'Bring names in, gather them, write down :served_many, accounts, terms and notes, and prepare a deed',
        'settle' => 'Settle a deed, and tick off what was done outside',
        'run' => 'Say who may sign in, set the house’s settings, read the log',
    ],
];
