<?php

declare(strict_types=1);

// Letters to those outside the house, and the page behind the links in them.
return [
    'read_and_answer' => 'Read and answer',
    // What ships; a Steward may write another. {one|many} by how many names it is about, and :words that each letter fills in.
    'text' => [
        'acceptance' => [
            'subject' => '{A domain name is|:count domain names are} being handed to your account at :registrar',
            'body' => "Hello,\n\n:house is about to hand {this domain name|these :count domain names} to your account at "
                .":registrar:\n\n:names\n\nNothing moves unless you agree. Please read and answer here by :by:\n\n:link\n\nYou will be "
                .'asked for the details of your account there (:needed), so that {the name|the names} can’t go to a stranger. The link '
                ."works once and is for you alone; please don’t pass it on.\n\nIf you did not expect this, refuse there, or do nothing: "
                ."then nothing happens.\n\n:house",
        ],
        'confirmation_prior' => [
            'subject' => 'Do you agree to a new registrant of {:name|:count domain names}?',
            'body' => "You are the registrant of {this domain name|these domain names}, which :house looks after:\n\n:names\n\n{It "
                .'is|They are} about to get a new registrant. This needs your agreement: please see who it is, and answer here by '
                .":by:\n\n:link\n\nNothing changes unless you agree. If you did not expect this, refuse there, or do nothing: then you "
                ."remain the registrant. There is nothing to pay.\n\nIf you don’t know what this is about, ask :house.",
        ],
        'confirmation_new' => [
            'subject' => 'Do you agree to become the registrant of {:name|:count domain names}?',
            'body' => 'You are about to become the registrant of {this domain name|these domain names}, which :house looks '
                ."after:\n\n:names\n\nThis needs your agreement. Please see what the record will show and what you agree to, and answer "
                ."here by :by:\n\n:link\n\nNothing changes unless you agree, and there is nothing to pay. Your answer also verifies this "
                ."mailbox, as the rules for many names require.\n\nIf you don’t know what this is about, ask :house.",
        ],
        'verification_first' => [
            'subject' => 'Please confirm your details for {:name|:count domain names}',
            'body' => ":house looks after {this domain name|these domain names} for you:\n\n:names\n\nThe rules for such names require "
                .'their registrant to confirm that this mailbox is read. Please check your details and tell us whether they are right. '
                ."{It takes a minute|One answer is enough for all of them}, and there is nothing to pay:\n\n:link\n\nPlease do so by :by. "
                .'Without an answer {the name is|the names are} suspended: {its|their} web pages and e-mail stop working until you '
                ."confirm.\n\nIf you don’t know what this is about, ask :house, or whoever looks after your web pages.",
        ],
        'verification_reminder' => [
            'subject' => 'Please confirm by :by: your details for {a domain name|:count domain names}',
            'body' => ':house looks after {this domain name|these domain names} for you, and nobody has confirmed your details '
                ."yet:\n\n:names\n\nThe rules for such names require their registrant to confirm that this mailbox is read. Please check "
                .'your details and tell us whether they are right. {It takes a minute|One answer is enough for all of them}, and there is '
                ."nothing to pay:\n\n:link\n\nPlease do so by :by. Without an answer {the name is|the names are} suspended: {its|their} "
                ."web pages and e-mail stop working until you confirm.\n\nIf you don’t know what this is about, ask :house, or whoever "
                .'looks after your web pages.',
        ],
        'codes' => [
            'subject' => 'The auth {code|codes} of {:name|:count domain names}, for the transfer to :registrar',
            'body' => "Hello,\n\n{this domain name is|these :count domain names are} ready to be transferred to :registrar:\n\n:names\n\n"
                .'The auth {code is|codes are} not in this letter. Please read {it|them} here by :by; {it is|they are} shown '
                ."once:\n\n:link\n\nThe link is for you alone; please don’t pass it on. Then order the transfer at :registrar, and "
                ."enter {the code|each code} there.\n\nIf you did not expect this, please tell :house.\n\n:house",
        ],
        'ending_month' => [
            'subject' => '{A domain name of yours expires|:count domain names of yours expire} within a month',
            'body' => "Hello,\n\n{this domain name is|these domain names are} not set to renew:\n\n:names\n\n"
                .'If you want to keep {it|them}, please tell us in good time. After that day {it stops|they stop} working: web pages, '
                ."and all mail under {it|them}.\n\nThe registrar may write to you about this as well. Please don’t pay anybody else "
                ."for {it|them}: ask us first.\n\n:house",
        ],
        'ending_week' => [
            'subject' => '{A domain name of yours expires|:count domain names of yours expire} within a week',
            'body' => "Hello,\n\nin a week or less {this domain name expires|these domain names expire}, and {it is|they are} not set "
                ."to renew:\n\n:names\n\nIf you want to keep {it|them}, please tell us now. After that day {it stops|they stop} working: "
                ."web pages, and all mail under {it|them}.\n\n:house",
        ],
        'ending_today' => [
            'subject' => '{A domain name of yours has|:count domain names of yours have} expired',
            'body' => "Hello,\n\nthe term of {this domain name|these domain names} is over:\n\n:names\n\n{It|They} can still be renewed "
                .'for some days, mostly at the usual price. If you want to keep {it|them}, please tell us at once: web pages and mail '
                ."under {it|them} may stop at any time.\n\n:house",
        ],
        'ending_over' => [
            'subject' => 'Last days for {a domain name of yours|:count domain names of yours}',
            'body' => "Hello,\n\n{this domain name|these domain names} expired, and nobody has renewed {it|them}:\n\n:names\n\nSoon "
                .'{it is|they are} deleted. After that {it|they} can be had back only for a short while and at many times the price, '
                ."if at all. If you want to keep {it|them}, please tell us at once.\n\n:house",
        ],
        'renewals_first' => [
            'subject' => 'Which of your domain names do you keep? Please answer by :by',
            'body' => "Hello,\n\n{this domain name expires|these :count domain names expire} soon:\n\n:names\n\nPlease tell us by :by "
                ."which to keep, and for how long:\n\n:link\n\nThere is nothing to pay there. A name that lapses stops working: its web "
                ."pages, and all mail under it.\n\nThe link works once and is for you alone; please don’t pass it on.\n\n:house",
        ],
        'renewals_reminder' => [
            'subject' => 'Please answer by :by: which domain names do you keep?',
            'body' => "Hello,\n\nwe asked you about {this domain name|these :count domain names}, and have no answer yet:\n\n:names\n\n"
                .'Please tell us by :by which to keep, and for how long. The link in our earlier letter no longer works; this one '
                ."does:\n\n:link\n\nA name that lapses stops working: its web pages, and all mail under it.\n\n:house",
        ],
        'yearly' => [
            'subject' => 'Your yearly reminder: the record of your domain {name|names}',
            'body' => "Once a year, registrants of domain names are sent the data on record. This is yours for :year:\n\n:records\n\nIf "
                .'it is right, you need not do anything. If something is wrong, please write to :house: wrong data can cost you a name.',
        ],
    ],
    'title' => [
        'acceptance' => 'Asks a receiver to accept names',
        'confirmation_prior' => 'Asks the present registrant to agree',
        'confirmation_new' => 'Asks the new registrant to agree',
        'verification_first' => 'Verification: first letter',
        'verification_reminder' => 'Verification: reminder',
        'codes' => 'Gives auth codes to whoever transfers names away',
        'ending_month' => 'Names expire within a month',
        'ending_week' => 'Names expire within a week',
        'ending_today' => 'Names have expired',
        'ending_over' => 'Last days of names that expired',
        'renewals_first' => 'Asks a client which names to keep',
        'renewals_reminder' => 'Which names to keep: reminder',
        'yearly' => 'Yearly reminder of the data on record',
    ],
    'word' => [
        'house' => 'the name of your organisation',
        'registrar' => 'the registrar',
        'name' => 'the first of the names',
        'names' => 'the names, one a line',
        'count' => 'how many names',
        'by' => 'the last day to answer',
        'link' => 'the link to answer; it is only in the letter that is sent',
        'needed' => 'the identifiers of their account',
        'year' => 'the year',
        'records' => 'what is on record, with the names',
    ],
    'more' => '  and :more more, which the page shows',
    'record' => ":data\n\nIt is used for these names:\n\n:names",
    'verified_meanwhile' => 'answered before it was sent',
    'sample' => [
        'registrar' => 'Northgate Names',
        'needed' => 'number and login',
        'record' => "Wickerby Bell Foundry\nFoundry Lane 1\nWickerby WS1 4AB\nGB",
    ],
    'errors' => [
        'lacks' => 'It must contain :what: :why',
        'unknown' => 'There is no placeholder :what here; the placeholders are listed beside',
        'uneven' => 'Text in braces must be written {one|many}; :what is not',
    ],
    'saved' => 'Saved. Letters already written stay as they are.',
    'shipped' => 'The default text is restored.',
    'declined' => ':who refused',
    'declined_because' => ':who refused: :words',
    'refused' => 'The receiver refused it',
    'refused_because' => 'The receiver refused it: :words',
    'written_again' => 'Another letter was written instead.',
    'called_off' => 'The docket was cancelled before it was sent.',
    'again' => 'Another letter is on its way. The link in the earlier one no longer works.',
    'state' => [
        'waiting' => 'is waiting to be sent',
        'sending' => 'is being sent',
        'sent' => 'was sent',
        'refused' => 'was refused by the mail server',
        'doubtful' => 'may have been sent: the mail server stopped answering',
        'returned' => 'came back',
        'kept' => 'was not sent: no mail server is set up',
        'called_off' => 'was cancelled',
    ],
    'cure' => [
        'refused' => 'It reached nobody. Ask for another mailbox, record it, and write again.',
        'returned' => 'It reached nobody. Ask for another mailbox, record it, and write again.',
        'kept' => 'Set up a mail server in the settings, then write again.',
        'doubtful' => 'It will be sent once more automatically, as the same letter. Then ask whether it has arrived.',
    ],
    'identifier' => [
        'number' => 'Number of your account',
        'login' => 'Login of your account',
        'mailbox' => 'Mailbox of your account',
        'handle' => 'Public handle of your account',
    ],
    'late' => [
        'title' => 'The day to answer has passed',
        'says' => 'Nothing will happen automatically any more. You can still answer: :house will see it and decide whether it still '
            .'counts.',
        'words' => 'Anything you want to add',
        'yes' => 'I agree',
        'no' => 'I don’t agree',
        'seen' => ':mailbox answered on :day, too late: :what.',
        'agreed' => 'agrees',
        'declined' => 'does not agree',
        'decide' => 'This changed nothing. To accept it, write again below, so that they can answer in time.',
    ],
    'answer' => [
        'late' => 'Thank you for your answer',
        'late_says' => ':house sees your answer, and that it came late. Nothing has changed yet.',
        'password_set' => 'Your password is set',
        'password_set_says' => 'Sign in to :house with it now. If you did not ask for this, tell your administrator.',
        'password_over' => 'This link no longer works',
        'password_over_says' => 'It has been used, a newer letter was sent, or it has expired. Nothing was changed.',
        'neither_right' => 'Choose whether it is correct or not. Nothing was changed.',
        'say_what' => 'Enter what is wrong, so that it can be corrected. Nothing was changed.',
        'verified' => 'Thank you: you have confirmed it',
        'verified_says' => 'You need not do anything else. :house sees that you confirmed it.',
        'objected' => 'Thank you for telling us what is wrong',
        'objected_says' => ':house sees what you wrote, and will correct it or ask you.',
        'neither_agreed' => 'Choose whether you agree or not. Nothing was changed.',
        'agreed' => 'Thank you: you have agreed',
        'agreed_says' => ':house sees that you agreed. You need not do anything else here.',
        'declined' => 'Thank you: you have refused',
        'declined_says' => 'Everything stays as it is, and :house sees that you refused.',
        'neither' => 'Choose whether you accept them or not. Nothing was changed.',
        'over' => 'This link no longer works',
        'over_says' => 'It has been used or has expired, or the request was cancelled or sent again. Nothing was changed. If you are '
            .'still waiting for something, please ask whoever wrote to you.',
        'accepted' => 'Thank you: you have agreed',
        'accepted_says' => ':house will now hand the names to your account. You need not do anything else here.',
        'refused' => 'Thank you: you have refused',
        'refused_says' => 'The names stay where they are, and :house sees that you refused.',
    ],
    'form' => [
        'for_three' => 'For three names',
        'for_one' => 'For one name',
        'subject' => 'Subject',
        'placeholders' => 'Placeholders',
        'required' => 'required',
        'one_many' => '{one|many}',
        'one_for_a_single_name_many_for' => '“one” for a single name, “many” for several',
        'language' => 'In:',
        'restore_the_default_text' => 'Restore the default text',
    ],
    'index' => [
        'letters_to_people_outside_a' => 'Letters to people outside. A Steward can change the texts; letters already written stay as they '
            .'are.',
        'letter' => 'Letter',
        'subject_for_three_names' => 'Subject, for three names',
        'text' => 'Text',
        'our_own_since' => 'our own, since :updated_at',
        'default_text' => 'default text',
    ],
];
