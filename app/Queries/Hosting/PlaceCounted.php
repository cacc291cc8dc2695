<?php

declare(strict_types=1);

namespace App\Queries\Hosting;

/** How many hosts are to be met at a place, and how many of them are not met as they should be. */
final readonly class PlaceCounted
{
    public function __construct(public int $hosts, public int $amiss)
    {
    }
}
