<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Time\Instant;

/** What follows from where a name was seen to point. In the transaction that keeps it. */
final readonly class KeepPointing
{
    public function __construct(private KeepFaults $faults, private KeepDelegates $delegates, private WatchServers $watch)
    {
    }

    /** @return Instant|null when the change that is still watched began; null: nothing is */
    public function handle(int $nameId, DelegationSeen $seen, Instant $now): ?Instant
    {
        $this->faults->handle($nameId, $seen, $now);
        $this->delegates->handle($nameId, $seen, $now);

        return $this->watch->seen($nameId, $seen, $now);
    }
}
