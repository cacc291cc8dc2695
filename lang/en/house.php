<?php

declare(strict_types=1);

return [
    'form' => [
        'rename' => 'Rename it',
        'called' => 'Your organisation is called :name.',
        'save_the_name' => 'Save the name',
        'we_call_those_we_serve_our' => 'We call those we serve our',
        'currency' => 'Currency',
        'three_letters_such_as_gbp_used' => 'Three letters, such as GBP; used for amounts without a currency',
        'date_format' => 'Date format',
        'time_zone' => 'Time zone',
        'for_times_of_day_days_on_which' => 'For times of day. Days on which something ends or is due are in UTC, as in the trade',
        'disclosure_pattern_for_new' => 'Disclosure pattern for new names',
        'silence' => 'If nobody answers which names to keep',
        'silences' => [
            'nothing' => 'nothing changes',
            'keep' => 'they are kept for a year',
            'lapse' => 'they are left to lapse',
        ],
        'unless_their_has_a_pattern_of' => 'Unless their :served has a pattern of its own',
        'second_person_needed_above' => 'Second person needed above',
        'number_of_names_above_it' => 'Number of names: above it, somebody other than the preparer must settle a deed. 0: always. Empty: '
            .'never',
        'letterhead' => 'Letterhead',
        'printed_at_the_top_of_sheets' => 'Printed at the top of sheets for a :served, and of proofs',
    ],
];
