<?php

declare(strict_types=1);

namespace Acre\Core\Time;

use InvalidArgumentException;

final class TimeError extends InvalidArgumentException
{
    public static function notAnInstant(string $given): self
    {
        return new self("“{$given}” is not a date: write it as 2026-10-06, or with a time as 2026-10-06T09:00:00Z.");
    }

    public static function notADay(string $given): self
    {
        return new self("“{$given}” is not a day: write it as 2026-10-06.");
    }

    public static function noSuchDay(int $year, int $month, int $day): self
    {
        return new self(sprintf('There is no day %04d-%02d-%02d in the calendar.', $year, $month, $day));
    }

    public static function emptySpan(Instant $from, Instant $until): self
    {
        return new self("A span must end after it begins: {$from->iso()} to {$until->iso()}.");
    }
}
