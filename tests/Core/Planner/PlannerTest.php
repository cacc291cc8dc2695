<?php

declare(strict_types=1);

namespace Tests\Core\Planner;

use Acre\Core\Planner\Candidate;
use Acre\Core\Planner\Limits;
use Acre\Core\Planner\Placed;
use Acre\Core\Planner\Plan;
use Acre\Core\Planner\Planner;
use Acre\Core\Planner\Why;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A migration by day: within its limits, safe, the pilot first, guards last, and every date with its reason. Tuesday, 6 October 2026. */
final class PlannerTest extends TestCase
{
    private const START = '2026-10-06T09:00:00Z';

    public function test_so_many_a_day_and_none_on_quiet_days(): void
    {
        $plan = Planner::plan(
            self::names(7),
            new Limits(Instant::of(self::START), 2, [6, 7], [[Instant::of('2026-10-08'), Instant::of('2026-10-09')]]),
        );
        self::assertSame(
            ['2026-10-06' => 2, '2026-10-07' => 2, '2026-10-12' => 2, '2026-10-13' => 1],
            array_map(count(...), $plan->byDay()),
        );
        self::assertSame(
            ['first', 'first', 'full', 'full', 'full', 'full', 'full'],
            array_map(fn (Placed $one): string => $one->why->value, $plan->placed),
        );
        self::assertSame([], $plan->without());
        self::assertSame('2026-10-13', $plan->ends()?->date());
    }

    public function test_what_would_be_charged_twice_goes_first(): void
    {
        $plan = self::plan([
            new Candidate(1, self::day(6)),
            new Candidate(2, self::day(6)),
            new Candidate(3, self::day(6), sensible: self::day(6), lateCost: 990),
            new Candidate(4, self::day(7), sensible: self::day(7), lateCost: 1_240),
            new Candidate(5, self::day(6), sensible: self::day(7), lateCost: 500),
        ]);
        self::assertSame(['3 10-06 first', '4 10-07 held', '1 10-08 full', '2 10-09 full', '5 10-10 late'], self::told($plan));
        self::assertSame(500, $plan->lateCost());
    }

    public function test_a_name_without_a_day_says_why(): void
    {
        $plan = self::plan([
            new Candidate(1, self::day(20), last: self::day(10)),
            new Candidate(2, self::day(6), last: self::day(6)),
            new Candidate(3, self::day(6), last: self::day(6), lateCost: 0),
        ]);
        self::assertSame(['2 10-06 first', '1 never_safe', '3 no_room'], self::told($plan));
    }

    /** Where the money doesn't reach, those stay that lose least by it. */
    public function test_the_money_goes_where_most_would_be_lost(): void
    {
        $names = [
            new Candidate(1, self::day(6), sensible: self::day(9), price: 1_000, lateCost: 500),
            new Candidate(2, self::day(6), price: 1_000),
            new Candidate(3, self::day(6), sensible: self::day(9), price: 1_000, lateCost: 900),
        ];
        $plan = Planner::plan($names, new Limits(Instant::of(self::START), 5, budget: 2_500));
        self::assertSame(['1 10-06 first', '3 10-06 first', '2 no_money'], self::told($plan, sorted: false));
        self::assertSame(2_000, $plan->price());
    }

    /** Those that risk least go ahead; the others follow once they have surely arrived. */
    public function test_a_pilot_goes_first_alone(): void
    {
        $plan = Planner::plan(
            [
                ...self::names(6),
                new Candidate(8, self::day(6), sensible: self::day(9), lateCost: 990),
                new Candidate(9, self::day(6), last: self::day(8)),
            ],
            new Limits(Instant::of(self::START), 3, pilot: 2),
        );
        self::assertSame(
            [
                '8 10-06 before_pilot',
                '1 10-06 pilot',
                '2 10-06 pilot',
                '9 10-07 full',
                '3 10-15 after_pilot',
                '4 10-15 after_pilot',
                '5 10-15 after_pilot',
                '6 10-16 full',
            ],
            self::told($plan),
        );
    }

    /** A name in which mailboxes of others lie goes once those have arrived; if it can't wait, they wait for it. */
    public function test_guards_go_last_or_first(): void
    {
        $last = Planner::plan(
            [new Candidate(1, self::day(6), guards: [2, 3]), new Candidate(2, self::day(6)), new Candidate(3, self::day(7))],
            new Limits(Instant::of(self::START), 5),
        );
        self::assertSame(['2 10-06 first', '3 10-07 held', '1 10-16 guard_last'], self::told($last));
        $first = Planner::plan(
            [
                new Candidate(1, self::day(6), last: self::day(9), guards: [2, 3]),
                new Candidate(2, self::day(6)),
                new Candidate(3, self::day(7)),
            ],
            new Limits(Instant::of(self::START), 5),
        );
        self::assertSame(['1 10-06 guard_first', '2 10-15 guarded', '3 10-15 guarded'], self::told($first));
    }

    public function test_guards_in_a_ring_all_find_a_day(): void
    {
        $plan = self::plan([new Candidate(1, self::day(6), guards: [2]), new Candidate(2, self::day(6), guards: [1])]);
        self::assertSame([], $plan->without());
        self::assertCount(2, $plan->byDay());
    }

