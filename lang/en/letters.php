<?php

declare(strict_types=1);

// Letters to those outside the house, and the page behind the links in them.
return [
    'acceptance' => [
        'subject' => '{1} A domain name is to be handed to your account at :registrar|[2,*] :count domain names are to be handed to your account at :registrar',
        'body' => "{1} Good day,\n\n:house is about to hand this domain name to your account at :registrar:\n\n:names\n\nNothing moves before you have agreed. Please read and answer here, by :by:\n\n:link\n\nYou will be asked for what names your account there (:needed), so that the name can’t come to a stranger. The link is good once, and for you alone; please don’t pass it on.\n\nIf you did not expect this, answer no there, or do nothing: then nothing happens.\n\n:house"
            ."|[2,*] Good day,\n\n:house is about to hand these :count domain names to your account at :registrar:\n\n:names\n\nNothing moves before you have agreed. Please read and answer here, by :by:\n\n:link\n\nYou will be asked for what names your account there (:needed), so that the names can’t come to a stranger. The link is good once, and for you alone; please don’t pass it on.\n\nIf you did not expect this, answer no there, or do nothing: then nothing happens.\n\n:house",
        'more' => '  and :more more, which the page shows',
    ],
    'refused' => 'The receiver refused it',
    'refused_because' => 'The receiver refused it: :words',
    'written_again' => 'Another letter was written instead.',
    'called_off' => 'The docket was called off before it was sent.',
    'again' => 'Another letter is on its way; the link in the one before is good no more.',
    'state' => [
        'waiting' => 'waits to be sent', 'sending' => 'is being sent', 'sent' => 'was taken by the post', 'refused' => 'was not taken by the post', 'doubtful' => 'may have gone: the post fell silent at its end',
        'returned' => 'came back', 'kept' => 'was not sent: no mail server is set',
    ],
    'cure' => [
        'refused' => 'Nobody was reached. Ask for another mailbox, write it down at the account, and write again.',
        'returned' => 'Nobody was reached. Ask for another mailbox, write it down at the account, and write again.',
        'kept' => 'Name a mail server in the settings, then write again.',
        'doubtful' => 'It is sent once more by itself, as the same letter; then ask whether it has come.',
    ],
    'identifier' => ['number' => 'Number of your account', 'login' => 'Login of your account', 'mailbox' => 'Mailbox of your account', 'handle' => 'Public handle of your account'],
    'answer' => [
        'neither' => 'Say whether you take them or not. Nothing was changed.',
        'over' => 'This link is good no more',
        'over_says' => 'It was used already, or its day is past, or what it was for has been called off or written anew. Nothing was changed. If you still wait for something, please ask whoever wrote to you.',
        'accepted' => 'Thank you: you have agreed', 'accepted_says' => ':house now has the names handed to your account. You need not do anything else here.',
        'refused' => 'Thank you: you have said no', 'refused_says' => 'The names stay where they are, and :house sees that you refused.',
    ],
];
