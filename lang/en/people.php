<?php

declare(strict_types=1);

return [
    'last_owner' => 'This is the last Owner who can sign in: add another one first.',
    'second_off' => ':who signs in with the password alone until they set up a second factor again.',
    'invited' => ':who has been sent an invitation to set their own password.',
    'letter' => [
        'invitation' => [
            'subject' => 'Your access to :house',
            'body' => "Hello :name,\n\nyou have been given access to the domain names of :house. Set your password here:\n\n:link\n\nThe "
                ."link works once, within a week, and is for you alone; please don’t pass it on.\n\nIf you did not expect this, ask your "
                .'administrator.',
        ],
        'password' => [
            'subject' => 'Set a new password for :house',
            'body' => "Hello :name,\n\nsomebody, most likely you, has requested a new password for :house. Set it here:\n\n:link\n\nThe "
                .'link works once, within an hour, and is for you alone. If you use a second factor, you will still be asked for '
                ."it.\n\nIf you did not ask for this, do nothing: your password stays the same.",
        ],
        'way_in' => [
            'subject' => [
                'password' => 'Your password for :house was set',
                'second_on' => 'A second factor for :house was set up',
                'second_off' => 'Your second factor for :house was turned off',
                'mailbox' => 'Your mailbox for :house was changed',
            ],
            'what' => [
                'password' => 'your password for :house was changed',
                'second_on' => 'a second factor for :house was set up for you',
                'second_off' => 'your second factor for :house was turned off: you can sign in with the password alone',
                'mailbox' => 'you now sign in to :house with :mailbox',
            ],
            'body' => "Hello :name,\n\n:what.\n\nIf you know about this, there is nothing to do. If not, tell your administrator at once: "
                .'somebody else may be signing in as you.',
        ],
    ],
    'right' => [
        'look' => 'See everything and export lists',
        'prepare' => 'Import names, use the sheaf, add :served_many, accounts, terms and notes, and prepare deeds',
        'settle' => 'Settle deeds, and mark what was done at registrars',
        'run' => 'Manage users and settings, and read the log',
    ],
    'form' => [
        'add_a_user' => 'Add a user',
        'role' => 'Role',
        'empty_unchanged' => 'Empty: unchanged',
        'can_sign_in' => 'can sign in',
        'they_get_an_e_mail_with_a_link' => 'They get an e-mail with a link to set their own password.',
        'they_have_not_set_a_password' => 'They have not set a password yet: saving sends another invitation.',
        'send_the_invitation' => 'Send the invitation',
        'their_second_factor' => 'Their second factor',
        'they_are_asked_for_a_code' => 'They are asked for a code after their password. Turn it off only if they have lost both their '
            .'authenticator app and their recovery codes.',
        'turn_it_off' => 'Turn it off',
    ],
    'index' => [
        'roles' => 'Roles and rights',
        'what' => 'An Owner manages users and settings. A Steward can spend money and move names. A Clerk prepares deeds for a Steward. A '
            .'Reader only looks.',
        'add_a_user' => 'Add a user',
        'user' => 'User',
        'role' => 'Role',
        'can_sign_in' => 'Can sign in',
        'yes' => 'yes',
        'no' => 'no',
    ],
    'roles' => [
        'trail' => 'roles and rights',
        'roles_and_rights' => 'Roles and rights',
        'rights_by_role' => 'Rights by role',
        'may' => 'may',
        'may_not' => 'may not',
    ],
];
