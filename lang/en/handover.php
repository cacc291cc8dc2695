<?php

declare(strict_types=1);

return [
    'account_locked' => 'It is written down that the account is locked again.',
    'asked_first' => 'A letter asks the receiver first; unanswered by :by, nothing moves.',
    'confirms' => [
        'nobody' => 'Nobody is asked: what the registrar’s page does is done at once.',
        'receiver' => 'The receiver is asked to accept; unanswered by :by, nothing moves.',
        'giver_then_receiver' => 'We confirm, then the receiver accepts; unanswered by :by, nothing moves.',
        'receiver_then_giver' => 'The receiver accepts, then we confirm; unanswered by :by, nothing moves.',
    ],
];
