<?php

declare(strict_types=1);

namespace App\Support;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Precision;

/** Dates as people read them. */
final class Dates
{
    /** `6 Oct 2026` */
    public static function full(Instant $instant): string
    {
        return gmdate('j M Y', $instant->epoch);
    }

    /** `6 Oct` within the year around today, `6 Oct 2028` beyond it. */
    public static function near(Instant $instant, Instant $today): string
    {
        $days = $today->daysUntil($instant);

        return $days > -180 && $days < 330 ? gmdate('j M', $instant->epoch) : self::full($instant);
    }

    /** With the time of day where it is known: `6 Oct 2026, 09:00` */
    public static function exact(Instant $instant): string
    {
        return $instant->precision === Precision::Day ? self::full($instant) : gmdate('j M Y, H:i', $instant->epoch);
    }
}
