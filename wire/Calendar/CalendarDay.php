<?php

declare(strict_types=1);

namespace Acre\Wire\Calendar;

use DateTimeImmutable;

/** One day of a calendar. */
final readonly class CalendarDay
{
    /**
     * @param  string  $key  the same as long as it is the same thing, also when its day changes
     * @param  list<int>  $alarms  days before it
     */
    public function __construct(
        public string $key,
        public DateTimeImmutable $day,
        public string $summary,
        public string $description,
        public string $address,
        public array $alarms,
    ) {
    }
}
