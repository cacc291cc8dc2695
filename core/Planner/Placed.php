<?php

declare(strict_types=1);

namespace Acre\Core\Planner;

use Acre\Core\Time\Instant;

/** A name with its day, or none, and why. */
final readonly class Placed
{
    /** @param  bool  $isLate  whether something is charged twice on that day */
    public function __construct(public Candidate $candidate, public ?Instant $day, public Why $why, public bool $isLate = false)
    {
    }
}
