<?php

declare(strict_types=1);

// Letters to those outside the house, and the page behind the links in them.
return [
    // What ships; a Steward may write another. {one|many} by how many names it is about, and :words that each letter fills in.
    'text' => [
        'acceptance' => [
            'subject' => '{A domain name is|:count domain names are} to be handed to your account at :registrar',
            'body' => "Good day,\n\n:house is about to hand {this domain name|these :count domain names} to your account at :registrar:\n\n:names\n\nNothing moves before you have agreed. Please read and answer here, by :by:\n\n:link\n\nYou will be asked for what names your account there (:needed), so that {the name|the names} can’t come to a stranger. The link is good once, and for you alone; please don’t pass it on.\n\nIf you did not expect this, answer no there, or do nothing: then nothing happens.\n\n:house",
        ],
        'confirmation_prior' => [
            'subject' => '{:name is|:count domain names are} to get another holder: please agree',
            'body' => "You stand as the holder of {this domain name|these domain names}, which :house looks after:\n\n:names\n\n{It is|They are} to get another holder. That needs your yes: please see who it is and answer here, by :by:\n\n:link\n\nNothing is changed before you have agreed. If you did not expect this, say no there, or do nothing: then you remain the holder. Nothing is to be paid.\n\nIf you don’t know what this is about, ask :house.",
        ],
        'confirmation_new' => [
            'subject' => 'You are to become the holder of {:name|:count domain names}: please agree',
            'body' => "You are to become the holder of {this domain name|these domain names}, which :house looks after:\n\n:names\n\nThat needs your yes. Please see what will stand on record, and what you agree to, and answer here, by :by:\n\n:link\n\nNothing is changed before you have agreed, and nothing is to be paid. Your yes also shows that this mailbox is read, which the rules for many names ask for.\n\nIf you don’t know what this is about, ask :house.",
        ],
        'verification_first' => [
            'subject' => 'Please confirm your details for {:name|:count domain names}',
            'body' => ":house looks after {this domain name|these domain names} for you:\n\n:names\n\nThe rules for such names ask that whoever holds one confirms that this mailbox is read. Please look at what is on record and say whether it is right. {It takes a minute|One answer serves them all}, and nothing is to be paid:\n\n:link\n\nPlease do so by :by. Without an answer {the name is|the names are} switched off: {its|their} web pages and mail stop until somebody confirms.\n\nIf you don’t know what this is about, ask :house, or whoever looks after your web pages.",
        ],
        'verification_reminder' => [
            'subject' => 'Still to be confirmed by :by: your details for {a domain name|:count domain names}',
            'body' => ":house looks after {this domain name|these domain names} for you, and nobody has confirmed yet what is on record:\n\n:names\n\nThe rules for such names ask that whoever holds one confirms that this mailbox is read. Please look at what is on record and say whether it is right. {It takes a minute|One answer serves them all}, and nothing is to be paid:\n\n:link\n\nPlease do so by :by. Without an answer {the name is|the names are} switched off: {its|their} web pages and mail stop until somebody confirms.\n\nIf you don’t know what this is about, ask :house, or whoever looks after your web pages.",
        ],
        'yearly' => [
            'subject' => 'Once a year: what is on record for your domain {name|names}',
            'body' => "Once a year whoever holds domain names is told what is on record of them. This is it for :year:\n\n:records\n\nIf it is right, you need not do anything. If something is wrong, please write to :house: wrong data can cost a name.",
        ],
    ],
    'title' => [
        'acceptance' => 'A receiver of names is asked whether they take them', 'confirmation_prior' => 'The registrant until then is asked whether they agree', 'confirmation_new' => 'The new registrant is asked whether they agree',
        'verification_first' => 'A mailbox must be verified: the first letter', 'verification_reminder' => 'A mailbox must be verified: the day nears', 'yearly' => 'Once a year: what is on record',
    ],
    'word' => [
        'house' => 'how the house is called', 'registrar' => 'the registrar', 'name' => 'the first of the names', 'names' => 'the names, one a line', 'count' => 'how many names', 'by' => 'the day by which an answer is wanted',
        'link' => 'the link to answer by; it stands only in what is sent', 'needed' => 'what names their account', 'year' => 'the year', 'records' => 'what is on record, with the names',
    ],
    'more' => '  and :more more, which the page shows',
    'record' => ":data\n\nIt stands behind these names:\n\n:names",
    'verified_meanwhile' => 'answered before it was sent',
    'sample' => ['registrar' => 'Northgate Names', 'needed' => 'number and login', 'record' => "Wickerby Bell Foundry\nFoundry Lane 1\nWickerby WS1 4AB\nGB"],
    'errors' => ['lacks' => 'It must say :what: :why', 'unknown' => 'There is no :what here; what can stand in it is listed beside', 'uneven' => 'What stands in braces is written {one|many}: :what is not'],
    'saved' => 'That letter reads so from now on; those that were written already are as they were.', 'shipped' => 'That letter reads as it ships again.',
    'declined' => ':who said no', 'declined_because' => ':who said no: :words',
    'refused' => 'The receiver refused it',
    'refused_because' => 'The receiver refused it: :words',
    'written_again' => 'Another letter was written instead.',
    'called_off' => 'The docket was called off before it was sent.',
    'again' => 'Another letter is on its way; the link in the one before is good no more.',
    'state' => [
        'waiting' => 'waits to be sent', 'sending' => 'is being sent', 'sent' => 'was taken by the post', 'refused' => 'was not taken by the post', 'doubtful' => 'may have gone: the post fell silent at its end',
        'returned' => 'came back', 'kept' => 'was not sent: no mail server is set', 'called_off' => 'is not sent any more',
    ],
    'cure' => [
        'refused' => 'Nobody was reached. Ask for another mailbox, write it down, and write again.',
        'returned' => 'Nobody was reached. Ask for another mailbox, write it down, and write again.',
        'kept' => 'Name a mail server in the settings, then write again.',
        'doubtful' => 'It is sent once more by itself, as the same letter; then ask whether it has come.',
    ],
    'identifier' => ['number' => 'Number of your account', 'login' => 'Login of your account', 'mailbox' => 'Mailbox of your account', 'handle' => 'Public handle of your account'],
    'late' => [
        'title' => 'The day to answer has passed', 'says' => 'Nothing happens any more by itself. Say what you want all the same: :house sees it and decides whether it still counts.',
        'words' => 'Anything you want to add', 'yes' => 'I agree', 'no' => 'I don’t agree',
        'seen' => ':mailbox answered on :day, after the day to answer: :what.', 'agreed' => 'agrees', 'declined' => 'does not agree', 'decide' => 'Nothing was done by it. To let it count, write again below; they can then answer in time.',
    ],
    'answer' => [
        'late' => 'Thank you: your answer is heard', 'late_says' => ':house sees what you said, and that it came after its day. Nothing has changed yet.',
        'password_set' => 'Your password is set', 'password_set_says' => 'Sign in to :house with it now. If you did not ask for this, tell whoever runs the house.',
        'password_over' => 'This link is good no more', 'password_over_says' => 'It was used already, a newer letter was written, or its time is over. Nothing was changed.',
        'neither_right' => 'Say whether it is right or not. Nothing was changed.', 'say_what' => 'Say what is wrong, so that it can be put right. Nothing was changed.',
        'verified' => 'Thank you: you have confirmed it', 'verified_says' => 'Nothing else is to be done. :house sees that you confirmed it.',
        'objected' => 'Thank you: you have said what is wrong', 'objected_says' => ':house sees what you wrote, and will put it right or ask you.',
        'neither_agreed' => 'Say whether you agree or not. Nothing was changed.',
        'agreed' => 'Thank you: you have agreed', 'agreed_says' => ':house sees that you agreed. You need not do anything else here.',
        'declined' => 'Thank you: you have said no', 'declined_says' => 'Everything stays as it is, and :house sees that you said no.',
        'neither' => 'Say whether you take them or not. Nothing was changed.',
        'over' => 'This link is good no more',
        'over_says' => 'It was used already, or its day is past, or what it was for has been called off or written anew. Nothing was changed. If you still wait for something, please ask whoever wrote to you.',
        'accepted' => 'Thank you: you have agreed', 'accepted_says' => ':house now has the names handed to your account. You need not do anything else here.',
        'refused' => 'Thank you: you have said no', 'refused_says' => 'The names stay where they are, and :house sees that you refused.',
    ],
];
