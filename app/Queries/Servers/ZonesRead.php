<?php

declare(strict_types=1);

namespace App\Queries\Servers;

/** How many zones were read, of how many names. */
final readonly class ZonesRead
{
    public function __construct(public int $read, public int $of)
    {
    }
}
