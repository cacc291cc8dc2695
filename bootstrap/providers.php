<?php

declare(strict_types=1);

return [
    App\Providers\DeedServiceProvider::class,
    App\Providers\HouseServiceProvider::class,
    App\Providers\OutsideServiceProvider::class,
];
