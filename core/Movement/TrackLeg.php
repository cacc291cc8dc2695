<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

use Acre\Core\Time\Instant;

/** One step of a movement on its track: from when to when, and how far it has come. */
final readonly class TrackLeg
{
    /**
     * @param  Instant  $from  when it began, or begins
     * @param  Instant  $until  when it was over, or likely is
     * @param  Instant  $latest  when it is over at the latest; that of one that is done: when it was
     * @param  bool  $isNow  whether it is what the movement waits for
     */
    public function __construct(
        public Leg $leg,
        public Instant $from,
        public Instant $until,
        public Instant $latest,
        public bool $isDone,
        public bool $isNow,
    ) {
    }

    public function isLate(Instant $now): bool
    {
        return ! $this->isDone && $this->latest->isBefore($now);
    }
}
