<?php

declare(strict_types=1);

return [
    'form' => [
        'add_incoming_mail' => 'Add incoming mail',
        'incoming_mail' => 'Incoming mail',
        'kind' => 'Kind',
        'a_registry_a_registrar_a' => 'A registry, a registrar, a lawyer, a person',
        'received_on' => 'Received on',
        'empty_no_answer_needed' => 'Empty: no answer needed',
        'names_concerned' => 'Names concerned',
        'names_on_the_roll_one_per_line' => 'Names on the Roll, one per line or separated by commas',
        'file' => 'File',
    ],
    'index' => [
        'answer' => 'Answer: :answer',
        'from' => ':kind from :sender, :day',
        'answered' => 'Answered',
        'waiting' => 'Waiting for an answer',
        'what' => 'From registries, registrars and complainants. Letters with a deadline appear in Rounds.',
        'open' => '{0} No letters are waiting for an answer.|{1} One letter is waiting for an answer.|[2,*] :count letters are waiting '
            .'for an answer.',
        'incoming_mail' => 'Incoming mail',
        'add_one' => 'Add one',
        'no_incoming_mail' => 'No incoming mail',
        'add_disputes_notices_and' => 'Add disputes, notices and requests for data here, with the names concerned and the day by which '
            .'you must answer.',
        'answered_on' => 'answered on :answered_on',
        'by' => 'by :answer_by',
        'no_deadline' => 'no deadline',
        'mark_as_answered' => 'Mark as answered',
        'what_you_answered_and_how' => 'What you answered, and how',
    ],
];
