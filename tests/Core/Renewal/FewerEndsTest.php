<?php

declare(strict_types=1);

namespace Tests\Core\Renewal;

use Acre\Core\Balance\PaidFrom;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Money\Money;
use Acre\Core\Price\Rate;
use Acre\Core\Renewal\FewerEnds;
use Acre\Core\Renewal\Paying;
use Acre\Core\Renewal\Renewal;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;
use Tests\Core\Given;

/** Which years to buy so that names end in one year; a term is whole years (RFC 5731 §3.2.3). */
final class FewerEndsTest extends TestCase
{
    /**
     * @param  array<string, string>  $ends  by name
     * @return list<FewerEnds>
     */
    private static function of(array $ends, ?string $price = '10.00'): array
    {
        $now = Instant::of(Given::NOW);
        $names = [];
        foreach ($ends as $name => $end) {
            $names[$name] = fn (int $years): Renewal => new Renewal(
                Given::life($name, '2020-01-01', $end, Intent::WhenTold, now: Given::NOW),
                $years,
                $price === null ? null : new Rate(Money::of($price, 'GBP'), '20'),
                null,
                new Paying('40718', 'Skerry', true, true, PaidFrom::Balance, Money::of('0.00', 'GBP')),
            );
        }

        return FewerEnds::of($names, array_map(Instant::of(...), $ends), $now);
    }

    public function test_each_year_says_what_is_bought_and_what_it_costs(): void
    {
        $found = self::of(['a.com' => '2026-11-02', 'b.com' => '2027-11-20', 'c.org' => '2028-03-01', 'd.net' => '2027-03-05']);
        self::assertSame(
            [
                [2027, [1 => ['a.com']], ['b.com', 'd.net'], ['c.org'], ['2027-03', '2027-11'], '12.00'],
                [2028, [1 => ['b.com', 'd.net'], 2 => ['a.com']], ['c.org'], [], ['2028-03', '2028-11'], '48.00'],
                [2029, [1 => ['c.org'], 2 => ['b.com', 'd.net'], 3 => ['a.com']], [], [], ['2029-03', '2029-11'], '96.00'],
            ],
            array_map(
                fn (FewerEnds $one): array => [
                    $one->year,
                    $one->bought,
                    $one->there,
                    $one->left,
                    $one->months,
                    $one->costs['GBP']->decimal(),
                ],
                array_slice($found, 0, 3),
            ),
        );
        self::assertSame([2027, 2028, 2029, 2030, 2031], array_map(fn (FewerEnds $one): int => $one->year, $found));
        self::assertSame([1, 3, 4], array_map(fn (FewerEnds $one): int => $one->count(), array_slice($found, 0, 3)));
    }

    /** Money is no part of it: whoever pays is told on the page of the deed. What the suffix doesn't allow is left out. */
    public function test_what_can_t_is_left_out(): void
    {
        $found = self::of(['a.com' => '2026-11-02', 'b.com' => '2026-12-20', 'gone.com' => '2026-05-01', 'bells.ai' => '2027-04-01'], null);
        self::assertSame([2027, ['gone.com'], ['bells.ai'], 2], [$found[0]->year, $found[0]->left, $found[0]->there, $found[0]->unpriced]);
        // A registry that sells two years at least (from memory).
        self::assertSame([2028, ['gone.com', 'bells.ai']], [$found[1]->year, $found[1]->left]);
        self::assertSame([2029, [2 => ['bells.ai'], 3 => ['a.com', 'b.com']]], [$found[2]->year, $found[2]->bought]);
    }

    public function test_nothing_to_bring_together_is_no_choice(): void
    {
        self::assertSame([], self::of(['a.com' => '2027-11-02']));
        self::assertSame([], self::of([]));
        self::assertSame(2028, self::of(['a.com' => '2027-11-02', 'b.com' => '2027-01-02'])[0]->year, 'they end together already in 2027');
    }
}
