<?php

declare(strict_types=1);

return ['kind' => ['names' => 'Names', 'alike' => 'Names that come close', 'accounts' => 'Accounts', 'clients' => ':Served_many', 'registrars' => 'Registrars', 'dockets' => 'Dockets']];
