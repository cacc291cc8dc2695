<?php

declare(strict_types=1);

// What happens at a name's end, as a client is told.
return [
    'then' => ['by_itself' => 'it auto-renews', 'when_told' => 'we renew it if you tell us to', 'ask_client' => 'we ask you first', 'lapse' => 'it lapses'],
];
