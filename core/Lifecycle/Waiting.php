<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Time\Instant;

/** A movement that is under way, as far as a standing tells of it. */
final readonly class Waiting
{
    /** @param  Instant  $by  the beginning of the last day on which it is expected to end */
    public function __construct(public int $docket, public Instant $by)
    {
    }

    /** Whether that day is past. */
    public function isOver(Instant $now): bool
    {
        return $this->over()->hasComeAt($now);
    }

    /** When that day will be past. */
    public function over(): Instant
    {
        return $this->by->plusDays(1);
    }
}
