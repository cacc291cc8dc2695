<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Time\Instant;

/** A name that is registered elsewhere and only looked at: why, and since when. */
final readonly class Watched
{
    public function __construct(public string $why, public Instant $since)
    {
    }
}
