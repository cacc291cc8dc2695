<?php

declare(strict_types=1);

return [
    'undo' => 'Undo it', 'wrong_tick' => 'A tick was wrong', 'not_done' => 'Not done after all', 'tick_back' => 'A wrong tick is taken back from here, by a docket of its own.', 'tick_stays' => 'A tick can’t be taken back: a correction is a new docket.',
    'in_order' => 'The numbers are one order for both sides: do them one after the other.',
    'since' => 'Since it was prepared:',
    'ending' => 'So many names are ended one after the other; this page shows how far it is.',
    'ending_so_far' => 'Being written down: :open of :of names are still open',
    'ending_failed' => 'Some could not be ended:',
    'closing' => 'All are done; the proof is being made.',
    'left' => '{0} All have begun.|{1} One name is left to begin.|[2,*] :count names are left to begin.',
    'stopped' => '{1} one was stopped before it began|[2,*] :count were stopped before they began',
    'to_tell' => '{1} One thing is left to tell its registrar.|[2,*] :count things are left to tell their registrars.',
    // What a registrar writes by itself after a step of a slip.
    'letter' => [
        'change' => ':registrar then asks whether they agree, by letters of its own, to', 'change_from' => ':registrar then asks whether they agree, by letters of its own from :from, to', 'change_settles' => 'the last answer settles the change; no other letter does',
        'verify' => ':registrar then asks whether the mailbox is read, by a letter of its own to', 'verify_from' => ':registrar then asks whether the mailbox is read, by a letter of its own from :from to', 'verify_settles' => 'following the link in that one settles the verification; our letters don’t',
    ],
    'ticked' => [
        'done' => '{0} Nothing was ticked: somebody else had ended these lines already.|{1} One name is ticked as done, and its holding has changed.|[2,*] :count names are ticked as done, and their holdings have changed.',
        'refused' => '{0} Nothing was changed: somebody else had ended these lines already.|{1} One name is written down as refused.|[2,*] :count names are written down as refused.',
        'told_already' => '{1} One stays open: its registrar was told already, and will say how it ends.|[2,*] :count stay open: their registrars were told already, and will say how they end.',
        'called_off' => '{0} Nothing was left to call off.|{1} One name is called off.|[2,*] :count names are called off.',
    ],
];
