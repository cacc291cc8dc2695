<?php

declare(strict_types=1);

return [
    'brought_in' => 'Brought in',
    'brought_in_again' => 'Changed by a file that was brought in',
    'not_in_list' => 'Missing from a list of everything in its account',
    'taken_back' => 'What a file had changed was taken back',
    'taken_away' => 'A list was taken away',
    'calendar_given' => 'An address for calendars was given',
    'second_factor_on' => 'A second factor was set up',
    'second_factor_off' => 'The second factor was taken off',
    'recovery_code_used' => 'A recovery code was used',
    'sessions_ended' => 'Sessions were ended',
    'house_set' => 'What the house sets was changed',
    'facts_changed' => 'What is known of it was changed',
    'begun' => 'A handover began',
    'stopped' => 'Something that was to be done to it could not be',
    'give_to_client' => 'Held for another :served from now on',
    'change_intent' => 'What is to happen at its end was changed',
    'change_words' => 'Its words were changed',
    'drift_seen' => 'Seen otherwise outside',
    'drift_gone' => 'Seen outside as it is written here again',
    'take_observed' => 'What was seen outside was written here',
    'leave_drift' => 'What differs outside was left as it is',
    'gate_said' => 'Its registrar said something by wire',
    'watched' => 'Put on the Roll to be watched',
    'watched_no_more' => 'Watched no more',
    'take_back' => 'What a docket did was undone',
    'done' => 'Handed over',
    'refused' => 'The handover was refused',
    'called_off' => 'The handover was called off',
];
