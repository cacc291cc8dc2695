<?php

declare(strict_types=1);

return [
    'role' => [
        'owner' => 'Owner: runs the place',
        'steward' => 'Steward: may spend and move names',
        'clerk' => 'Clerk: prepares, may not settle',
        'reader' => 'Reader: may look',
    ],
];
