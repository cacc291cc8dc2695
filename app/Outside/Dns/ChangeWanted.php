<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\ServerSet;
use Acre\Core\Name\DomainName;
use Acre\Core\Zone\ZoneCopy;

/** A name whose present servers and those that it is to get are asked about it. */
final readonly class ChangeWanted
{
    /**
     * @param  ServerSet  $ours  those that our record has, which are asked where the registry delegates to nobody
     * @param  ZoneCopy|null  $known  what is known to stand in its zone, and is asked for beside the usual
     */
    public function __construct(
        public DomainName $name,
        public ServerSet $to,
        public ServerSet $ours,
        public ?ZoneCopy $known = null,
    ) {
    }
}
