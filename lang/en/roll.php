<?php

declare(strict_types=1);

return [
    'ending' => ['any' => 'whenever they end', 'late' => 'past their end', '30' => 'ending within 30 days', '90' => 'ending within 90 days', '365' => 'ending within a year'],
    'sort' => ['next' => 'what is due first', 'ends' => 'what ends first', 'name' => 'by name'],
    'sums' => 'Keeping them for their next term costs :sums.',
    // The sentence's further conditions, and their labels in the form that adds them.
    'facet' => [
        'held' => ':value', 'auto_renew' => 'auto-renew :value', 'suffix' => 'under .:value', 'phase' => ':value', 'intent' => 'meant to: :value', 'lock' => 'lock :value', 'disclosure' => 'registrant :value', 'server' => 'answered by :value',
        'registrant' => 'registered to :value', 'contact' => 'registered to contact :value', 'created' => 'registered :value', 'word' => 'with the word “:value”', 'finding' => 'of which is said: :value',
    ],
    'calendar' => [
        'end' => ':name ends', 'charge' => ':name is charged', 'ask_by' => 'The :served must have decided on :name', 'last_plain' => ':name: last day at the normal price', 'last_at_all' => ':name: last day on which it can be kept',
        'verify' => 'The registrant of :name must have verified their mailbox', 'costs' => 'It costs :sum.', 'then' => 'After it :sum more.', 'perhaps' => 'The registrar’s terms don’t say; this is the earliest that the rules allow.',
    ],
    'or' => ' or ',
    'choice' => ['held' => ['held' => 'held', 'watched' => 'only watched'], 'auto_renew' => ['on' => 'on', 'off' => 'off']],
    'days' => ['before' => 'before :day', 'after' => 'after :day', 'on' => 'on :day', 'between' => 'from :from to :to', 'in' => 'in :year'],
    'ends_in' => 'ending :days', 'ends_from' => 'ending from', 'narrow_days' => 'Narrow to these days', 'to' => 'to', 'created_from' => 'Registered from', 'any' => 'any',
    'no_days' => '“:given” is no span of days: it is written 2026-10-01..2026-12-31, and the first must not be after the last.',
    'count' => ['held' => '{1} One name|[2,*] :told names', 'only' => '{1} One name that is only watched|[2,*] :told names that are only watched', 'and_watched' => '{1} and one that is only watched,|[2,*] and :told that are only watched,', 'none' => 'No name', 'more' => 'More than :told names'],
    'held_for' => 'held for :value', 'at' => 'at :value', 'at_account' => 'in account :value', 'every_name' => 'every name',
    'with' => 'with “:text” in them',
    'facet_label' => [
        'suffix' => 'Suffix', 'phase' => 'Phase', 'intent' => 'Intent', 'lock' => 'Transfer lock', 'disclosure' => 'Public record', 'server' => 'Name server or its domain',
        'registrant' => 'Registrant, in full', 'held' => 'Held or watched', 'auto_renew' => 'Auto-renew', 'created' => 'Registered', 'word' => 'Word', 'finding' => 'What is said of it',
    ],
    'finding' => [
        'lifecycle_lock_off' => 'the lock is off, and it is not moving', 'lifecycle_may_not_move' => 'it may not go to another registrar yet', 'lifecycle_on_hold' => 'it is on hold',
        'lifecycle_renews_at_unknown_price' => 'it renews at a price not written down', 'lifecycle_charge_unconfirmed' => 'its charge is not confirmed',
        'lifecycle_presumed_renewed' => 'it is presumed renewed', 'lifecycle_renewed_outside' => 'outside it is renewed', 'lifecycle_asked_too_late' => 'the :served should have said', 'lifecycle_default_rules' => 'the rulebook lacks its suffix',
        'movement_under_way' => 'it is moving', 'lifecycle_watched' => 'it is only watched',
        'record_not_in_directory' => 'no directory has it', 'record_other_registrar' => 'it is gone from our account', 'record_transfer_not_ours' => 'a transfer that nobody here started', 'record_deleted' => 'it was deleted by nobody here', 'record_falls_free' => 'it was deleted for good by nobody here', 'record_ends_sooner' => 'outside it ends sooner',
        'record_ends_later' => 'outside it ends later', 'record_renewed' => 'its registrar has renewed it', 'record_not_renewed' => 'it has not renewed by itself', 'record_held_by_registry' => 'its registry holds it', 'record_held_by_registrar' => 'its registrar holds it', 'record_servers_changed' => 'its name servers were changed by nobody here',
        'record_holder_changed' => 'its registrant was changed, not by us', 'record_holder_differs' => 'outside its holder’s data are others', 'record_shown_more' => 'the public record shows more than you chose', 'record_hidden_more' => 'the public record shows less than you chose', 'record_holder_doubted' => 'the registry could not validate the registrant', 'record_lock_is_off' => 'its lock is off outside', 'record_lock_is_on' => 'its lock is on outside',
        'contact_mailbox_lapses' => 'its mailbox lies in a name meant to lapse', 'contact_verify_by' => 'its mailbox must be verified', 'contact_verification_lapsed' => 'its mailbox was not verified in time', 'disclosure_privacy_ends' => 'its privacy service ends soon', 'disclosure_privacy_over' => 'its privacy service has ended', 'disclosure_move_mailed_through' => 'a letter before a move would reach its privacy service', 'contact_not_answered' => 'nobody answers letters to its mailbox', 'contact_forwards' => 'its mailbox only forwards', 'contact_letters_return' => 'letters to its mailbox come back', 'contact_mailbox_inside' => 'its mailbox lies in itself', 'contact_mailbox_ring' => 'it and others guard each other',
        'contact_not_told' => 'its registrar has older data of its registrant', 'contact_no_mailbox' => 'its registrant has no mailbox', 'contact_takes_no_mail' => 'its mailbox’s host takes no mail', 'contact_no_registrant' => 'its registrant is not known', 'contact_holder_person' => 'a private person holds it',
        'contact_holder_unknown' => 'no :served knows its registrant',
    ],
    'column' => [
        'line' => 'Life line', 'registrant' => 'Registrant', 'mailbox' => 'Registrant’s mailbox', 'verify_by' => 'To be verified by', 'suffix' => 'Suffix', 'phase' => 'Phase', 'intent' => 'Intent', 'lock' => 'Lock', 'disclosure' => 'Public record', 'servers' => 'Name servers',
        'created' => 'Registered', 'ends' => 'Ends', 'renewal' => 'A year costs', 'words' => 'Words', 'reference' => 'Registrar’s reference',
    ],
    'too_many_columns' => 'At most :most columns stand beside each other legibly; untick some.',
    'from' => 'from :start on',
    'only_watched' => 'only watched, in no account of ours',
    'no_start' => '“:given” is no day such as 2026-12-31, so the list starts at its beginning.',
    'view_kept' => 'Kept as “:name”.',
    'view_gone' => '“:name” is no longer kept.',
];
