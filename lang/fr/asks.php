<?php

declare(strict_types=1);

return [
    'line' => ':name, expire le :day',
    'line_over' => ':name, expiré le :day',
    'line_over_priced' => ':name, expiré le :day, :sum pour un an',
    'line_priced' => ':name, expire le :day, :sum pour un an',
];
