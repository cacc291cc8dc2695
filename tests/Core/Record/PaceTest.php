<?php

declare(strict_types=1);

namespace Tests\Core\Record;

use Acre\Core\Record\Pace;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;
use Tests\Core\Given;

/** How often a name is looked at outside. */
final class PaceTest extends TestCase
{
    private static function pace(string $ends, bool $moving = false, bool $alarm = false, ?string $drifted = null): Pace
    {
        return Pace::of(
            Given::life(ends: $ends, created: '2018-03-03', terms: Given::terms()),
            $moving,
            $alarm,
            $drifted === null ? null : Instant::of($drifted),
            Instant::of(Given::NOW),
        );
    }

    public function test_quiet_names_are_looked_at_weekly_others_more_often(): void
    {
        self::assertSame(Pace::Weekly, self::pace('2028-03-03'));
        self::assertSame(Pace::Daily, self::pace('2026-10-12'), 'close to its end');
        self::assertSame(Pace::Daily, self::pace('2026-10-02'), 'just past its end');
        self::assertSame(Pace::Daily, self::pace('2028-03-03', drifted: '2026-10-01'));
        self::assertSame(Pace::Weekly, self::pace('2028-03-03', drifted: '2026-08-01'));
        self::assertSame(Pace::Hourly, self::pace('2028-03-03', moving: true));
        self::assertSame(Pace::Hourly, self::pace('2028-03-03', alarm: true));
    }

    /** Common practice: up to twenty minutes. */
    public function test_what_was_done_is_looked_for_when_it_should_be_seen(): void
    {
        $last = Instant::of('2026-10-06T09:00:10Z');
        $usual = Pace::Hourly->next('bell.com', $last, true);
        self::assertSame(
            '2026-10-06T09:20:00Z',
            Pace::Hourly->next('bell.com', $last, true, Instant::of('2026-10-06T09:00:00Z'))->isoSecond(),
        );
        self::assertTrue(
            $usual->agreesWith(Pace::Hourly->next('bell.com', $last, true, Instant::of('2026-10-06T08:40:10Z'))),
            'that time has come: as often as before',
        );
        self::assertTrue($usual->agreesWith(Pace::Hourly->next('bell.com', $last, true, Instant::of('2026-09-30'))));
    }

    public function test_what_was_looked_at_together_does_not_fall_due_together(): void
    {
        $last = Instant::of(Given::NOW);
        foreach (Pace::cases() as $pace) {
            foreach ([true, false] as $isHeld) {
                $span = $isHeld ? min(86_400, $pace->seconds()) : $pace->seconds();
                $next = array_map(
                    fn (int $one): int => $pace->next("name-{$one}.com", $last, $isHeld)->epoch - $last->epoch,
                    range(1, 500),
                );
                self::assertGreaterThan($span * 0.8 - 1, min($next));
                self::assertLessThanOrEqual($span, max($next), 'never later than its span');
                self::assertGreaterThan(200, count(array_unique($next)), 'spread out');
                self::assertSame($pace->next('name-7.com', $last, $isHeld)->epoch, $pace->next('name-7.com', $last, $isHeld)->epoch);
            }
        }
    }

    /**
     * A held name is seen within a day, whatever its pace; five days are left to object to a transfer (Transfer Policy I.A.4, from memory).
     */
    public function test_a_quiet_name_is_looked_at_each_day_and_in_full_once_a_week(): void
    {
        $last = Instant::of('2026-10-06T09:00:00Z');
        self::assertTrue(Pace::Weekly->isDeep(null, $last));
        self::assertFalse(Pace::Weekly->isDeep($last, $last->plusDays(5)));
        self::assertTrue(Pace::Weekly->isDeep($last, $last->plusDays(6)), 'a day later it would be too late');
        self::assertTrue(Pace::Daily->isDeep($last, $last->plusSeconds(60)));
        self::assertTrue(Pace::Hourly->isDeep($last, $last->plusSeconds(60)));
        self::assertEqualsWithDelta(
            [8 / 7, 2, 48],
            array_map(fn (Pace $pace): float => $pace->questionsADay(), [Pace::Weekly, Pace::Daily, Pace::Hourly]),
            0.0001,
        );
    }
}
