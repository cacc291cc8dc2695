<?php

declare(strict_types=1);

namespace Tests\Core\Movement;

use Acre\Core\Finding\Actor;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Movement\Track;
use Acre\Core\Movement\TrackLeg;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A transfer of 1 October in time: ordered on the 2nd, answered within a week, verified and locked again afterwards. */
final class TrackTest extends TestCase
{
    /** @return iterable<string, array{array<string, string>, string, bool, list<string>}> when what was over; today; whether it ended */
    public static function tracks(): iterable
    {
        yield 'just opened' => [[], '2026-10-01', false, [
            'code 10-01 10-01 10-01 now',
            'order 10-01 10-01 10-01',
            'answer 10-01 10-08 10-10',
            'arrive 10-08 10-08 10-10',
            'verify 10-08 10-25 10-25',
            'set_lock 10-08 10-11 10-11',
        ]];
        yield 'ordered, and waiting for the losing side' => [['code' => '2026-10-02', 'order' => '2026-10-02'], '2026-10-06', false, [
            'code 10-01 10-02 10-02 done',
            'order 10-02 10-02 10-02 done',
            'answer 10-02 10-08 10-10 now',
            'arrive 10-08 10-08 10-10',
            'verify 10-08 10-25 10-25',
            'set_lock 10-08 10-11 10-11',
        ]];
        yield 'the answer is late' => [['code' => '2026-10-02', 'order' => '2026-10-02'], '2026-10-14', false, [
            'code 10-01 10-02 10-02 done',
            'order 10-02 10-02 10-02 done',
            'answer 10-02 10-08 10-14 now',
            'arrive 10-08 10-08 10-10',
            'verify 10-08 10-25 10-25',
            'set_lock 10-08 10-11 10-11',
        ]];
        yield 'arrived: what comes after it runs side by side' => [
            ['code' => '2026-10-02', 'order' => '2026-10-02', 'answer' => '2026-10-05', 'arrive' => '2026-10-05', 'verify' => '2026-10-06'],
            '2026-10-07',
            true,
            [
                'code 10-01 10-02 10-02 done',
                'order 10-02 10-02 10-02 done',
                'answer 10-02 10-05 10-05 done',
                'arrive 10-05 10-05 10-05 done',
                'verify 10-05 10-06 10-06 done',
                'set_lock 10-05 10-11 10-11 now',
            ],
        ];
        yield 'refused: what was to come never happens, and the lock is to be set again' => [['code' => '2026-10-02'], '2026-10-07', true, [
            'code 10-01 10-02 10-02 done',
            'order 10-02 10-02 10-02',
            'answer 10-02 10-08 10-10',
            'arrive 10-08 10-08 10-10',
            'verify 10-08 10-25 10-25 now',
            'set_lock 10-08 10-11 10-11 now',
        ]];
    }

    /**
     * @param  array<string, string>  $done
     * @param  list<string>  $drawn
     */
    #[DataProvider('tracks')]
    public function test_it_is_drawn_as_it_stands(array $done, string $now, bool $isOver, array $drawn): void
    {
        $track = self::track($done, $now, $isOver);
        self::assertSame($drawn, array_map(
            fn (TrackLeg $leg): string => $leg->leg->kind->value.' '.substr($leg->from->date(), 5).' '.substr($leg->until->date(), 5).' '
                .substr($leg->latest->date(), 5).($leg->isDone ? ' done' : '').($leg->isNow ? ' now' : ''),
            $track->legs,
        ));
        self::assertSame('2026-10-01', $track->from->date());
        self::assertSame([], array_filter($track->legs, fn (TrackLeg $leg): bool => $leg->latest->isAfter($track->until)));
    }

    public function test_what_it_waits_for(): void
    {
        self::assertSame(LegKind::Code, self::track([], '2026-10-01', false)->now()?->leg->kind);
        $late = self::track(['code' => '2026-10-02', 'order' => '2026-10-02'], '2026-10-14', false)->now();
        self::assertSame(LegKind::Answer, $late?->leg->kind);
        $all = array_fill_keys(['code', 'order', 'answer', 'arrive', 'verify', 'set_lock'], '2026-10-02');
        self::assertNull(self::track($all, '2026-10-14', true)->now());
    }

    /** @param  array<string, string>  $done */
    private static function track(array $done, string $now, bool $isOver): Track
    {
        $at = fn (string $day): Instant => Instant::of("{$day}T09:00:00Z");
        $legs = [
            new Leg(LegKind::Code, Actor::House, $at('2026-10-01')),
            new Leg(LegKind::Order, Actor::House, $at('2026-10-01')),
            new Leg(LegKind::Answer, Actor::Registrar, $at('2026-10-10'), $at('2026-10-08')),
            new Leg(LegKind::Arrive, Actor::Registry, $at('2026-10-10'), $at('2026-10-08')),
            new Leg(LegKind::Verify, Actor::Client, $at('2026-10-25')),
            new Leg(LegKind::SetLock, Actor::House, $at('2026-10-11')),
        ];

        return Track::of(
            array_map(fn (Leg $leg): array => [$leg, isset($done[$leg->kind->value]) ? $at($done[$leg->kind->value]) : null], $legs),
            $at('2026-10-01'),
            $at($now),
            $isOver,
        );
    }
}
