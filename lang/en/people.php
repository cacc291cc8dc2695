<?php

declare(strict_types=1);

return [
    'last_owner' => 'This is the last Owner who may sign in: make another one first.',
];