    /** Small cases against every seating there is: none leaves fewer out, and none that leaves as few out is charged less. */
    public function test_it_is_the_cheapest_there_is(): void
    {
        $random = new Randomizer(new Mt19937(20_261_006));
        for ($case = 0; $case < 400; $case++) {
            $names = [];
            for ($key = 1; $key <= $random->getInt(1, 5); $key++) {
                $first = $random->getInt(6, 9);
                $sensible = $random->getInt(5, 11);
                $names[] = new Candidate(
                    $key,
                    self::day($first),
                    $random->getInt(0, 3) === 0 ? null : self::day($sensible),
                    $random->getInt(0, 2) === 0 ? self::day(max($sensible, $random->getInt(7, 11))) : null,
                    lateCost: $random->getInt(0, 9) * 100,
                );
            }
            $perDay = $random->getInt(1, 2);
            $plan = self::plan($names, $perDay);
            self::assertSafe($plan, $perDay);
            self::assertSame(self::cheapest($names, $perDay), [count($plan->without()), $plan->lateCost()], "case {$case}");
            self::assertEquals($plan, self::plan($names, $perDay), 'the same names make the same plan');
        }
    }

    /** Of very many none is unsafe, and the first ones are those that would lose most. */
    public function test_of_very_many_none_is_unsafe(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $names = [];
        for ($key = 1; $key <= 3_000; $key++) {
            $sensible = Instant::of(self::START)->toDay()->plusDays($random->getInt(0, 200));
            $names[] = new Candidate(
                $key,
                Instant::of(self::START)->toDay()->plusDays($random->getInt(0, 60)),
                $sensible,
                $sensible->plusDays(20),
                lateCost: $random->getInt(5, 15) * 100,
            );
        }
        $plan = Planner::plan($names, new Limits(Instant::of(self::START), 30, [6, 7]));
        self::assertCount(3_000, $plan->placed);
        self::assertSafe($plan, 30);
        // What can't be in time is only what is safe too late, or would need more room than there is.
        $hopeless = array_filter($names, fn (Candidate $one): bool => $one->sensible?->isBefore($one->first) === true);
        $late = array_filter($plan->placed, fn (Placed $one): bool => $one->isLate || $one->day === null);
        self::assertLessThan(count($hopeless) + 60, count($late));
    }

    private static function assertSafe(Plan $plan, int $perDay): void
    {
        foreach ($plan->byDay() as $placed) {
            self::assertLessThanOrEqual($perDay, count($placed));
            foreach ($placed as $one) {
                self::assertNotNull($one->day);
                self::assertFalse($one->day->isBefore($one->candidate->first->toDay()));
                self::assertFalse($one->candidate->last !== null && $one->day->isAfter($one->candidate->last));
                self::assertTrue($one->why->isPlaced());
                $isAfter = $one->candidate->sensible !== null && $one->day->isAfter($one->candidate->sensible);
                self::assertSame($isAfter && $one->candidate->lateCost > 0, $one->isLate);
            }
        }
        foreach ($plan->without() as $one) {
            self::assertFalse($one->why->isPlaced());
        }
    }

    /**
     * Every way to give these names days, one after the other.
     *
     * @param  list<Candidate>  $names
     * @return array{int, int} how few stay without a day, and what is charged twice then
     */
    private static function cheapest(array $names, int $perDay): array
    {
        return self::best($names, $perDay, [], 0, 0);
    }

    /**
     * @param  list<Candidate>  $names  that still have no day
     * @param  array<int, int>  $used  names by day
     * @return array{int, int}
     */
    private static function best(array $names, int $perDay, array $used, int $without, int $late): array
    {
        $name = array_shift($names);
        if ($name === null) {
            return [$without, $late];
        }
        $best = self::best($names, $perDay, $used, $without + 1, $late);
        // Later than all others after the last first day nobody need begin.
        for ($day = 6; $day <= 15; $day++) {
            $at = self::day($day);
            $used[$day] ??= 0;
            if ($used[$day] < $perDay && ! $at->isBefore($name->first) && ($name->last === null || ! $at->isAfter($name->last))) {
                $isLate = $name->sensible !== null && $at->isAfter($name->sensible);
                $then = self::best($names, $perDay, [$day => $used[$day] + 1] + $used, $without, $late + ($isLate ? $name->lateCost : 0));
                $best = min($best, $then);
            }
        }

        return $best;
    }

    /** @return list<Candidate> safe today, with all the time there is */
    private static function names(int $count): array
    {
        return array_map(fn (int $key): Candidate => new Candidate($key, self::day(6)), range(1, $count));
    }

    private static function day(int $of): Instant
    {
        return Instant::of(sprintf('2026-10-%02d', $of));
    }

    /** @param  list<Candidate>  $names */
    private static function plan(array $names, int $perDay = 1): Plan
    {
        return Planner::plan($names, new Limits(Instant::of(self::START), $perDay));
    }

    /** @return list<string> key, day and why */
    private static function told(Plan $plan, bool $sorted = true): array
    {
        $told = array_map(
            fn (Placed $one): string => trim("{$one->candidate->key} ".substr($one->day?->date() ?? '', 5).' ').' '.$one->why->value,
            $plan->placed,
        );
        if ($sorted) {
            usort($told, fn (string $a, string $b): int => [substr($a, 2), $a] <=> [substr($b, 2), $b]);
        }

        return $told;
    }
}
