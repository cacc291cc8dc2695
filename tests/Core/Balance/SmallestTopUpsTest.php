<?php

declare(strict_types=1);

namespace Tests\Core\Balance;

use Acre\Core\Balance\Charge;
use Acre\Core\Balance\Credit;
use Acre\Core\Balance\Entry;
use Acre\Core\Balance\Forecast;
use Acre\Core\Balance\Purse;
use Acre\Core\Balance\SmallestTopUps;
use Acre\Core\Balance\TopUp;
use Acre\Core\Balance\TopUpLimits;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use InvalidArgumentException;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What must be paid in, and when. October 2026: the 10th and 11th are a weekend. */
final class SmallestTopUpsTest extends TestCase
{
    public function test_one_top_up_on_the_last_day_that_still_helps(): void
    {
        $found = self::plan('10.40', ['a.com' => [12, '9.90'], 'b.com' => [12, '20.00'], 'c.com' => [20, '7.00']], self::limits());
        self::assertSame(['2026-10-12 26.50'], self::told($found));
        self::assertSame([], $found->lost);
        // On a day on which money arrives, and in round sums.
        $found = self::plan('10.40', ['a.com' => [11, '30.00']], self::limits(step: '5.00', quiet: [6, 7]));
        self::assertSame(['2026-10-09 20.00'], self::told($found));
    }

    public function test_nothing_where_it_is_enough(): void
    {
        self::assertSame([], self::told(self::plan('9.90', ['a.com' => [12, '9.90']], self::limits())));
        $card = Purse::card('GBP', null);
        self::assertSame([], SmallestTopUps::of($card, [self::charge('a.com', 12, '9.90')], self::limits())->topUps);
    }

    public function test_no_more_than_may_be_paid_at_once_and_no_less(): void
    {
        $charges = ['a.com' => [12, '90.00'], 'b.com' => [20, '20.00']];
        self::assertSame(['2026-10-12 100.00', '2026-10-20 10.00'], self::told(self::plan('0', $charges, self::limits(most: '100.00'))));
        self::assertSame(
            ['2026-10-11 85.00', '2026-10-12 25.00'],
            self::told(self::plan('0', $charges, self::limits(least: '25.00', step: '5.00', most: '90.00'))),
        );
        // Two that are needed on one day come on two days.
        self::assertSame(
            ['2026-10-11 60.00', '2026-10-12 50.00'],
            self::told(self::plan('0', ['a.com' => [12, '110.00']], self::limits(most: '60.00'))),
        );
    }

    public function test_what_money_would_come_too_late_for_is_named(): void
    {
        $charges = ['a.com' => [7, '9.90'], 'b.com' => [12, '5.00']];
        $found = self::plan('1.00', $charges, self::limits(from: 9));
        self::assertSame(['a.com'], array_map(fn (Charge $one): string => $one->name, $found->lost));
        self::assertSame(['2026-10-12 4.00'], self::told($found));
        // Its registrar tries again: then it is in time.
        $found = self::plan('1.00', $charges, self::limits(from: 9), [3]);
        self::assertSame([], $found->lost);
        self::assertSame(['2026-10-09 13.90'], self::told($found));
    }

    public function test_limits_that_no_sum_keeps_are_refused(): void
    {
        $this->expectException(InvalidArgumentException::class);
        self::limits(least: '50.00', most: '40.00');
    }

