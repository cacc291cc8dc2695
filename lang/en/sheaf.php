<?php

declare(strict_types=1);

return [
    'full' => '{1} The sheaf holds :limit names at most; one did not fit.|[2,*] The sheaf holds :limit names at most; :count did not fit.',
];
