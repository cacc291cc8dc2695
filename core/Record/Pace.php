<?php

declare(strict_types=1);

namespace Acre\Core\Record;

use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Time\Instant;

/** How often a name is looked at outside. The figures are the house's own choice, no rule of the trade. */
enum Pace: string
{
    /** Something is under way, or what was seen is being settled. */
    case Hourly = 'hourly';
    /** A date is close, or it drifted lately. */
    case Daily = 'daily';
    /** Quiet: a held name is looked at cheaply each day, and in depth once a week. */
    case Weekly = 'weekly';

    /** Days before and after a date of the name in which it is looked at daily. */
    private const NEAR = 10;

    /** Days after a drift in which it is looked at daily. */
    private const RECENT = 14;

    public static function of(Lifecycle $life, bool $isMoving, bool $hasAlarm, ?Instant $drifted, Instant $now): self
    {
        if ($isMoving || $hasAlarm) {
            return self::Hourly;
        }
        if ($drifted !== null && ! $drifted->plusDays(self::RECENT)->isBefore($now)) {
            return self::Daily;
        }
        foreach ($life->events() as $event) {
            if (abs($now->daysUntil($event->at)) <= self::NEAR) {
                return self::Daily;
            }
        }

        return self::Weekly;
    }

    public function seconds(): int
    {
        return match ($this) {
            self::Hourly => 3_600,
            self::Daily => 86_400,
            self::Weekly => 604_800,
        };
    }

    /** Questions a day that one name takes at directories: the registry's, and the registrar's own where all are asked. */
    public function questionsADay(): float
    {
        $deep = 86_400 / $this->seconds();

        return $this === self::Weekly ? 1 + $deep : 2 * $deep;
    }

    /** Whether a look at this pace asks everybody, and not only the registry and the name servers. */
    public function isDeep(?Instant $lastDeep, Instant $now): bool
    {
        return $this !== self::Weekly ||
            $lastDeep === null ||
            ! $lastDeep->plusSeconds(self::Weekly->seconds() - self::Daily->seconds())->isAfter($now);
    }

    /**
     * When it is next looked at: never later than a span after the last look, and no two names at the same moment. What happens to
     * a held name must be seen within a day: five are left to object to a transfer (trade: Transfer Policy I.A.4).
     *
     * @param  string  $name  spreads what would else fall due together, always alike for one name
     * @param  Instant|null  $done  when something was done that is not to be seen yet: by Drift::LAG later it should be, and is looked for
     *     then
     */
    public function next(string $name, Instant $last, bool $isHeld, ?Instant $done = null): Instant
    {
        $span = $isHeld ? min($this->seconds(), self::Daily->seconds()) : $this->seconds();
        $spread = intdiv($span, 5);
        $next = $last->plusSeconds($span - (hexdec(substr(hash('xxh32', $name), 0, 7)) % $spread));
        $shows = $done?->plusSeconds(Drift::LAG);

        return $shows?->isAfter($last) === true ? Instant::earliest($next, $shows) : $next;
    }
}
