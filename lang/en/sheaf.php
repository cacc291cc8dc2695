<?php

declare(strict_types=1);

return [
    'clients' => '{1} :count client|[0,*] :count clients',
    'registrars' => '{1} :count registrar|[0,*] :count registrars',
    'watched' => ':count only watched',
    'pasted' => '{0} No name was added.|{1} One name was added.|[2,*] :count names were added.',
    'unknown' => '{1} One is not on the Roll: :names.|[2,*] :count are not on the Roll: :names.',
    'gather_first' => 'Add names first: select them on the Roll, or paste them here.',
    'all_in' => 'All of them are in the sheaf now.',
    'in_step' => 'The sheaf is up to date with that search.',
    'given' => '{0} none of its names are here|{1} one of its names is here|[2,*] :count of its names are here',
    'left_out' => '{1} one removed|[2,*] :count removed',
    'come' => '{1} one more matches today|[2,*] :count more match today',
    'gone' => '{1} one no longer matches|[2,*] :count no longer match',
    'full' => '{1} The sheaf holds at most :limit names; one did not fit.|[2,*] The sheaf holds at most :limit names; :count did not fit.',
    'show' => [
        'names_first' => 'Names: the first :count',
        'the_sheaf' => 'The sheaf',
        'the_sheaf_is_empty' => 'The sheaf is empty.',
        'in_the_sheaf_they_stay_until' => '{1} :number name in the sheaf: :told. It stays until you remove it, even after you sign out.|'
            .'[2,*] :number names in the sheaf: :told. They stay until you remove them, even after you sign out.',
        'add_a_list_of_names' => 'Add a list of names',
        'paste_any_list_lines_commas' => 'Paste any list: lines, commas, semicolons, tabs, spaces or web addresses.',
        'add_to_the_sheaf' => 'Add to the sheaf',
        'added_by_search' => 'Added by search',
        'the_names_stay_as_they_were' => 'The names stay as they were when you selected them all, until you update them. Names you '
            .'removed stay out.',
        'search' => 'Search',
        'added_on' => 'Added on',
        'in_the_sheaf' => 'In the sheaf',
        'update' => 'Update',
        'remove_all' => 'Remove all',
        'remove' => 'Remove :unicode',
    ],
];