    /** Against every way of paying in on up to three days: none saves the same on fewer days, by less, or later. */
    public function test_no_way_is_better(): void
    {
        $random = new Randomizer(new Mt19937(72));
        $tried = 0;
        for ($run = 0; $run < 150; $run++) {
            $charges = [];
            for ($i = $random->getInt(1, 5); $i > 0; $i--) {
                $charges[self::oneOf($random, $i)] = [$random->getInt(6, 12), (string) (10 * $random->getInt(1, 6))];
            }
            $credits = self::credits($random, 10);
            $limits = self::limits(
                least: (string) (10 * $random->getInt(1, 3)),
                step: '10',
                most: $random->getInt(0, 1) === 0 ? null : (string) (10 * $random->getInt(4, 8)),
                from: $random->getInt(5, 7),
                quiet: $random->getInt(0, 1) === 0 ? [] : [6, 7],
            );
            $purse = Purse::balance(Money::of((string) (10 * $random->getInt(0, 8)), 'GBP'), credits: $credits);
            $found = SmallestTopUps::of($purse, self::charges($charges), $limits);
            if (count($found->topUps) > 2 || ! self::saves($purse, $charges, $found->topUps, $found->lost)) {
                // Where so many days are not there, nobody promises it.
                self::assertNotNull($limits->mostMinor(), "run {$run}");

                continue;
            }
            $tried++;
            $mine = self::worth($found->topUps);
            foreach (self::ways($limits, count($found->topUps)) as $way) {
                if (self::worth($way) < $mine) {
                    self::assertFalse(self::saves($purse, $charges, $way, $found->lost), "run {$run}: ".json_encode(self::worth($way)));
                }
            }
        }
        self::assertGreaterThan(100, $tried);
    }

    /** Whatever a credit pays, and whenever a refused charge is tried again: what is paid in saves all that can be saved. */
    public function test_beside_credits_it_saves_all_that_can_be_saved(): void
    {
        $random = new Randomizer(new Mt19937(74));
        $less = 0;
        for ($run = 0; $run < 400; $run++) {
            $charges = [];
            for ($i = $random->getInt(1, 8); $i > 0; $i--) {
                $charges[self::oneOf($random, $i)] = [$random->getInt(6, 20), (string) $random->getInt(1, 60)];
            }
            $holds = Money::of((string) $random->getInt(0, 80), 'GBP');
            $retries = $random->getInt(0, 1) === 0 ? [] : [2, 5];
            $limits = self::limits(from: $random->getInt(5, 9), quiet: $random->getInt(0, 1) === 0 ? [] : [6, 7]);
            $purse = Purse::balance($holds, retries: $retries, credits: self::credits($random, 1));
            $found = SmallestTopUps::of($purse, self::charges($charges), $limits);
            self::assertTrue(self::saves($purse, $charges, $found->topUps, $found->lost), "run {$run}");
            $without = SmallestTopUps::of(Purse::balance($holds, retries: $retries), self::charges($charges), $limits);
            $less += self::told($without) === self::told($found) ? 0 : 1;
        }
        self::assertGreaterThan(100, $less);
    }

    /** Worked out once for all days, it is what is worked out for each day alone. */
    public function test_until_each_day_it_is_the_same(): void
    {
        $random = new Randomizer(new Mt19937(73));
        $found = 0;
        for ($run = 0; $run < 200; $run++) {
            $charges = [];
            for ($i = $random->getInt(1, 8); $i > 0; $i--) {
                $charges["n{$i}.com"] = [$random->getInt(6, 20), (string) $random->getInt(1, 60)];
            }
            $limits = self::limits(
                least: (string) $random->getInt(1, 30),
                step: (string) $random->getInt(1, 10),
                from: $random->getInt(5, 9),
                quiet: $random->getInt(0, 1) === 0 ? [] : [6, 7],
            );
            $purse = Purse::balance(Money::of((string) $random->getInt(0, 80), 'GBP'), retries: $random->getInt(0, 1) === 0 ? [] : [2, 5]);
            $each = SmallestTopUps::untilEach($purse, self::charges($charges), $limits);
            foreach (array_unique(array_column($charges, 0)) as $day) {
                $until = array_filter($charges, fn (array $one): bool => $one[0] <= $day);
                $alone = SmallestTopUps::of($purse, self::charges($until), $limits)->topUps;
                $here = array_filter([$each[Instant::day(2026, 10, $day)->epoch] ?? null]);
                self::assertEquals($alone, $here, "run {$run}, {$day}");
                $found += count($alone);
            }
        }
        self::assertGreaterThan(300, $found);
        self::assertSame([], SmallestTopUps::untilEach(Purse::invoice('GBP'), self::charges(['a.com' => [12, '1']]), self::limits()));
        $this->expectException(InvalidArgumentException::class);
        SmallestTopUps::untilEach(Purse::balance(Money::of('1.00', 'GBP')), [], self::limits(most: '40.00'));
    }

