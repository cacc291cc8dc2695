<?php

declare(strict_types=1);

return [
    'field' => [
        'name' => 'person', 'organisation' => 'organisation', 'street' => 'street', 'town' => 'town', 'region' => 'region', 'postcode' => 'postcode', 'country' => 'country', 'voice' => 'telephone', 'mailbox' => 'mailbox',
        'nothing' => 'nothing',
    ],
    'role' => ['registrant' => 'registrant', 'administrative' => 'administrative contact', 'technical' => 'technical contact', 'billing' => 'billing contact'],
    'kind' => ['organisation' => 'an organisation', 'person' => 'a private person', 'unknown' => 'not said: organisation or person'],
    'read' => ['shown' => 'shown', 'withheld' => 'withheld', 'replaced' => 'a privacy service’s', 'redacted' => 'redacted', 'absent' => 'nothing there', 'unseen' => 'not looked at'],
    'risk' => [
        'mailbox_lapses' => 'The mailbox lies in a name that is meant to lapse', 'mailbox_inside' => 'The mailbox lies in the very name that it guards', 'mailbox_ring' => 'Names guard each other, round and round',
        'verification_lapsed' => 'The mailbox was not verified in time', 'verify_by' => 'The mailbox must be verified', 'letters_return' => 'Letters to the mailbox come back', 'not_answered' => 'Nobody answers letters to the mailbox', 'forwards' => 'The mailbox only forwards', 'no_mailbox' => 'The registrant has no mailbox', 'takes_no_mail' => 'The mailbox’s host takes no mail', 'no_registrant' => 'Who the registrant is, is not known', 'not_told' => 'The registrar has older data of the registrant',
        'holder_person' => 'A private person is the legal holder', 'holder_unknown' => 'No :served has said that the registrant is theirs',
    ],
    'takes_mail' => ['yes' => 'its host takes mail', 'no' => 'its host takes no mail', 'unknown' => 'whether its host takes mail has not been looked at'],
    'confirms' => [
        'both' => 'the prior and the new registrant must confirm it', 'new' => 'the new registrant must confirm it', 'nobody' => 'nobody need confirm it', 'registry' => 'it goes through the registry, on a form of its own',
    ],
    'verification' => [
        'asked' => 'A letter is on its way; the link in the one before is good no more.', 'not_asked' => 'Nobody need be asked: it is verified, or the registrar asks.', 'verified' => ':mailbox is verified, and every name that carries it.', 'settled' => 'What was wrong is put right.',
        'verified_partly' => ':mailbox is verified for the names that we ask for. Its registrar still waits for an answer to its own letter.',
        'by_us' => ['letter' => 'They answered our letter on :day, which their registrar doesn’t know.', 'call' => 'They confirmed it by telephone on :day, which their registrar doesn’t know.'], 'registrar_waits' => 'The registrar asks: :senders. Only an answer to its own letter settles it.',
        'also_waits' => 'For some of these names the registrar asks itself: :senders. Our letter doesn’t settle those.', 'too_late' => 'A letter may not be answered in time: telephone the registrant today.',
        'by' => ['letter' => 'in answer to our letter', 'call' => 'by a call', 'registrar' => 'in answer to the registrar’s letter'],
    ],
    'erase' => ['done' => 'It is erased.', 'not' => 'Nothing was erased: it stands behind names, or it was erased already.', 'counts' => ['versions' => 'Versions', 'list_lines' => 'Lines of lists', 'mailboxes' => 'Mailboxes', 'letters' => 'Letters']],
    'received' => ['kind' => ['dispute' => 'A dispute', 'notice' => 'A notice', 'data_request' => 'A request for data', 'other' => 'Another letter'], 'kept' => 'The letter of :who is kept.', 'answered' => 'The letter of :who is answered.'],
    'custody' => [
        'part' => ['signs_in' => 'the login', 'second_factor' => 'the second factor', 'card' => 'the card', 'way_back' => 'the way back in'],
        'do' => [
            'signs_in' => 'Give :next a login, and take :who’s away', 'second_factor' => 'Move the second factor to :next’s device', 'card' => 'Have another card written down there, and take :who’s away', 'way_back' => 'Make new recovery codes, and give them to :next',
        ],
        'nobody_in' => '{0} Nobody here can sign in any more.|{1} Nobody here can sign in any more, and one name lies there.|[2,*] Nobody here can sign in any more, and :count names lie there.',
        'can_sign_in' => '{1} :who can sign in today: ask them first.|[2,*] :who can sign in today: ask them first.', 'ways_in' => 'The other ways back in, those that help most first:',
        'has_already' => ':next already has it; take :who’s away',
        'written' => 'Written down.', 'has_left' => ':who has left; what they hold is told as at risk until it is handed over.', 'is_back' => ':who is back.',
        'handing' => 'What :from has goes to :to', 'nothing' => 'There is nothing to hand over.',
        'done' => '{0} Nothing of it was open.|{1} Done at one account.|[2,*] Done at :count accounts.', 'left' => '{0} Nothing of it was open.|{1} Left as it is at one account.|[2,*] Left as it is at :count accounts.',
    ],
    'has_role' => 'It has that role already.',
    'saved' => ':who saved.',
    'changed' => '{0} :who saved; it stands behind no name.|{1} :who saved; the one name that it stands behind is judged anew.|[2,*] :who saved; the :count names that it stands behind are judged anew.',
    'same' => 'Nothing of :who was changed.',
    'merged_untold' => '{1} The registrar of one name still has other data: its folio says so until it is told.|[2,*] The registrars of :count names still have other data: each folio says so until they are told.',
    'merge' => ['button' => 'Put the ticked ones together', 'what' => 'The names get what the kept one says here; their registrars still have the other data, and each name says so until its registrar is told. Who was registrant when stays readable. This can’t be taken back.', 'agree' => 'everything agrees', 'differ' => 'differs: :what'],
    'merged' => '{0} Nothing was put together.|{1} One contact is part of :who now.|[2,*] :count contacts are part of :who now.',
    'cards' => '{0} No card was taken.|{1} One contact was made from a card.|[2,*] :count contacts were made from cards.',
    'cards_known' => '{1} One is here already.|[2,*] :count are here already.',
    'source' => ['typed' => 'typed', 'brought in' => 'from a list', 'card' => 'from a card', 'record' => 'from the public record'],
];
