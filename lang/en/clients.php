<?php

declare(strict_types=1);

// What happens at a name's end, as a client is told.
return [
    'docket' => ['prepared' => 'prepared', 'settled' => 'under way'],
    'year' => 'A year of them costs', 'first' => 'Their names, what is due first', 'names' => 'Name', 'more' => '{1} One more name on the Roll|[2,*] :count more names on the Roll',
    'open' => 'Open with them', 'registrants' => 'Registrants', 'count' => '{1} one name|[2,*] :count names',
    'then' => ['by_itself' => 'it auto-renews', 'when_told' => 'we renew it if you tell us to', 'ask_client' => 'we ask you first', 'lapse' => 'it lapses'],
    'merge' => [
        'open' => 'Merge', 'title' => 'Merge another :served into :kept', 'what' => 'For two entries that are the same :served. What is held for the other, now and in the past, is held for this one.',
        'alike' => 'Called nearly the same:', 'other' => 'The other entry', 'choose' => 'choose one', 'look' => 'Show what would move', 'moves' => 'From :other to :kept',
        'count' => [
            'names' => '{1} one name that is held today|[2,*] :told names that are held today', 'past' => '{1} one name of the past|[2,*] :told entries of the past', 'watched' => '{1} one name that is only watched|[2,*] :told names that are only watched',
            'accounts' => '{1} one account|[2,*] :told accounts', 'contacts' => '{1} one contact|[2,*] :told contacts', 'notes' => '{1} one note|[2,*] :told notes',
        ],
        'nothing' => 'nothing: it has no names, accounts, contacts or notes', 'spelling' => '“:other” is kept as another spelling: the next list that uses it means this :served. Mailbox and pattern come along only where this one has none. It can’t be taken back.',
        'do' => 'Merge :other into :kept', 'done' => ':other is part of :kept now.', 'not_there' => 'Choose another entry: this one is gone, or part of another already.', 'house' => 'The house itself can’t become part of another.',
    ],
];
