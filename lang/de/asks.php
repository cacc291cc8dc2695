<?php

declare(strict_types=1);

return [
    'line' => ':name, läuft am :day ab',
    'line_over' => ':name, abgelaufen am :day',
    'line_over_priced' => ':name, abgelaufen am :day, :sum für ein Jahr',
    'line_priced' => ':name, läuft am :day ab, :sum für ein Jahr',
];
