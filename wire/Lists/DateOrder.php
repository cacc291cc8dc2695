<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use DateTimeImmutable;

/** In which order a list writes the parts of a date. */
enum DateOrder: string
{
    case YearMonthDay = 'ymd';
    case DayMonthYear = 'dmy';
    case MonthDayYear = 'mdy';

    /** Days from 30 December 1899, where spreadsheets begin to count, to 1 January 1970. */
    private const SHEET_EPOCH = 25_569;

    private const MONTHS = [
        'jan' => 1,
        'feb' => 2,
        'mar' => 3,
        'mär' => 3,
        'mrt' => 3,
        'avr' => 4,
        'fév' => 2,
        'fev' => 2,
        'ene' => 1,
        'gen' => 1,
        'abr' => 4,
        'mag' => 5,
        'giu' => 6,
        'juin' => 6,
        'juil' => 7,
        'lug' => 7,
        'ago' => 8,
        'aoû' => 8,
        'set' => 9,
        'ott' => 10,
        'déc' => 12,
        'dic' => 12,
        'apr' => 4,
        'may' => 5,
        'mai' => 5,
        'mei' => 5,
        'jun' => 6,
        'jul' => 7,
        'aug' => 8,
        'sep' => 9,
        'oct' => 10,
        'okt' => 10,
        'nov' => 11,
        'dec' => 12,
        'dez' => 12,
    ];

    /** POSIX strptime, %y: 69 to 99 are of the last century. */
    private const PIVOT = 69;

    private const TIME = '~[T ]+(\d{1,2}):(\d\d)(?::(\d\d)(?:[.,]\d+)?)? ?(Z|UTC|GMT|[+-]\d\d(?::?\d\d)?)$~Di';

    /**
     * The order that a column's own values prove.
     *
     * @param  iterable<string>  $values
     * @return list<self> one: proven; several: any of them would do, or the values contradict each other
     */
    public static function provenBy(iterable $values): array
    {
        $possible = $ever = self::cases();
        foreach ($values as $value) {
            $fitting =
                $value === '' ? [] : array_values(array_filter(self::cases(), fn (self $order): bool => $order->read($value) !== null));
            if ($fitting === []) {
                // A value that no order reads is that row's own fault and proves nothing of the column.
                continue;
            }
            $still = array_values(array_filter($possible, fn (self $order): bool => in_array($order, $fitting, true)));
            if ($still === []) {
                // Another program, or another person, wrote this one: a person has to say.
                return array_values(array_filter($ever, fn (self $order): bool => in_array($order, [...$possible, ...$fitting], true)));
            }
            $possible = $still;
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
        if (
            preg_match('~^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ].*)?$~D', $text, $part) === 1 ||
            preg_match('~^(\d{4})(\d\d)(\d\d)$~D', $text, $part) === 1
        ) {
            return self::day((int) $part[1], (int) $part[2], (int) $part[3]);
        }
        if (preg_match('~^[2-7]\d{4}(?:\.\d+)?$~D', $text) === 1) {
            // A spreadsheet's own count of days, from 1954 to 2119.
            return gmdate('Y-m-d', ((int) $text - self::SHEET_EPOCH) * 86_400);
        }
        if (preg_match('~^(\d{1,2})(?:[-/. ]|\. )+(\p{L}{3,})\.?,?[-/ ]+(\d{4}|\d\d)(?:[T ,].*)?$~uD', $text, $part) === 1) {
            return self::day(self::year($part[3]), self::month($part[2]), (int) $part[1]);
        }
        if (preg_match('~^(\p{L}{3,})\.? (\d{1,2}),? (\d{4})(?:[T ,].*)?$~uD', $text, $part) === 1) {
            return self::day((int) $part[3], self::month($part[1]), (int) $part[2]);
        }
        if (preg_match('~^(\d{1,2})[-/.](\d{1,2})[-/.](\d{4}|\d\d)(?:[T ,].*)?$~D', $text, $part) !== 1) {
            return null;
        }

        return match ($this) {
            self::DayMonthYear => self::day(self::year($part[3]), (int) $part[2], (int) $part[1]),
            self::MonthDayYear => self::day(self::year($part[3]), (int) $part[1], (int) $part[2]),
            self::YearMonthDay => strlen($part[1]) === 2 && strlen($part[3]) === 2
                ? self::day(self::year($part[1]), (int) $part[2], (int) $part[3])
                : null,
        };
    }

    /**
     * The same, to the second where a time stands with its distance from UTC: 1 March, 00:30 at +02:00, is still February.
     *
     * @return string|null `2026-10-06`, or `2026-10-06T09:00:00Z`
     */
    public function readExactly(string $value): ?string
    {
        $day = $this->read($value);
        if ($day === null || preg_match(self::TIME, trim($value), $part) !== 1) {
            return $day;
        }
        $zone = in_array(strtoupper($part[4]), ['Z', 'UTC', 'GMT'], true) ? '+00:00' : $part[4];
        $time = DateTimeImmutable::createFromFormat(
            '!Y-m-d G:i:s O',
            "{$day} {$part[1]}:{$part[2]}:".($part[3] === '' ? '00' : $part[3])." {$zone}",
        );

        return $time === false || (int) $part[1] > 23 || (int) $part[2] > 59 || (int) $part[3] > 59
            ? $day
            : gmdate('Y-m-d\TH:i:s\Z', $time->getTimestamp());
    }

    private static function year(string $digits): int
    {
        return (int) $digits + (strlen($digits) === 4 ? 0 : ((int) $digits < self::PIVOT ? 2_000 : 1_900));
    }

    /** By its first letters, three of them or, where that leaves two months, four. */
    private static function month(string $word): int
    {
        $word = mb_strtolower($word);

        return self::MONTHS[mb_substr($word, 0, 4)] ?? (self::MONTHS[mb_substr($word, 0, 3)] ?? 0);
    }

    private static function day(int $year, int $month, int $day): ?string
    {
        return checkdate($month, $day, $year) ? sprintf('%04d-%02d-%02d', $year, $month, $day) : null;
    }
}
