<?php

declare(strict_types=1);

return [
    'pasted' => '{0} No name was put in.|{1} One name was put in.|[2,*] :count names were put in.',
    'unknown' => '{1} One is not known here: :names.|[2,*] :count are not known here: :names.',
    'gather_first' => 'Gather the names first: tick them on the Roll, or paste them here.',
    'all_in' => 'All of them are in the sheaf now.',
    'full' => '{1} The sheaf holds :limit names at most; one did not fit.|[2,*] The sheaf holds :limit names at most; :count did not fit.',
];
