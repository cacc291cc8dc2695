<?php

declare(strict_types=1);

namespace App\Support;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Precision;
use DateTimeInterface;

/**
 * Dates as people read them, written as the house writes them. A day is the trade's own, in UTC, wherever the house is;
 * a time of day is the house's, and says its zone.
 */
final class Dates
{
    /** `6 Oct 2026`; to whoever is written to in another language, as that has it. */
    public static function full(Instant $instant): string
    {
        return gmdate(Language::dates() ?? self::house()->dates()->format(), $instant->epoch);
    }

    /** `6 Oct` within the year around today, `6 Oct 2028` beyond it. */
    public static function near(Instant $instant, Instant $today): string
    {
        $days = $today->daysUntil($instant);

        return $days > -180 && $days < 330 ? self::short($instant) : self::full($instant);
    }

    /** `6 Oct` */
    public static function short(Instant $instant): string
    {
        return gmdate(self::house()->dates()->short(), $instant->epoch);
    }

    /** `Oct`, or `Oct 2026` */
    public static function month(Instant $instant, bool $withYear = false): string
    {
        return gmdate($withYear ? 'M Y' : 'M', $instant->epoch);
    }

    /** With the time of day where it is known: `6 Oct 2026, 09:00 UTC` */
    public static function exact(Instant $instant): string
    {
        return $instant->precision === Precision::Day ? self::full($instant)
            : $instant->toDateTime()->setTimezone(self::house()->zone())->format(self::house()->dates()->format().', H:i T');
    }

    /** Of the machine's own clock: `6 Oct 2026, 09:00 UTC` */
    public static function clock(DateTimeInterface $at): string
    {
        return self::exact(Instant::from($at));
    }

    private static function house(): HouseSettings
    {
        return app(HouseSettings::class);
    }
}
