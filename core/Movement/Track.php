<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

use Acre\Core\Time\Instant;

/** The steps of a movement in time: each begins when those before it are over; what comes after the arrival runs side by side. */
final readonly class Track
{
    /** @param  list<TrackLeg>  $legs */
    private function __construct(public array $legs, public Instant $from, public Instant $until)
    {
    }

    /**
     * @param  list<array{Leg, Instant|null}>  $steps  in order, each with the instant at which it was over
     * @param  bool  $isOver  whether the movement has ended: what is open then and doesn't come after it never happens
     */
    public static function of(array $steps, Instant $opened, Instant $now, bool $isOver = false): self
    {
        $legs = [];
        $before = $opened;
        $arrived = null;
        $waits = false;
        $last = $opened;
        foreach ($steps as [$leg, $done]) {
            $isAfter = $leg->kind->comesAfter();
            $from = $isAfter ? $arrived ??= $before : $before;
            $isNow = $done === null && ($isAfter ? $isOver || ! $waits : ! $waits && ! $isOver);
            // One that is late is still under way today.
            $latest = Instant::latest($from, $done ?? ($isNow ? Instant::latest($leg->by, $now) : $leg->by));
            $until = $done === null ? Instant::latest($from, Instant::earliest($leg->likely ?? $leg->by, $latest)) : $latest;
            $waits = $waits || ($done === null && ! $isAfter);
            $legs[] = new TrackLeg($leg, $from, $until, $latest, $done !== null, $isNow);
            $before = $isAfter ? $before : $until;
            $last = Instant::latest($last, $latest);
        }

        return new self($legs, $opened, $last);
    }

    /** What it waits for; null: nothing is left to do. */
    public function now(): ?TrackLeg
    {
        foreach ($this->legs as $leg) {
            if ($leg->isNow) {
                return $leg;
            }
        }

        return null;
    }
}
