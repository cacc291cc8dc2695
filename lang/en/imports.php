<?php

declare(strict_types=1);

return [
    'refused' => [
        'no_name' => 'There is no name in this line.',
        'below' => 'It is a name below :name: bring in the registered name itself.',
        'ends_before_created' => 'It would end before it was registered.',
        'date' => '“:value” is no date in the order that was chosen for this file.',
        'either' => '“:value” is neither yes nor no.',
        'mailbox' => '“:value” is not a mailbox.',
        'currency' => '“:value” is in no currency that there is.',
        'amount' => '“:value” is no amount of money.',
        'long' => 'The value is longer than 200 characters.',
        'long_word' => 'The word “:value” is longer than :most letters.',
        'other_registrar' => 'The line is of :value, and the list was said to be of another registrar. Bring those lines in by themselves.',
        'meanwhile' => 'It came on the Roll by another way while this file was looked at. Bring the file in again.',
        'twice' => 'Line :line has this name already.',
        'no_account' => 'Neither the line nor the page says in which account it is.',
        'other_account' => 'On the Roll it is in :account. A file does not move a name: hand it over, or correct the file.',
        'other_client' => 'On the Roll it is held for :client. A file does not give a name to another :served.',
        'not_created' => ':what was not to be created, so the line has nowhere to go.',
    ],
    'field' => [
        'name' => 'the name', 'created' => 'registered on', 'ends' => 'ends on', 'moved' => 'came from another registrar on', 'account' => 'account number', 'client' => ':served',
        'registrant' => 'registrant', 'mailbox' => 'registrant’s mailbox', 'reference' => 'the registrar’s own number', 'intent' => 'renews by itself (yes or no)', 'lock' => 'transfer lock (yes or no)',
        'statuses' => 'status', 'disclosure' => 'public record (privacy: yes or no)', 'renewal' => 'what renewing costs', 'servers' => 'name server', 'words' => 'words', 'missing' => 'missing from the list since', 'registrar' => 'registrar', 'left_out' => 'left out', 'raw' => 'kept as it is',
    ],
    'order' => ['ymd' => 'year, month, day', 'dmy' => 'day, month, year', 'mdy' => 'month, day, year'],
    'whole_of_what' => 'A list of everything needs its account: choose it.',
    'account_elsewhere' => 'This account is at another registrar than the one chosen above.',
    'died' => 'The work on this list stopped. What is written stays written; it is tried again by itself, and goes on where it was.',
    'too_large' => 'The file has :size MB; :limit MB is the most. Nothing of it was kept. Save only the list of names, as CSV.',
    'not_sent' => 'The file did not arrive whole. Choose it again.',
    'no_name_column' => 'Say which column is the name.',
    'same_field' => 'Two columns can’t both be “:field”.',
    'order_not_said' => 'Say in which order the dates are written: their own values don’t prove it.',
    'no_account' => 'The file has no column with the account: choose the account that the list is of.',
    'too_many' => 'The list has more than :limit lines. Cut it in two.',
    'state' => ['uploaded' => 'columns to match', 'reading' => 'being read', 'read' => 'to be looked at', 'writing' => 'being written', 'done' => 'brought in', 'undoing' => 'being taken back', 'undone' => 'taken back', 'failed' => 'not readable'],
    'verdict' => ['new' => 'new', 'changed' => 'changed', 'same' => 'the same', 'refused' => 'refused', 'missing' => 'missing'],
    'progress' => [
        'reading' => ':seen lines read so far.',
        'writing' => ':seen of :total lines written, :left left.',
        'undoing' => ':left of :total lines still to be taken back.',
    ],
];
