<?php

declare(strict_types=1);

return [
    'kind' => [
        'names' => 'Names',
        'alike' => 'Names spelt alike',
        'accounts' => 'Accounts',
        'clients' => ':Served_many',
        'registrars' => 'Registrars',
        'dockets' => 'Dockets',
    ],
    'found' => [
        'nothing_matches_nor_anything' => 'Nothing matches “:text”, nor anything spelt like it.',
        'all_names_with_on_the_roll' => 'All names with “:text” on the Roll',
    ],
    'index' => [
        'type_any_part_of_a_name_an' => 'Type any part of a name, an account number or login, a :served, a mailbox, a registrar’s '
            .'reference or a docket number.',
        'results_for' => 'Results for “:text”.',
        'search_again' => 'Search again',
        'search_for' => 'Search for',
    ],
];
