<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\ServerSet;

/** A name whose present servers and those that it is to get are asked about it. */
final readonly class ChangeWanted
{
    public function __construct(public ZoneWanted $zone, public ServerSet $to)
    {
    }
}
