<?php

declare(strict_types=1);

return [
    'empty' => 'Write something, or choose a file.',
    'gone' => 'The note is deleted.',
];
