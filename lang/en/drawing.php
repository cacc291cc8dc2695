<?php

declare(strict_types=1);

return [
    'today' => 'today',
    'registered' => 'registered',
    'end' => 'end of the paid term',
    'ended' => 'ended',
    'deleted' => 'deleted',
    'renewed' => 'if renewed',
    'charge_unpriced' => 'charged :at',
    'charge' => 'charged :at, :sum',
    'last' => 'last day to keep it, :at',
    'answer' => 'answer by :by',
    'no_answer' => 'no answer by :by',
    'verify' => 'verify by :by',
    'handed' => 'to :account',
    'hold_short' => [
        'registered' => 'new: no transfer before :until',
        'moved' => 'no transfer before :until',
        'registrant_changed' => 'no transfer before :until',
    ],
    'hold' => [
        'registered' => 'newly registered: can’t be transferred before :until',
        'moved' => 'transferred recently: can’t be transferred again before :until',
        'registrant_changed' => 'can’t be transferred before :until: its registrant changed',
    ],
];
