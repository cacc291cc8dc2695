<?php

declare(strict_types=1);

// What happens at a name's end, as a client is told.
return [
    'docket' => ['prepared' => 'prepared', 'settled' => 'under way'],
    'year' => 'A year of them costs', 'first' => 'Their names, what is due first', 'names' => 'Name', 'more' => '{1} One more name on the Roll|[2,*] :count more names on the Roll',
    'open' => 'Open with them', 'registrants' => 'Registrants', 'count' => '{1} one name|[2,*] :count names',
    'then' => ['by_itself' => 'it auto-renews', 'when_told' => 'we renew it if you tell us to', 'ask_client' => 'we ask you first', 'lapse' => 'it lapses'],
];
