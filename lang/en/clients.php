<?php

declare(strict_types=1);

// What happens at a name's end, as a client is told.
return [
    'then' => ['by_itself' => 'it renews by itself', 'when_told' => 'we renew it', 'ask_client' => 'we ask you before', 'lapse' => 'it is given up'],
];
