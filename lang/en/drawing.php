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
    'last' => 'last day at all, :at',
    'answer' => 'answer by :by', 'no_answer' => 'no answer by :by',
    'verify' => 'verify by :by',
    'handed' => 'to :account',
    'hold_short' => ['registered' => 'new: may not move before :until', 'moved' => 'may not move before :until', 'registrant_changed' => 'may not move before :until'],
    'hold' => [
        'registered' => 'newly registered: may not go to another registrar before :until',
        'moved' => 'came from another registrar: may not move again before :until',
        'registrant_changed' => 'may not move before :until: its registrant changed',
    ],
];
