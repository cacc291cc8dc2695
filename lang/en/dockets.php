<?php

declare(strict_types=1);

return [
    'closing' => 'All are done; the proof is being made.',
    'left' => '{0} All have begun.|{1} One name is left to begin.|[2,*] :count names are left to begin.',
    'to_tell' => '{1} One thing is left to tell its registrar.|[2,*] :count things are left to tell their registrars.',
    'ticked' => [
        'done' => '{0} Nothing was ticked: somebody else had ended these lines already.|{1} One name is ticked as done, and its holding has changed.|[2,*] :count names are ticked as done, and their holdings have changed.',
        'refused' => '{0} Nothing was changed: somebody else had ended these lines already.|{1} One name is written down as refused.|[2,*] :count names are written down as refused.',
        'called_off' => '{0} Nothing was left to call off.|{1} One name is called off.|[2,*] :count names are called off.',
    ],
];
