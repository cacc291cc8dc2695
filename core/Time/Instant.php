<?php

declare(strict_types=1);

namespace Acre\Core\Time;

use DateTimeImmutable;
use DateTimeInterface;
use DateTimeZone;
use JsonSerializable;

/**
 * A point in time, in UTC, with the precision it was given in.
 *
 * Epoch seconds inside (twice as fast as DateTimeImmutable over a whole inventory), `DateTimeImmutable` at the edge.
 */
final readonly class Instant implements JsonSerializable
{
    private const DAY = 86_400;

    private function __construct(public int $epoch, public Precision $precision)
    {
    }

    /**
     * @param  string  $text  `2026-10-06`, or `2026-10-06T09:00:00Z` (any offset)
     *
     * @throws TimeError when it is neither, or no such day exists
     */
    public static function of(string $text): self
    {
        if (preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $text, $part) === 1) {
            return self::day((int) $part[1], (int) $part[2], (int) $part[3]);
        }
        $shape = '/^(\d{4})-(\d\d)-(\d\d)[T ]([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d+)?)?(Z|[+-]\d\d(:?\d\d)?)$/D';
        if (preg_match($shape, $text, $part) === 1 && checkdate((int) $part[2], (int) $part[3], (int) $part[1])) {
            return self::from(new DateTimeImmutable($text));
        }
        throw TimeError::notAnInstant($text);
    }

    /** @throws TimeError when the calendar has no such day */
    public static function day(int $year, int $month, int $day): self
    {
        if (! checkdate($month, $day, $year)) {
            throw TimeError::noSuchDay($year, $month, $day);
        }

        return new self((int) gmmktime(0, 0, 0, $month, $day, $year), Precision::Day);
    }

    /** @param  int  $epoch  seconds since 1970-01-01T00:00:00Z */
    public static function second(int $epoch): self
    {
        return new self($epoch, Precision::Second);
    }

    /** A fraction of a second is dropped. */
    public static function from(DateTimeInterface $time, Precision $precision = Precision::Second): self
    {
        $instant = new self($time->getTimestamp(), Precision::Second);

        return $precision === Precision::Day ? $instant->toDay() : $instant;
    }

    /** The day that it lies in, as a fact known to the day. */
    public function toDay(): self
    {
        return new self($this->dayNumber() * self::DAY, Precision::Day);
    }

    public function to(Precision $precision): self
    {
        return $precision === Precision::Day ? $this->toDay() : new self($this->epoch, Precision::Second);
    }

    public function plusDays(int $days): self
    {
        return new self($this->epoch + $days * self::DAY, $this->precision);
    }

    public function plusSeconds(int $seconds): self
    {
        return new self($this->epoch + $seconds, Precision::Second);
    }

    /**
     * The same day so many years on; 29 February becomes 28 February in a common year, as registries and
     * PostgreSQL's intervals count. Count from the first date: one year and then three is not four.
     */
    public function plusYears(int $years): self
    {
        return $this->plusMonths(12 * $years);
    }

    /** The same day so many months on, or that month's last. */
    public function plusMonths(int $months): self
    {
        [$year, $month, $day, $hour, $minute, $second] = array_map(intval(...), explode(' ', gmdate('Y n j G i s', $this->epoch)));
        $count = $year * 12 + $month - 1 + $months;
        [$year, $month] = [intdiv($count, 12), $count % 12 + 1];
        $last = (int) gmdate('t', (int) gmmktime(0, 0, 0, $month, 1, $year));

        return new self((int) gmmktime($hour, $minute, $second, $month, min($day, $last), $year), $this->precision);
    }

    /** Whether it has come when the clock shows `$now`: a day comes with its first instant. */
    public function hasComeAt(self $now): bool
    {
        return $now->epoch >= $this->epoch;
    }

    public function isBefore(self $other): bool
    {
        return $this->compare($other) < 0;
    }

    public function isAfter(self $other): bool
    {
        return $this->compare($other) > 0;
    }

    /** Whether they are the same as far as both are known: two times of a day agree with the day, and not with each other. */
    public function agreesWith(self $other): bool
    {
        return $this->compare($other) === 0;
    }

    /** Negative, zero or positive; at the coarser of the two precisions. */
    public function compare(self $other): int
    {
        // More than a day apart, no precision matters.
        if ($this->epoch - $other->epoch >= self::DAY || $other->epoch - $this->epoch >= self::DAY) {
            return $this->epoch <=> $other->epoch;
        }

        return $this->precision->coarser($other->precision) === Precision::Day
            ? $this->dayNumber() <=> $other->dayNumber()
            : $this->epoch <=> $other->epoch;
    }

    /** Days since the first of 1970, also before it. */
    private function dayNumber(): int
    {
        return $this->epoch >= 0 ? intdiv($this->epoch, self::DAY) : intdiv($this->epoch + 1, self::DAY) - 1;
    }

    /** Whole days from here to there, the part of a day dropped; negative when it lies before. */
    public function daysUntil(self $other): int
    {
        return $other->dayNumber() - $this->dayNumber();
    }

    public static function earliest(self $first, self ...$more): self
    {
        foreach ($more as $next) {
            $first = $next->epoch < $first->epoch ? $next : $first;
        }

        return $first;
    }

    public static function latest(self $first, self ...$more): self
    {
        foreach ($more as $next) {
            $first = $next->epoch > $first->epoch ? $next : $first;
        }

        return $first;
    }

    public function date(): string
    {
        return gmdate('Y-m-d', $this->epoch);
    }

    /** As it was given: a day as `2026-10-06`, an instant as `2026-10-06T09:00:00Z`. */
    public function iso(): string
    {
        return $this->precision === Precision::Day ? $this->date() : $this->isoSecond();
    }

    /** Always to the second. */
    public function isoSecond(): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', $this->epoch);
    }

    public function toDateTime(): DateTimeImmutable
    {
        return (new DateTimeImmutable('@'.$this->epoch))->setTimezone(new DateTimeZone('UTC'));
    }

    public function jsonSerialize(): string
    {
        return $this->iso();
    }
}
