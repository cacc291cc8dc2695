<?php

declare(strict_types=1);

// What each kind of thing in Rounds says, what leaving it costs, and its button.
return [
    'section' => ['now' => 'Late, suspended or deleted', 'lost' => 'Could be lost', 'dark' => 'Stops working', 'money' => 'Costs money', 'waits' => 'Waits for somebody', 'look' => 'Worth a look'],
    'see' => 'See it',
    'see_them' => 'See them',
    'renewed' => 'Record the renewal',
    'compare' => 'Compare with the registry',
    'now' => [
        'late_plain' => ['says' => 'late, for :client: renews at the normal price until :day', 'unpriced' => 'then it costs more', 'cost' => ':sum to renew', 'then' => ':sum to renew, then :fee more'],
        'late_dear' => ['says' => 'late, for :client: renews until :day', 'unpriced' => 'then it is deleted', 'cost' => ':sum to renew, then it is deleted'],
        'suspended' => ['says' => 'suspended, for :client: renews until :day', 'unpriced' => 'then it is deleted', 'cost' => ':sum to renew, then it is deleted'],
        'redemption' => ['says' => 'deleted, for :client: can be restored until :day', 'unpriced' => 'then it is lost', 'cost' => ':sum to restore, then it is lost'],
        'pending_delete' => ['says' => 'deleted, for :client: anybody can register it from :day', 'cost' => 'can’t be restored any more'],
        'released' => ['says' => 'by its dates anybody can register it, for :client', 'cost' => 'whoever registers it has it'],
        'gone' => ['says' => 'its registry no longer has it, for :client', 'cost' => 'ask its registrar today whether it can be restored'],
        'asked_too_late' => ['says' => ':client has not said whether to keep it; it ends on :day', 'cost' => 'site and mail stop'],
        'presumed' => ['says' => 'auto-renew has not been confirmed, for :client; otherwise it is suspended or deleted by now', 'unpriced' => 'can be kept until :day', 'cost' => 'can be kept until :day'],
    ],
    'ends' => ['says' => 'ends, for :client, unless it is renewed', 'cost' => 'site and mail stop', 'renewing' => ':sum to renew'],
    'ask' => ['says' => ':client is to say whether it is kept', 'cost' => 'ends :at', 'deed' => 'Write down what they say'],
    'unconfirmed' => [
        'charge_unconfirmed' => 'was to be charged to :account, and still ends',
        'presumed' => 'should have renewed at :account; nothing confirms it',
        'cost' => 'may not have renewed',
    ],
    'charge' => ['says' => 'charged by itself to :account', 'unknown' => 'price not written down'],
    'missing' => ['says' => 'missing from the whole list of :account', 'cost' => 'gone elsewhere, or deleted'],
    'held' => ['says' => 'on hold, for :client; paid until :ends', 'unpaid' => 'on hold, for :client', 'cost' => 'site and mail do not work'],
    'handing' => ['says' => '{1} one account left to do|[2,*] :count accounts left to do', 'cost' => ':from can still get in there', 'deed' => 'Open the slip'],
    'custody' => ['cost' => '{0} nothing lies there today|{1} nobody gets at the one name in it|[2,*] nobody gets at the :count names in it'],
    'privacy' => ['says' => 'its privacy service ends, for :client', 'cost' => 'then everybody reads who holds it', 'deed' => 'Look at it'],
    'card' => ['says' => 'the card of :who that pays there ends', 'cost' => 'charges are refused', 'deed' => 'Write another down'],
    'received' => [
        'dispute' => 'a dispute is to be answered', 'notice' => 'a notice is to be answered', 'data_request' => 'data is asked for', 'other' => 'a letter is to be answered',
        'dispute_cost' => 'lost for want of an answer', 'cost' => 'they wait', 'deed' => 'See it',
    ],
    'verify' => [
        'open' => '{1} must be verified for one name|[2,*] must be verified for :count names', 'returned' => '{1} must be verified for one name, and our letter came back|[2,*] must be verified for :count names, and our letter came back',
        'silent' => '{1} must be verified for one name, and nobody answers our letters|[2,*] must be verified for :count names, and nobody answers our letters',
        'written' => '{1} guards one name, and somebody wrote back to our letter|[2,*] guards :count names, and somebody wrote back to our letter',
        'objected' => '{1} guards one name, and its holder says that the data is wrong|[2,*] guards :count names, and its holder says that the data is wrong', 'registrar' => '{1} must be verified for one name, in answer to a letter of :senders|[2,*] must be verified for :count names, in answer to a letter of :senders',
        'cost' => 'switched off', 'deed' => 'See to it',
    ],
    'mailbox' => [
        'says' => '{1} guards one name, and lies in :site, which is meant to lapse that day|[2,*] guards :count names, and lies in :site, which is meant to lapse that day',
        'cost' => 'whoever registers it next reads their mail', 'deed' => 'Give them another mailbox',
    ],
    'hold' => ['says' => 'may go to another registrar from then on, for :client', 'cost' => 'nothing is lost'],
    'docket' => [
        'prepared' => 'prepared; a Steward settles it',
        'half' => 'slip half ticked: :done of :meant done',
        'waiting' => 'not yet accepted',
        'cost' => ['prepared' => 'docket :docket', 'half' => 'docket :docket', 'waiting' => 'nothing moves otherwise'],
        'deed' => ['prepared' => 'Look at it', 'half' => 'Go on', 'waiting' => 'See it'],
    ],
    'lock' => [
        'says' => '{1} lock lifted for docket :docket, and not seen to be on again|[2,*] locks lifted for docket :docket, and not seen to be on again',
        'cost' => 'anybody with its auth code can transfer it away', 'deed' => 'Set the lock',
    ],
    'gate' => [
        'says' => 'the gate is now :gate; its password was given for another', 'cost' => '{0} nothing is sent there until somebody confirms it|{1} one order waits until somebody confirms it|[2,*] :count orders wait until somebody confirms it', 'deed' => 'Confirm it',
    ],
    'unlocked' => ['says' => 'unlocked for docket :docket; nobody has said that it is locked again', 'deed' => 'Lock it there'],
    'away' => ['says' => 'its gate does not answer', 'cost' => '{1} one order waits|[2,*] :count orders wait'],
    'stopped' => ['docket' => 'Docket :docket', 'house' => 'Work set aside', 'cost' => 'it waits, and is tried again by itself', 'deed' => 'See why'],
    'list' => [
        'waits' => 'a list that nobody has brought in yet',
        'refused' => '{1} one line of the list was refused|[2,*] :count lines of the list were refused',
        'cost' => ['waits' => 'its names are not on the Roll', 'refused' => 'they are not on the Roll'],
        'deed' => ['waits' => 'Go on', 'refused' => 'See them'],
    ],
    'told' => [
        'nothing' => 'Nothing is due in the next two weeks.',
        'more_than' => 'More than',
        'things' => '{1} One thing|[2,*] :count things',
        'today' => '{0} none of them today|{1} one of them today|[2,*] :count of them today',
        'sums' => 'Keeping what falls due within :days days costs :sums.', 'unpriced' => '{1} One name has no price on record.|[2,*] :count names have no price on record.',
        'amiss' => '{1} One name is late, suspended or deleted|[2,*] :count names are late, suspended or deleted',
        'dark' => '{1} one name goes dark|[2,*] :count names go dark',
    ],
    'letter_failed' => [
        'refused' => 'A letter that asks for a receiver’s word was not taken by the post', 'returned' => 'A letter that asks for a receiver’s word came back', 'kept' => 'A letter that asks for a receiver’s word was not sent: no mail server is set',
        'doubtful' => 'A letter that asks for a receiver’s word may not have gone', 'cost' => 'the handover lapses unanswered', 'deed' => 'See and write again',
    ],
    'letter' => ['wanted' => 'It is written to you every morning.', 'unwanted' => 'It is written to you no more.'],
    'what_was_done' => 'Say in a few words what was done.',
    'still' => ':who said on :day: “:what”. It is still so.',
    'dealt' => [
        'title' => 'Done and put off', 'says' => 'What people said of things in Rounds. Where the facts disagree the day after, the thing is back in Rounds, and says so here.', 'none' => 'Nobody has marked anything as done or put it off yet.',
        'done' => 'Done on :day', 'off' => 'Put off until :day', 'over' => 'Put off until :day; that has passed', 'again' => 'Still so: back in Rounds', 'because' => 'no reason given', 'back' => 'Put it back',
    ],
    'marked' => ['done' => 'Written down as done.', 'off' => 'Put off until :day.', 'given' => 'Given to :who.', 'back' => 'Back in Rounds.'],
];
