<?php

declare(strict_types=1);

return [
    'page' => 'Customer sign-in page', 'page_note' => 'Where people sign in to do what a slip says', 'telephone' => 'Telephone', 'none' => 'not known',
    'found_at' => 'Sign in at', 'ring' => 'or call',
];
