<?php

declare(strict_types=1);

// Work that failed and is tried again.
return [
    'kind' => [
        'docket' => 'Docket',
        'docket_line' => 'Name in a docket',
        'acceptance' => 'The receiver’s answer,',
        'confirmation' => 'A registrant’s answer,',
        'order' => 'Order for',
        'message' => 'Message from the registrar',
        'letter' => 'Letter',
        'mailbox' => 'Writing to a mailbox',
        'look' => 'Check of',
        'import' => 'Import',
        'standing' => 'Standing of',
    ],
    'says' => [
        'docket' => '{1} a docket could not continue|[2,*] :count dockets could not continue',
        'docket_line' => '{1} one name could not be started|[2,*] :count names could not be started',
        'acceptance' => '{1} the receiver answered, and that could not be carried out|[2,*] :count receivers answered, and that could not '
            .'be carried out',
        'confirmation' => '{1} a registrant answered, and that could not be carried out|[2,*] :count registrants answered, and that could '
            .'not be carried out',
        'order' => '{1} one order got no answer, or one that could not be used|[2,*] :count orders got no answer, or one that could not '
            .'be used',
        'message' => '{1} one message of the registrar could not be used|[2,*] :count messages of the registrar could not be used',
        'letter' => '{1} one letter could not be sent|[2,*] :count letters could not be sent',
        'mailbox' => '{1} one mailbox could not be written to|[2,*] :count mailboxes could not be written to',
        'look' => '{1} one name could not be checked|[2,*] :count names could not be checked',
        'import' => '{1} an import could not continue|[2,*] :count imports could not continue',
        'standing' => '{1} one name could not be judged|[2,*] :count names could not be judged',
    ],
    'failed' => 'It failed. An Owner can read why and try it again.',
    'tries' => '{1} Failed once, :since; next attempt :next|[2,*] Failed :count times since :since; next attempt :next',
    'again' => 'It is being retried now.',
    'index' => [
        'work_that_failed_is_set_aside' => 'Work that failed is set aside, so that it holds up nothing else, and retried automatically '
            .'after growing intervals. “Try again” retries it now.',
        'nothing_has_failed' => 'Nothing has failed.',
        'waiting_to_be_retried' => 'Waiting to be retried',
        'jobs_that_failed' => 'Jobs that failed',
        'a_job_that_was_cut_off_loses' => 'A job that was cut off loses nothing: the next one continues its work. A job that keeps '
            .'failing points to an error in Acre Roll.',
        'try_again' => 'Try again',
    ],
];
