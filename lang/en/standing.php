<?php

declare(strict_types=1);

// The last column of the Roll: what comes next, in a strong line and a lesser one.
return [
    'on_hold' => 'on hold: does not work',
    'next' => [
        'charge' => ['plain' => ':at', 'sum' => ':at, :sum', 'lesser' => 'auto-renews'],
        'charge_unconfirmed' => ['plain' => 'Ends :at, charge unseen', 'sum' => ':sum unseen, ends :at', 'lesser' => 'was to renew by itself'],
        'ends' => ['plain' => 'Ends :at', 'sum' => 'Ends :at, :sum', 'lesser' => 'renewed when told'],
        'ask_client' => ['plain' => ':Served to say by :at', 'sum' => ':Served to say by :at, :sum', 'lesser' => 'ends :ends'],
        'asked_too_late' => ['plain' => ':Served has not said', 'sum' => ':Served has not said: :sum', 'lesser' => 'ends :ends'],
        'lapsing' => ['plain' => 'Lapses; kept until :at', 'falls' => 'Lapsed; free from :at', 'over' => 'Lapsed; free for anybody', 'lesser' => 'ended :ends, as meant'],
        'gone' => ['plain' => 'Gone from its registry', 'lesser' => 'ended :ends here'],
        'lapses' => ['plain' => 'Lapses on :at', 'lesser' => 'meant to lapse'],
        'presumed' => ['plain' => 'Renewed, or late', 'sum' => 'Renewed for :sum, or late', 'lesser' => 'ended :ends; not confirmed'],
        'renewed' => ['plain' => 'Renewed to :at', 'lesser' => 'as is said outside; here it ended :ends'],
        'late_plain' => ['plain' => 'Late: renew by :at', 'sum' => ':sum to :at', 'then' => ':sum to :at, then :late', 'lesser' => 'ended :ends'],
        'late_dear' => ['plain' => 'Late: renew by :at', 'sum' => ':sum to :at', 'lesser' => 'ended :ends; late price'],
        'suspended' => ['plain' => 'Renew by :at', 'sum' => ':sum by :at', 'lesser' => 'suspended; ended :ends'],
        'redemption' => ['plain' => 'Restore by :at, or lost', 'sum' => ':sum by :at, or lost', 'lesser' => 'deleted; only to be restored'],
        'pending_delete' => ['plain' => 'Free from :at', 'lesser' => 'can’t be kept any more'],
        'released' => ['plain' => 'Free for anybody', 'lesser' => 'ended :ends'],
        'handover' => ['plain' => 'Handover, answer by :at', 'past' => 'Handover, no answer by :at', 'lesser' => 'waits for the receiver'],
        'watched' => ['plain' => 'Ends :at', 'falls' => 'Free from :at', 'nowhere' => 'In no directory', 'unsaid' => 'End not known', 'lesser' => 'watched; not ours'],
        'not_known' => ['plain' => 'End not known', 'lesser' => 'say when it ends'],
    ],
];
