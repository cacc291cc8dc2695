<?php

declare(strict_types=1);

return [
    'brought_in' => 'Brought in',
    'brought_in_again' => 'Changed by a file that was brought in',
    'facts_changed' => 'What is known of it was changed',
    'begun' => 'A handover began',
    'stopped' => 'A handover could not begin',
    'done' => 'Handed over',
    'refused' => 'The handover was refused',
    'called_off' => 'The handover was called off',
];
