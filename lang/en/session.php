<?php

declare(strict_types=1);

return [
    'unknown' => 'Mailbox and password do not match. Check both; after five attempts you must wait a minute.',
    'code_wrong' => 'This code is not current, or was already used. Wait for the next one, and check that both clocks are right.',
    'waited' => 'That took too long. Sign in again.',
    'password' => [
        'short' => 'Choose a password of at least :least characters.',
        'long' => 'Choose a password of at most :most bytes.',
        'common' => 'This password is too common, or contains your name. Choose another: three or four unrelated words are easy to '
            .'remember.',
        'differ' => 'The two passwords differ. Enter the same one twice.',
        'note' => 'At least 12 characters; a few unrelated words are fine',
    ],
    'asked' => 'If somebody signs in here with that mailbox, an e-mail with a link is on its way. The link works for an hour.',
    'changed' => 'Your password is changed, and you are signed out everywhere else.',
    'over' => 'You were signed in for twelve hours. Please sign in again.',
    'second_needed' => 'Enter the code that your authenticator app shows now, or a recovery code.',
    'begin_code' => 'This is not the code that ./acre start --empty printed.',
    'password_wrong' => 'This is not your password.',
    'begin' => [
        'set_up_acre_roll' => 'Set up Acre Roll',
        'there_are_no_users_yet_the' => 'There are no users yet. The first one is the Owner, who decides who else may sign in. Next, you '
            .'import a spreadsheet of your names.',
        'code' => 'Code',
        'printed_by_acre_start_empty' => 'Printed by ./acre start --empty; ./acre start prints a new one',
        'name_of_your_organisation' => 'Name of your organisation',
        'your_agency_or_organisation' => 'Your agency or organisation; its own names are held for it',
        'your_name' => 'Your name',
        'at_least_12_characters' => 'At least 12 characters',
    ],
    'forgot' => [
        'forgotten_password' => 'Forgotten password',
        'enter_the_mailbox_you_sign_in' => 'Enter the mailbox you sign in with. We will send you a link that works once, within an hour.',
        'send_the_link' => 'Send the link',
    ],
    'second' => [
        'second_factor' => 'Second factor',
        'the_six_digits_your' => 'The six digits your authenticator app shows now, or a recovery code.',
        'code' => 'Code',
    ],
    'sign_in' => [
        'the_inventory_of_your_domain' => 'The inventory of your domain names: what is due, what can be done, and proof of what was done.',
        'forgotten_password' => 'Forgotten password',
    ],
    'second_ended' => 'The second factor is off: you sign in with your password alone.',
    'ended' => '{1} One session was signed out.|[0,*] :told sessions were signed out.',
];
