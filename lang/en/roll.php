<?php

declare(strict_types=1);

return [
    'ending' => ['any' => 'whenever they end', 'late' => 'past their end', '30' => 'ending within 30 days', '90' => 'ending within 90 days', '365' => 'ending within a year'],
    'sort' => ['next' => 'what is due first', 'ends' => 'what ends first', 'name' => 'by name'],
];
