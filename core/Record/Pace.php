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

    /**
     * When it is next looked at: a span after the last look, and no two names at the same moment.
     *
     * @param  string  $name  spreads what would else fall due together, always alike for one name
     * @param  Instant|null  $done  when something was done that is not to be seen yet: by Drift::LAG later it should be, and is looked for then
     */
    public function next(string $name, Instant $last, ?Instant $done = null): Instant
    {
        $spread = intdiv($this->seconds(), 5);
        $next = $last->plusSeconds($this->seconds() - intdiv($spread, 2) + hexdec(substr(hash('xxh32', $name), 0, 7)) % $spread);
        $shows = $done?->plusSeconds(Drift::LAG);

        return $shows?->isAfter($last) === true ? Instant::earliest($next, $shows) : $next;
    }
}
