<?php

declare(strict_types=1);

return [
    'hand_over' => [
        'title' => 'Hand over',
        'headline' => '{1} Hand one name to :whose|[0,*] Hand :names names to :whose',
        'one_line' => 'hand over to :registrar :account, for :client, answer wanted by :by',
        'short' => 'handed to :registrar :account, for :client',
    ],
    'give_to_client' => [
        'title' => 'Say whose they are',
        'headline' => '{1} Hold one name for :client|[0,*] Hold :names names for :client',
        'one_line' => 'hold for :client, in the accounts where they are',
        'explained' => 'For whom names are held, in our own books. The account that they are in, its registrar and the registrant stay as they are.',
        'after' => 'It is done at once, nobody outside is asked, and it can be undone as long as nobody changes it again.',
    ],
    'change_intent' => [
        'title' => 'Say what is to happen at their end',
        'headline' => '{1} Set one name to “:intent”|[0,*] Set :names names to “:intent”',
        'one_line' => 'at their end: :intent',
        'explained' => 'What we mean to do when they end, in our own books; what each registrar does by itself is set at its own page.',
        'after' => 'It is done at once, nobody outside is asked, and it can be undone as long as nobody changes it again.',
    ],
    'change_words' => [
        'title' => 'Give them words',
        'headline' => '{1} One name: :change|[0,*] :names names: :change',
        'one_line' => 'words: :change',
        'explained' => 'Words are labels of your own; the Roll can be narrowed to any of them.',
        'after' => 'It is done at once, and it can be undone as long as nobody changes it again.',
    ],
    'take_observed' => [
        'title' => 'Take what was seen',
        'headline' => '{1} Write :what of one name as seen outside|[0,*] Write :what of :names names as seen outside',
        'one_line' => 'write :what as seen outside',
        'explained' => 'What the directories said is written into the Roll, with where it was seen and when. Nothing outside changes.',
        'after' => 'It is done at once, nobody outside is asked, and it can be undone as long as nobody changes it again.',
    ],
    'leave_drift' => [
        'title' => 'Leave it as it is',
        'headline' => '{1} Leave one name as it is: :because|[0,*] Leave :names names as they are: :because',
        'one_line' => 'left as it is: :because',
        'explained' => 'The Roll and the outside stay different, and your reason stays beside. If the outside changes again, it is told again.',
        'after' => 'It is done at once, and it can be undone.',
    ],
    'take_back' => [
        'title' => 'Undo',
        'headline' => '{1} Undo docket :docket for one name|[0,*] Undo docket :docket for :names names',
        'one_line' => 'undo docket :docket',
        'explained' => 'What the docket wrote in our own books is written back. A name that somebody has changed since keeps what they wrote.',
        'after' => 'It is done at once, and both dockets keep their proofs.',
    ],
    // What stands in the way of a group of names, after “12 can’t:”. A finding without a word here says its own sentence.
    'in_the_way' => [
        'books' => [
            'already_so' => 'it is so already',
            'changed_since' => 'changed again since',
            'never_done' => 'it was not done to them',
            'only_watched' => 'only watched, in no account of ours',
            'nothing_seen' => 'nothing seen outside could be written',
        ],
        'movement' => [
            'under_way' => 'another movement is under way',
            'other_registrar' => 'at another registrar',
            'already_there' => 'in that account already',
            'no_access' => 'in accounts that are not ours to act in',
            'past_end' => 'past their end, to be renewed first',
            'in_redemption' => 'deleted, to be restored first',
            'gone_for_good' => 'can’t be kept any more',
            'maybe_renewed' => 'past their end, and whether they renewed is not confirmed',
            'end_not_known' => 'when they end is not known',
            'ends_today' => 'end too soon to be accepted',
            'transfer_pending' => 'a transfer to another registrar is pending',
            'held_at_registrar' => 'held by the registrar after an earlier handover',
            'lock_not_known' => 'whether the lock is on is not known',
        ],
    ],
    'errors' => [
        'nothing_can_go' => 'None of these names can go now, so nothing was written. The table says why for each.',
        'shown_has_changed' => 'Since this page was made something has changed: it would now do more than it showed. Nothing was done; look again and press once more.',
        'not_prepared' => 'This docket was settled or called off meanwhile. Nothing was done twice.',
        'not_yet' => 'What was done can’t have been done on :date: that day is still to come.',
        'before_it_began' => ':name came into its account only on :date, so it can’t have left it before.',
        'no_reason' => 'Say in a few words why it was refused; the proof will carry it.',
        'nobody_chosen' => 'Choose the account that is to receive them first.',
        'nothing_ticked' => 'Tick at least one name first.',
        'no_terms' => 'Say first what is to be so.',
        'none_again' => 'None of its names was stopped or refused.',
    ],
];
