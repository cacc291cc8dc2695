<?php

declare(strict_types=1);

// Vocabularies: one word or a few for each case of an enum, and the words of ours explained.
return [
    'role' => [
        'owner' => 'Owner: runs the place',
        'steward' => 'Steward: may spend and move names',
        'clerk' => 'Clerk: prepares, may not settle',
        'reader' => 'Reader: may look',
    ],
    'phase' => [
        'in_term' => 'in its paid term', 'grace' => 'late, in grace', 'suspended' => 'late, switched off', 'redemption' => 'in redemption', 'quarantine' => 'in quarantine',
        'pending_delete' => 'being deleted', 'released' => 'free for anybody', 'not_known' => 'end not known',
    ],
    'phase_short' => ['grace' => 'grace', 'suspended' => 'switched off', 'redemption' => 'redemption', 'quarantine' => 'quarantine', 'pending_delete' => 'being deleted'],
    'intent' => ['by_itself' => 'renews by itself', 'when_told' => 'renew when told', 'ask_client' => 'ask the :served', 'lapse' => 'lapse'],
    'lock' => ['on' => 'on', 'off' => 'off', 'unknown' => 'not known'],
    'disclosure' => ['shown' => 'shown', 'withheld' => 'withheld by our wish', 'replaced' => 'replaced by a privacy service', 'redacted' => 'redacted by rule', 'unknown' => 'not known'],
    'event' => [
        'ask_by' => 'The :served must have said', 'charge' => 'Charged', 'end' => 'The paid term ends', 'dark' => 'Stops answering', 'last_plain' => 'Last day at the normal price', 'deleted' => 'Deleted; it can only be restored',
        'last_at_all' => 'Last day at all', 'released' => 'Free for anybody', 'hold_ends' => 'May go to another registrar again',
    ],
    'cost' => ['NameLost' => 'the name is lost', 'Dark' => 'it goes dark', 'MovementFails' => 'a movement fails', 'Money' => 'it costs more', 'Attention' => 'nothing is lost'],
    'verdict' => ['clear' => 'Clear', 'clear_from' => 'Clear from :date', 'not_known' => 'Not known yet', 'stopped' => 'Stopped'],
    'actor' => [
        'house' => 'we', 'client' => 'the :served', 'giver' => 'the giving side', 'receiver' => 'the receiver', 'registrar' => 'the registrar',
        'registry' => 'the registry', 'time' => 'nobody: time does',
    ],
    'link' => ['slip' => 'by slip: a person acts on its web page', 'wire' => 'by wire: it takes commands (EPP)', 'bridge' => 'by bridge: a small program speaks for it (HTTP)'],
    'accepts_by' => ['page' => 'on the registrar’s own page', 'letter' => 'in answer to a letter of ours, before anything moves'],
    'cure' => [
        'renew_first' => 'Renew it, and record it', 'restore_first' => 'Restore first', 'wait' => 'Wait', 'move_registrar' => 'Transfer it instead: ask for its auth code', 'see_docket' => 'Docket :docket',
        'ask_receiver' => 'Ask the receiver', 'lift_hold' => 'Have the hold lifted', 'set_lock' => 'Set the lock', 'say_when' => 'Enter when it ends', 'ask_client' => 'Ask the :served',
        'change_intent' => 'Keep it instead', 'keep_copy' => 'Keep a copy', 'gain_access' => 'Gain access',
        'look_at_record' => 'Look at the record', 'leave_out' => 'Leave it out',
        'settle_drift' => 'Compare with the registry', 'change_servers' => 'Change the servers at the registry', 'ask_host' => 'Ask whoever runs that server',
        'other_mailbox' => 'Give it another mailbox', 'say_who' => 'Say who it is', 'correct_contact' => 'Correct the contact', 'tell_registrar' => 'Tell its registrar',
        'another_person' => 'Give a second person a way in', 'other_card' => 'Have another card written down there', 'say_way_back' => 'Write down the way back in', 'keep_apart' => 'Keep registrar and web host apart',
    ],
    // Where it can't be done from here: how it is done elsewhere.
    'cure_elsewhere' => [
        'restore_first' => 'Have :registrar restore it, then record its new end', 'wait' => 'Wait: nobody can make it shorter', 'lift_hold' => 'Ask :registrar why it is on hold, and have that lifted',
        'keep_copy' => 'Keep a copy of what is there, before it moves', 'ask_host' => 'Ask whoever runs that server to correct it', 'change_servers' => 'Change its name servers on :registrar’s own page',
        'ask_receiver' => 'Choose the receiving account above', 'see_docket' => 'See the docket', 'tell_registrar' => 'Tell :registrar on its own page', 'gain_access' => 'Ask :registrar for a way in',
        'another_person' => 'Give a second person a way in at :registrar', 'other_card' => 'Have another card kept at :registrar', 'say_way_back' => 'Ask :registrar for the way back in', 'keep_apart' => 'Keep registrar and web host apart',
    ],
    'prior' => ['nobody' => 'nobody is written down'],
    'whose' => ['prior' => 'the registrant until then', 'new' => 'the new registrant', 'both' => 'both sides'],
    'identifier' => ['number' => 'number', 'login' => 'login', 'mailbox' => 'mailbox', 'handle' => 'handle'],
    'receiver_by' => ['number_login' => 'number and login', 'mailbox_number' => 'mailbox and number', 'mailbox' => 'mailbox alone', 'handle' => 'public handle'],
    'confirms' => [
        'nobody' => 'nobody: it is done at once', 'receiver' => 'the receiver accepts', 'giver_then_receiver' => 'the giver confirms, then the receiver accepts',
        'receiver_then_giver' => 'the receiver accepts, then the giver confirms',
    ],
    'extra' => ['privacy' => 'privacy service', 'mail' => 'mail service', 'redirects' => 'redirects', 'zone' => 'zone service', 'certificate' => 'certificate', 'hosting' => 'hosting'],
    'fate' => ['along' => 'comes along', 'stays' => 'stays behind', 'ends' => 'ends'],
    'action' => ['add' => 'register', 'renew' => 'renew a year', 'transfer' => 'transfer in', 'restore' => 'restore', 'late' => 'late fee', 'handover' => 'hand over'],
    'reason' => ['registered' => 'it was registered lately', 'moved' => 'it came from another registrar lately', 'registrant_changed' => 'its registrant changed lately'],
    'access' => ['ours' => 'ours: we can sign in', 'theirs' => 'theirs: we can’t'],
    'docket_state' => ['prepared' => 'prepared, waits for a Steward', 'settled' => 'under way', 'closed' => 'closed', 'called_off' => 'called off'],
    'line_state' => [
        'prepared' => 'prepared', 'waiting' => 'waits', 'begun' => 'on its slip', 'by_wire' => 'told by wire', 'by_bridge' => 'told by bridge', 'asked' => 'waits for the receiver', 'unheard' => 'waits for a yes', 'done' => 'done', 'stopped' => 'stopped', 'refused' => 'refused', 'called_off' => 'called off',
    ],
    'leg' => [
        'unlock_account' => ['do' => 'Unlock the giving account', 'otherwise' => 'the registrar refuses the offer'],
        'lift_lock' => ['do' => 'Lift the lock', 'otherwise' => 'the registrar refuses the offer'],
        'offer' => ['do' => 'Offer the names to the receiving account', 'otherwise' => 'nothing moves'],
        'confirm' => ['do' => 'Confirm from the giving side', 'otherwise' => 'the offer lapses and nothing moves'],
        'accept' => ['do' => 'Accept in the receiving account', 'otherwise' => 'the offer lapses and nothing moves'],
        'lock_on' => ['do' => 'Set the lock of these names', 'otherwise' => 'they can be moved by whoever has their codes'],
        'lock_off' => ['do' => 'Lift the lock of these names', 'otherwise' => 'they can’t be moved'],
        'auto_renew_on' => ['do' => 'Switch on that these names renew by themselves', 'otherwise' => 'they end'],
        'auto_renew_off' => ['do' => 'Switch off that these names renew by themselves', 'otherwise' => 'they are charged for'],
        'registrant' => ['do' => 'Change the registrant of these names, and see that the registrar’s own letters are answered', 'otherwise' => 'the one before stays the legal holder'],
        'disclose' => ['do' => 'Set what the public record shows of the holder of these names', 'otherwise' => 'the world reads what it reads today'],
        'servers' => ['do' => 'Set exactly these name servers', 'otherwise' => 'they go on answering from where they answer today'],
        'auth_code' => ['do' => 'Ask for the auth codes of these names, and write each down on its folio', 'otherwise' => 'they can’t go to another registrar'],
        'confirm_prior' => ['do' => 'The registrant until then says yes', 'otherwise' => 'nothing is changed'],
        'confirm_new' => ['do' => 'The new registrant says yes', 'otherwise' => 'nothing is changed'],
        'lock_account' => ['do' => 'Lock the giving account again', 'otherwise' => 'whoever gets into it can move its names'],
        'set_lock' => ['do' => 'Set the lock again', 'otherwise' => 'the name can be moved by whoever has its code'],
    ],
    'explained' => [
        'roll' => 'the inventory: every name that is held',
        'sheaf' => 'the names that you have gathered, from any page, to act on together',
        'docket' => 'the record of one deed done to many names, name by name',
        'slip' => 'the work to do at a registrar’s own page: steps in order, values to copy, lines to tick',
        'handover' => 'a name goes from one account to another at the same registrar',
        'intent' => 'what is to happen at a name’s end',
        'lot' => 'the names of one docket that go together: one giving account, within the registrar’s limit',
        'chain' => 'who has held a name, from when to when, and by what deed',
        'folio' => 'one name’s own page',
    ],
    'spelt' => [
        'roll' => 'the Roll', 'sheaf' => 'the sheaf', 'docket' => 'a docket', 'slip' => 'a slip', 'handover' => 'a handover', 'intent' => 'intent', 'lot' => 'a lot', 'chain' => 'chain of title', 'folio' => 'a folio',
    ],
    'keys' => [
        '/' => 'to the search', '?' => 'to this page', 'g' => 'to the sheaf’s deed, when something is gathered', 'Tab' => 'to the next thing; the dotted words among them', 'Enter' => 'opens a dotted word’s list', 'Space' => 'ticks a row', 'Esc' => 'closes a list',
    ],
    'shapes' => [
        'filled bar' => 'time that is paid for', 'dashed outline' => 'expected, not yet so', 'thick post' => 'the end of the paid term', 'coin' => 'a charge on that date', 'bracket below' => 'a hold: from, to', 'flag' => 'a person’s deadline',
        'arrow below' => 'a movement under way', 'diagonal hatch' => 'late', 'dotted tail' => 'may take until', 'thin vertical line' => 'today',
    ],
];
