<?php

declare(strict_types=1);

// The last column of the Roll: what comes next, in a strong line and a lesser one.
return [
    'on_hold' => 'on hold: does not work',
    'next' => [
        'charge' => ['plain' => ':at', 'sum' => ':at, :sum', 'lesser' => 'auto-renews'],
        'charge_unconfirmed' => [
            'plain' => 'Ends :at, charge not seen',
            'sum' => ':sum not seen, ends :at',
            'lesser' => 'should have auto-renewed',
        ],
        'ends' => ['plain' => 'Ends :at', 'sum' => 'Ends :at, :sum', 'lesser' => 'renewed on request'],
        'ask_client' => ['plain' => ':Served to decide by :at', 'sum' => ':Served to decide by :at, :sum', 'lesser' => 'ends :ends'],
        'asked_too_late' => ['plain' => ':Served has not decided', 'sum' => ':Served has not decided: :sum', 'lesser' => 'ends :ends'],
        'lapsing' => [
            'plain' => 'Lapses; can be kept until :at',
            'falls' => 'Lapsed; free from :at',
            'over' => 'Lapsed; free to register',
            'lesser' => 'ended :ends, as intended',
        ],
        'gone' => ['plain' => 'Gone from its registry', 'lesser' => 'ended :ends here'],
        'lapses' => ['plain' => 'Lapses on :at', 'lesser' => 'intended to lapse'],
        'presumed' => ['plain' => 'Renewed, or late', 'sum' => 'Renewed for :sum, or late', 'lesser' => 'ended :ends; not confirmed'],
        'renewed' => ['plain' => 'Renewed to :at', 'lesser' => 'according to the registry; our record says :ends'],
        'late_plain' => [
            'plain' => 'Late: renew by :at',
            'sum' => ':sum to :at',
            'then' => ':sum to :at, then :late',
            'lesser' => 'ended :ends',
        ],
        'late_dear' => ['plain' => 'Late: renew by :at', 'sum' => ':sum to :at', 'lesser' => 'ended :ends; late price'],
        'suspended' => ['plain' => 'Renew by :at', 'sum' => ':sum by :at', 'lesser' => 'suspended; ended :ends'],
        'redemption' => ['plain' => 'Restore by :at, or lost', 'sum' => ':sum by :at, or lost', 'lesser' => 'deleted; can be restored'],
        'pending_delete' => ['plain' => 'Free from :at', 'lesser' => 'can no longer be kept'],
        'released' => ['plain' => 'Free to register', 'lesser' => 'ended :ends'],
        'handover' => [
            'plain' => 'Handover, answer by :at',
            'past' => 'Handover, no answer by :at',
            'lesser' => 'waiting for the receiver',
        ],
        'watched' => [
            'plain' => 'Ends :at',
            'falls' => 'Free from :at',
            'nowhere' => 'Not in any directory',
            'unsaid' => 'Expiry not known',
            'lesser' => 'watched; not ours',
        ],
        'not_known' => ['plain' => 'Expiry not known', 'lesser' => 'enter the expiry date'],
    ],
];
