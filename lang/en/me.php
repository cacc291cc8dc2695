<?php

declare(strict_types=1);

return [
    'codes' => [
        'once' => 'They are shown only once: print them or write them down.',
        'what' => 'The second factor is on. Each of these codes lets you sign in once without your authenticator app.',
        'recovery_codes' => 'Recovery codes',
        'i_have_saved_them' => 'I have saved them',
    ],
    'second' => [
        'trail' => 'second factor',
        'set_up_a_second_factor' => 'Set up a second factor',
        'add_this_key_to_your' => 'Add this key to your authenticator app (RFC 6238): scan it or type it. Then enter the code that the '
            .'app shows.',
        'key_to_type' => 'Key to type',
        'as_a_link' => 'As a link',
        'code_from_the_app' => 'Code from the app',
        'turn_on_the_second_factor' => 'Turn on the second factor',
    ],
    'show' => [
        'current_password' => 'Current password',
        'new_password' => 'New password',
        'new_password_again' => 'New password again',
        'change_the_password' => 'Change the password',
        'you_will_be_signed_out' => 'You will be signed out everywhere else.',
        'second_factor' => 'Second factor',
        'you_are_asked_for_a_code_after' => 'You are asked for a code after your password. You have :left recovery codes left.',
        'code_or_a_recovery_code' => 'Code, or a recovery code',
        'turn_it_off' => 'Turn it off',
        'a_code_from_an_authenticator' => 'A code from an authenticator app, in addition to the password: somebody who learns your '
            .'password alone cannot sign in.',
        'set_it_up' => 'Set it up',
        'your_sessions' => 'Your sessions',
        'browser' => 'Browser',
        'this_session' => 'this session',
        'sign_out' => 'Sign out',
        'sign_out_everywhere_else' => 'Sign out everywhere else',
    ],
];
