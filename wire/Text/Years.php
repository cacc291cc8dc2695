<?php

declare(strict_types=1);

namespace Acre\Wire\Text;

use DateTimeInterface;

/** The years that a date from outside may lie in: the first domain name is of 1985, and none is registered for longer than ten years. */
final class Years
{
    public const FIRST = 1985;

    public const LAST = 2100;

    public static function holds(DateTimeInterface $time): bool
    {
        $year = (int) $time->format('Y');

        return $year >= self::FIRST && $year <= self::LAST;
    }
}
