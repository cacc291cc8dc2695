<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** In which order a list writes the parts of a date. */
enum DateOrder: string
{
    case YearMonthDay = 'ymd';
    case DayMonthYear = 'dmy';
    case MonthDayYear = 'mdy';

    private const MONTHS = ['jan' => 1, 'feb' => 2, 'mar' => 3, 'mär' => 3, 'apr' => 4, 'may' => 5, 'mai' => 5, 'mei' => 5, 'jun' => 6, 'jul' => 7, 'aug' => 8, 'sep' => 9, 'oct' => 10, 'okt' => 10, 'nov' => 11, 'dec' => 12, 'dez' => 12];

    /**
     * The order that a column's own values prove.
     *
     * @param  iterable<string>  $values
     * @return list<self> one: proven; several: any of them would do; none: no order reads them all
     */
    public static function provenBy(iterable $values): array
    {
        $possible = self::cases();
        foreach ($values as $value) {
            if ($value !== '') {
                $fitting = array_values(array_filter($possible, fn (self $order): bool => $order->read($value) !== null));
                // A value that no order reads is that row's own fault and proves nothing of the column.
                $possible = $fitting === [] ? $possible : $fitting;
            }
        }

        return $possible;
    }

    /**
     * Whatever stands after the day (a time, a zone) is left out: a list's deadline is known to the day.
     *
     * @return string|null `2026-10-06`; null when it is no date in this order
     */
    public function read(string $value): ?string
    {
        $text = trim($value);
        if (preg_match('~^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ].*)?$~D', $text, $part) === 1 || preg_match('~^(\d{4})(\d\d)(\d\d)$~D', $text, $part) === 1) {
            return self::day((int) $part[1], (int) $part[2], (int) $part[3]);
        }
        if (preg_match('~^(\d{1,2})(?:[-/. ]|\. )+(\p{L}{3})\p{L}*\.?,?[-/ ]+(\d{4})(?:[T ,].*)?$~uD', $text, $part) === 1) {
            return self::day((int) $part[3], self::MONTHS[mb_strtolower($part[2])] ?? 0, (int) $part[1]);
        }
        if (preg_match('~^(\p{L}{3})\p{L}*\.? (\d{1,2}),? (\d{4})(?:[T ,].*)?$~uD', $text, $part) === 1) {
            return self::day((int) $part[3], self::MONTHS[mb_strtolower($part[1])] ?? 0, (int) $part[2]);
        }
        if ($this === self::YearMonthDay || preg_match('~^(\d{1,2})[-/.](\d{1,2})[-/.](\d{4})(?:[T ,].*)?$~D', $text, $part) !== 1) {
            return null;
        }

        return $this === self::DayMonthYear ? self::day((int) $part[3], (int) $part[2], (int) $part[1]) : self::day((int) $part[3], (int) $part[1], (int) $part[2]);
    }

    private static function day(int $year, int $month, int $day): ?string
    {
        return checkdate($month, $day, $year) ? sprintf('%04d-%02d-%02d', $year, $month, $day) : null;
    }
}
