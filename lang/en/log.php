<?php

declare(strict_types=1);

return [
    'brought_in' => 'Brought in',
    'brought_in_again' => 'Changed by a file that was brought in',
    'not_in_list' => 'Missing from a list of everything in its account',
    'taken_back' => 'What a file had changed was taken back',
    'facts_changed' => 'What is known of it was changed',
    'begun' => 'A handover began',
    'stopped' => 'A handover could not begin',
    'done' => 'Handed over',
    'refused' => 'The handover was refused',
    'called_off' => 'The handover was called off',
];
