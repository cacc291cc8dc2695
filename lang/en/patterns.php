<?php

declare(strict_types=1);

return [
    'form' => [
        'change' => 'Change “:pattern”',
        'add_a_pattern' => 'Add a pattern',
        'disclosure_patterns' => 'Disclosure patterns',
        'fields_to_show' => 'Fields to show',
        'names_with_this_pattern_show' => 'Names with this pattern show what they show today until a deed tells their registrars.',
    ],
    'index' => [
        'disclosure_patterns' => 'Disclosure patterns',
        'which_registrant_fields_the' => 'Which registrant fields the public record may show. Suffix and registrar may not allow all of a '
            .'pattern; the deed tells you beforehand.',
        'add_a_pattern' => 'Add a pattern',
        'pattern' => 'Pattern',
        'shows' => 'Shows',
        'default_for_new_names_unless' => 'default for new names, unless their :served has another',
    ],
];
