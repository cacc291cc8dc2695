<?php

declare(strict_types=1);

return [
    'page' => 'Its page for customers', 'page_note' => 'Where one signs in to do what a slip says', 'telephone' => 'Telephone', 'none' => 'not known',
    'found_at' => 'Sign in at', 'ring' => 'or ring',
];
