<?php

declare(strict_types=1);

namespace Tests\Core\Time;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Precision;
use Acre\Core\Time\Span;
use Acre\Core\Time\TimeError;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class InstantTest extends TestCase
{
    #[TestWith(['2026-10-06', '2026-10-06', Precision::Day])]
    #[TestWith(['2026-10-06T09:00:00Z', '2026-10-06T09:00:00Z', Precision::Second])]
    #[TestWith(['2026-10-06 01:30+02:00', '2026-10-05T23:30:00Z', Precision::Second])]
    #[TestWith(['2026-10-06T09:00:00.5Z', '2026-10-06T09:00:00Z', Precision::Second])]
    #[TestWith(['1969-12-31', '1969-12-31', Precision::Day])]
    public function test_it_is_read_and_written_as_it_was_given(string $given, string $written, Precision $precision): void
    {
        $instant = Instant::of($given);
        self::assertSame($written, $instant->iso());
        self::assertSame($precision, $instant->precision);
    }

    #[TestWith(['2026-02-29'])]
    #[TestWith(['2026-13-01'])]
    #[TestWith(['06.10.2026'])]
    #[TestWith(['2026-10-06T25:00:00Z'])]
    #[TestWith(['2026-02-30T09:00:00Z'])]
    #[TestWith(['2026-10-06T09:00:00'])]
    #[TestWith(["2026-10-06\n"])]
    #[TestWith([''])]
    public function test_what_is_no_date_is_refused(string $given): void
    {
        $this->expectException(TimeError::class);
        Instant::of($given);
    }

    public function test_a_day_comes_with_its_first_instant(): void
    {
        $deadline = Instant::of('2026-10-06');
        self::assertFalse($deadline->hasComeAt(Instant::of('2026-10-05T23:59:59Z')));
        self::assertTrue($deadline->hasComeAt(Instant::of('2026-10-06T00:00:00Z')));
    }

    public function test_two_are_compared_at_the_coarser_precision(): void
    {
        $day = Instant::of('2026-10-06');
        $evening = Instant::of('2026-10-06T21:00:00Z');
        self::assertTrue($day->agreesWith($evening));
        self::assertFalse($day->isBefore($evening));
        self::assertTrue(Instant::of('2026-10-06T20:00:00Z')->isBefore($evening));
        self::assertTrue($evening->isBefore(Instant::of('2026-10-07')));
    }

    #[TestWith(['2024-02-29', 1, '2025-02-28'])]
    #[TestWith(['2024-02-29', 4, '2028-02-29'])]
    #[TestWith(['2023-02-28', 1, '2024-02-28'])]
    #[TestWith(['2024-02-29', -1, '2023-02-28'])]
    #[TestWith(['2096-02-29', 4, '2100-02-28'])]
    public function test_years_end_in_february_as_registries_count(string $from, int $years, string $expected): void
    {
        self::assertSame($expected, Instant::of($from)->plusYears($years)->iso());
    }

    public function test_a_year_and_three_more_are_not_four(): void
    {
        $leap = Instant::of('2024-02-29');
        self::assertSame('2028-02-28', $leap->plusYears(1)->plusYears(3)->iso());
        self::assertSame('2028-02-29', $leap->plusYears(4)->iso());
    }

    #[TestWith(['2026-01-31', 1, '2026-02-28'])]
    #[TestWith(['2026-10-31', -6, '2026-04-30'])]
    #[TestWith(['2026-01-15', -1, '2025-12-15'])]
    #[TestWith(['2026-12-15', 13, '2028-01-15'])]
    public function test_months_end_with_their_last_day(string $from, int $months, string $expected): void
    {
        self::assertSame($expected, Instant::of($from)->plusMonths($months)->iso());
    }

    public function test_the_day_of_an_instant_before_1970(): void
    {
        self::assertSame('1969-12-31', Instant::of('1969-12-31T18:00:00Z')->toDay()->iso());
    }

    public function test_days_until(): void
    {
        self::assertSame(1, Instant::of('2026-10-06T23:00:00Z')->daysUntil(Instant::of('2026-10-07')));
        self::assertSame(-6, Instant::of('2026-10-12')->daysUntil(Instant::of('2026-10-06')));
    }

    public function test_a_span_holds_its_first_instant_and_not_its_last(): void
    {
        $span = Span::of(Instant::of('2026-10-01'), Instant::of('2026-10-06'));
        self::assertTrue($span->contains(Instant::of('2026-10-01')));
        self::assertFalse($span->contains(Instant::of('2026-10-06')));
        self::assertFalse($span->overlaps(Span::since(Instant::of('2026-10-06'))));
        self::assertTrue($span->overlaps(Span::of(null, Instant::of('2026-10-02'))));
    }

    public function test_an_empty_span_is_refused(): void
    {
        $this->expectException(TimeError::class);
        Span::of(Instant::of('2026-10-06'), Instant::of('2026-10-06'));
    }
}
