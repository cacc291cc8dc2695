<?php

declare(strict_types=1);

return [
    'pasted' => '{0} No name was put in.|{1} One name was put in.|[2,*] :count names were put in.',
    'unknown' => '{1} One is not known here: :names.|[2,*] :count are not known here: :names.',
    'gather_first' => 'Gather the names first: tick them on the Roll, or paste them here.',
    'all_in' => 'All of them are in the sheaf now.',
    'in_step' => 'The sheaf is in step with that sentence.',
    'given' => '{0} none of its names are here|{1} one of its names is here|[2,*] :count of its names are here',
    'left_out' => '{1} one taken out|[2,*] :count taken out',
    'come' => '{1} one more matches today|[2,*] :count more match today',
    'gone' => '{1} one matches no longer|[2,*] :count match no longer',
    'full' => '{1} The sheaf holds :limit names at most; one did not fit.|[2,*] The sheaf holds :limit names at most; :count did not fit.',
];
