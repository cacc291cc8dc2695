<?php

declare(strict_types=1);

return [
    'hand_over' => [
        'title' => 'Hand over',
        'one_line' => 'hand over to :registrar :account, for :client, answer wanted by :by',
        'short' => 'handed to :registrar :account, for :client',
    ],
    'errors' => [
        'nothing_can_go' => 'None of these names can go now, so nothing was written. The table says why for each.',
        'shown_has_changed' => 'Since this page was made something has changed: it would now do more than it showed. Nothing was done; look again and press once more.',
        'not_prepared' => 'This docket was settled or called off meanwhile. Nothing was done twice.',
        'not_yet' => 'What was done can’t have been done on :date: that day is still to come.',
        'before_it_began' => ':name came into its account only on :date, so it can’t have left it before.',
        'no_reason' => 'Say in a few words why it was refused; the proof will carry it.',
        'nobody_chosen' => 'Choose the account that is to receive them first.',
        'nothing_ticked' => 'Tick at least one name first.',
    ],
];
