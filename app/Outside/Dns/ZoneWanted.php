<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\ServerSet;
use Acre\Core\Name\DomainName;
use Acre\Core\Zone\ZoneCopy;

/** A name whose present servers are asked for its zone. */
final readonly class ZoneWanted
{
    /**
     * @param  ServerSet  $ours  those that our record has, which are asked where the registry delegates to nobody
     * @param  ZoneCopy|null  $known  what is known to stand in it, and is asked for beside the usual
     * @param  list<string>  $giving  hosts that give us whole zones
     */
    public function __construct(
        public DomainName $name,
        public ServerSet $ours,
        public ?ZoneCopy $known = null,
        public array $giving = [],
    ) {
    }
}
