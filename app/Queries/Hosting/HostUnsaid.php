<?php

declare(strict_types=1);

namespace App\Queries\Hosting;

/** A host that a name's zone has, and of which nobody said what visitors should find there. */
final readonly class HostUnsaid
{
    /**
     * @param  string  $leads  its addresses, or the host that it is an alias of
     * @param  int|null  $placeId  the only place that has all of them
     */
    public function __construct(public string $label, public string $host, public string $leads, public ?int $placeId)
    {
    }
}
