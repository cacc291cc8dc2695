<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\Key;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\ZoneCopy;

/** What a name's present servers and those that it is to get said of it, at one time. */
final readonly class ChangeSeen
{
    /**
     * @param  ZoneCopy|null  $before  what the present servers say; null: none has authority
     * @param  list<ServerSeen>  $servers  the new ones, one a host and address
     * @param  ZoneCopy|null  $after  what the new servers say
     * @param  list<Delegate>|null  $delegates  DS at the parent; null: not known
     * @param  list<Key>|null  $keys  that the new servers have; null: not known
     */
    public function __construct(
        public DelegationSeen $standing,
        public ?ZoneCopy $before,
        public array $servers,
        public ?ZoneCopy $after,
        public ?array $delegates,
        public ?array $keys,
        public Instant $at,
    ) {
    }
}
