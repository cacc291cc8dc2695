<?php

declare(strict_types=1);

return [
    'symbol_in_label' => 'The label “:about” has a symbol that registries don’t take (RFC 5892)',
    'mixed_scripts' => 'The label “:about” mixes scripts, which registries don’t take and people misread',
    'reserved_hyphens' => 'The label “:about” has hyphens in the third and fourth place, which registries keep for encodings',
    'unknown_suffix' => '.:about is not on the public suffix list that ships with Acre Roll',
];