    private static function oneOf(Randomizer $random, int $number): string
    {
        return "n{$number}.".['com', 'org'][$random->getInt(0, 1)];
    }

    /** @return list<Credit> none in every other case */
    private static function credits(Randomizer $random, int $unit): array
    {
        $credits = [];
        for ($i = max(0, $random->getInt(-2, 2)); $i > 0; $i--) {
            $credits[] = new Credit(
                Money::of((string) ($unit * $random->getInt(1, 6)), 'GBP'),
                suffixes: [[], ['com'], ['org']][$random->getInt(0, 2)],
                ends: $random->getInt(0, 1) === 0 ? null : Instant::day(2026, 10, $random->getInt(7, 14)),
            );
        }

        return $credits;
    }

    /**
     * @param  list<TopUp>  $topUps
     * @return list<int> days, sum, and then each day, later ones being less
     */
    private static function worth(array $topUps): array
    {
        return [
            count($topUps),
            array_sum(array_map(fn (TopUp $one): int => $one->amount->minor(), $topUps)),
            ...array_map(fn (TopUp $one): int => -$one->at->epoch, $topUps),
        ];
    }

    /** @return iterable<list<TopUp>> all on at most so many days */
    private static function ways(TopUpLimits $limits, int $most): iterable
    {
        yield [];
        if ($most === 0) {
            return;
        }
        foreach (self::single($limits) as $one) {
            yield [$one];
            foreach ($most > 1 ? self::single($limits) : [] as $other) {
                if ($other->at->isAfter($one->at)) {
                    yield [$one, $other];
                }
            }
        }
    }

    /** @return iterable<TopUp> */
    private static function single(TopUpLimits $limits): iterable
    {
        for ($day = 5; $day <= 12; $day++) {
            $at = Instant::day(2026, 10, $day);
            if ($limits->lastBy($at)?->date() !== $at->date()) {
                continue;
            }
            for ($sum = $limits->leastMinor(); $sum <= ($limits->mostMinor() ?? 30_000); $sum += $limits->up(1)) {
                yield new TopUp($at, Money::ofMinor($sum, 'GBP'));
            }
        }
    }

    /**
     * @param  array<string, array{int, string}>  $charges
     * @param  list<TopUp>  $topUps
     * @param  list<Charge>  $lost
     */
    private static function saves(Purse $purse, array $charges, array $topUps, array $lost): bool
    {
        $failures = Forecast::of($purse, self::charges($charges), $topUps)->failures();

        return array_diff(
            array_map(fn (Entry $one): string => $one->charge->name ?? '', $failures),
            array_map(fn (Charge $one): string => $one->name, $lost),
        ) === [];
    }

    /**
     * @param  array<string, array{int, string}>  $charges
     * @param  list<int>  $retries
     */
    private static function plan(string $holds, array $charges, TopUpLimits $limits, array $retries = []): SmallestTopUps
    {
        return SmallestTopUps::of(Purse::balance(Money::of($holds, 'GBP'), retries: $retries), self::charges($charges), $limits);
    }

    /**
     * @param  array<string, array{int, string}>  $charges  day of October and amount by name
     * @return list<Charge>
     */
    private static function charges(array $charges): array
    {
        return array_map(
            fn (string $name): Charge => self::charge($name, $charges[$name][0], $charges[$name][1]),
            array_keys($charges),
        );
    }

    private static function charge(string $name, int $day, string $amount): Charge
    {
        $at = Instant::day(2026, 10, $day);

        return new Charge($name, $at, $at, Money::of($amount, 'GBP'));
    }

    /** @param  list<int>  $quiet */
    private static function limits(
        string $least = '0.01',
        string $step = '0.01',
        ?string $most = null,
        int $from = 6,
        array $quiet = [],
    ): TopUpLimits {
        return new TopUpLimits(
            Instant::day(2026, 10, $from),
            Money::of($least, 'GBP'),
            Money::of($step, 'GBP'),
            $most === null ? null : Money::of($most, 'GBP'),
            $quiet,
        );
    }

    /** @return list<string> */
    private static function told(SmallestTopUps $found): array
    {
        return array_map(fn (TopUp $one): string => "{$one->at->date()} {$one->amount->decimal()}", $found->topUps);
    }
}
