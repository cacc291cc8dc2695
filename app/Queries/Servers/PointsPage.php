<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\KeysPlan;
use Acre\Core\Delegation\Propagation;
use Acre\Core\Delegation\ServersChange;
use Acre\Core\Drawing\Pointing;
use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;
use App\Models\NamedSet;

/** What the page of where a name points is made of. */
final readonly class PointsPage
{
    /**
     * @param  Instant|null  $at  when the servers were asked; null: never
     * @param  list<Finding>  $findings  of the delegation as it stands, dearest first
     * @param  NamedSet|null  $set  that is compared with
     * @param  KeysPlan|null  $plan  how the name changes where DNSSEC would break; null: nothing was compared
     * @param  int  $open  names whose servers are still to be asked: one, or none
     */
    public function __construct(
        public ?DelegationSeen $delegation,
        public ?Instant $at,
        public array $findings,
        public ?Pointing $drawing,
        public ?NamedSet $set,
        public int $open,
        public ?ChangeSeen $seen,
        public ?ServersChange $change,
        public ?Propagation $now,
        public ?Propagation $lowered,
        public ?KeysPlan $plan,
        public ?ServersWatched $watched,
    ) {
    }
}
