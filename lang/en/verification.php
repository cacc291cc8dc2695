<?php

declare(strict_types=1);

return [
    'index' => [
        'forwards' => 'replies come from :other: it only forwards',
        'silent_client' => 'Nobody has answered since :day; perhaps nobody reads it. Change the mailbox, telephone, or ask :client.',
        'silent' => 'Nobody has answered since :day; perhaps nobody reads it. Change the mailbox, or telephone.',
        'count' => '{1} One mailbox, for :names names.|[2,*] :count mailboxes, for :names names.',
        'first' => 'The first :count mailboxes, for :names names.',
        'order' => 'The earliest deadline is first. One answer is enough for all names with the same mailbox.',
        'no_registrant_has_to_verify_a' => 'No registrant has to verify a mailbox today.',
        'nothing_to_verify' => 'Nothing to verify',
        'a_registration_a_transfer_in' => 'A registration, a transfer in, or a change of a registrant’s name, organisation or mailbox '
            .'requires verification. Letters are then sent automatically.',
        'status' => 'Status',
        'in_days' => '{0} today|{1} tomorrow|[2,*] in :count days',
        'suspended_by_the_rules' => 'suspended by the rules',
        'they_replied' => 'They replied:',
        'reported_as_wrong' => 'Reported as wrong:',
        'no_letter_sent_yet' => 'No letter sent yet.',
        'our_letter_of' => 'Our letter of :letter_on :letter_state',
        'domain_accepts_no_e_mail' => 'domain accepts no e-mail',
        'change_the_mailbox' => 'Change the mailbox',
        'correct_the_contact' => 'Correct the contact',
        'settle' => 'Settle',
        'verified' => 'Verified',
        'by_telephone' => 'by telephone',
        'in_answer_to_the_registrars' => 'in answer to the registrar’s letter',
        'evidence' => 'Evidence',
        'add_the_note' => 'Add the note',
        'mark_as_settled' => 'Mark as settled',
        'mark_as_corrected' => 'Mark as corrected',
        'back_to_the_first' => 'Back to the first',
        'next' => 'Next :most',
    ],
];
