<?php

declare(strict_types=1);

namespace Tests\Core\Delegation;

use Acre\Core\Delegation\KeysPlan;
use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\DelegatesBefore;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

/** RFC 6781 §4.3.5.2: DNSSEC off, the wait, other name servers, the wait, DNSSEC on. */
final class KeysPlanTest extends TestCase
{
    private const SPANS = ['parent' => 172_800, 'zone' => 3_600, 'record' => 7_200];

    public function test_a_ds_that_is_there_is_waited_for_and_so_are_old_answers(): void
    {
        $plan = KeysPlan::of(true, 3_600, null, self::SPANS, true, self::at('09:00'));
        self::assertEquals([self::at('09:00'), self::at('10:00')], [$plan->off, $plan->change]);
        // Two days of the parent, two hours of the longest record.
        self::assertEquals(Instant::of('2026-10-08T12:00:00Z'), $plan->on);
    }

    public function test_a_ds_that_is_gone_is_waited_for_from_when_it_went(): void
    {
        $gone = new DelegatesBefore([new Delegate(1, 13, 2, 'x')], 3_600, self::at('08:30'));
        $plan = KeysPlan::of(false, null, $gone, self::SPANS, false, self::at('09:00'));
        self::assertEquals([null, self::at('09:30'), null], [$plan->off, $plan->change, $plan->on]);
        // Long gone: nothing is in the way.
        self::assertEquals(self::at('11:00'), KeysPlan::of(false, null, $gone, self::SPANS, false, self::at('11:00'))->change);
    }

    public function test_the_longer_of_two_waits_counts_and_two_days_where_none_is_known(): void
    {
        $gone = new DelegatesBefore([new Delegate(1, 13, 2, 'x')], 86_400, self::at('08:30'));
        self::assertEquals(
            Instant::of('2026-10-07T08:30:00Z'),
            KeysPlan::of(true, 60, $gone, self::SPANS, false, self::at('09:00'))->change,
        );
        self::assertEquals(
            Instant::of('2026-10-08T09:00:00Z'),
            KeysPlan::of(true, null, $gone, self::SPANS, false, self::at('09:00'))->change,
        );
    }

    private static function at(string $time): Instant
    {
        return Instant::of("2026-10-06T{$time}:00Z");
    }
}
