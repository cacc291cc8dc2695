<?php

declare(strict_types=1);

namespace App\Queries\Hosting;

/** How many hosts belong at a place, and how many of them have problems. */
final readonly class PlaceCounted
{
    public function __construct(public int $hosts, public int $amiss)
    {
    }
}
