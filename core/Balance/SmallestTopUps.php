<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use InvalidArgumentException;

/**
 * What must be paid in, and when, so that no charge of a span is refused that can still be saved: on the fewest days, of those the smallest
 * sum, of those as late as possible.
 */
final readonly class SmallestTopUps
{
    /**
     * @param  list<TopUp>  $topUps  by day
     * @param  list<Charge>  $lost  what no top-up can save any more, as money would come too late
     */
    private function __construct(public array $topUps, public array $lost)
    {
    }

    /** @param  list<Charge>  $charges  of the span, in the purse's currency; money that is planned already is in what it holds */
    public static function of(Purse $purse, array $charges, TopUpLimits $limits): self
    {
        $holds = $purse->holds?->minor();
        if ($holds === null || $charges === []) {
            return new self([], []);
        }
        $lost = self::lost($purse, $charges, $limits);
        $sums = self::byDay($purse, $charges, $lost, $limits);
        $need = [];
        $sum = -$holds;
        foreach ($sums as [$day, $amount]) {
            $sum += $amount;
            $need[] = [$day, $sum];
        }
        $total = $sum;
        if ($total <= 0) {
            return new self([], array_values($lost));
        }

        return new self(self::placed($purse->currency, $need, $total, $limits), array_values($lost));
    }

    /**
     * For each day, the one top-up that carries all charges until then: worked out once for all of them.
     *
     * @param  list<Charge>  $charges  as above
     * @param  TopUpLimits  $limits  without a most: else one might not do
     * @return array<int, TopUp> by the first second of the day; a day until which nothing lacks has none
     *
     * @throws InvalidArgumentException when a top-up has a most
     */
    public static function untilEach(Purse $purse, array $charges, TopUpLimits $limits): array
    {
        if ($limits->most !== null) {
            throw new InvalidArgumentException('One top-up might not do.');
        }
        if ($purse->holds === null) {
            return [];
        }
        $sum = -$purse->holds->minor();
        $first = null;
        $found = [];
        foreach (self::byDay($purse, $charges, self::lost($purse, $charges, $limits), $limits) as [$day, $amount]) {
            $sum += $amount;
            if ($sum > 0) {
                $first ??= $day;
                foreach (self::placed($purse->currency, [[$first, $sum]], $sum, $limits) as $one) {
                    $found[$day->epoch] = $one;
                }
            }
        }

        return $found;
    }

    /**
     * As it would go without a top-up: what is refused before money can come, and never tried again then, is lost.
     *
     * @param  list<Charge>  $charges
     * @return array<string, Charge> by name
     */
    private static function lost(Purse $purse, array $charges, TopUpLimits $limits): array
    {
        $lost = [];
        foreach (Forecast::of($purse, $charges)->failures() as $failure) {
            if ($failure->charge !== null && $limits->lastBy($failure->at) === null) {
                $lost[$failure->charge->name] = $failure->charge;
            }
        }

        return $lost;
    }

    /**
     * What is charged on each day; what is refused until money can come is charged when it is tried again.
     *
     * @param  list<Charge>  $charges
     * @param  array<string, Charge>  $lost
     * @return list<array{Instant, int}>
     */
    private static function byDay(Purse $purse, array $charges, array $lost, TopUpLimits $limits): array
    {
        $credited = self::credited($purse, $charges, $lost, $limits);
        $sums = $days = [];
        foreach ($charges as $i => $charge) {
            if (isset($lost[$charge->name])) {
                continue;
            }
            $day = $charge->at->toDay();
            $days[$day->epoch] = $day;
            $sums[$day->epoch] = ($sums[$day->epoch] ?? 0) + $charge->amount->minor() - ($credited[$i] ?? 0);
        }
        ksort($sums);

        return array_map(fn (int $epoch): array => [$days[$epoch], $sums[$epoch]], array_keys($sums));
    }

    /**
     * What credits pay where there is money enough from the first day on which it can come.
     *
     * @param  list<Charge>  $charges
     * @param  array<string, Charge>  $lost
     * @return array<int, int> by charge, in the smallest unit
     */
    private static function credited(Purse $purse, array $charges, array $lost, TopUpLimits $limits): array
    {
        if ($purse->credits === []) {
            return [];
        }
        $saved = array_filter($charges, fn (Charge $one): bool => ! isset($lost[$one->name]));
        $places = [];
        foreach ($saved as $i => $charge) {
            $places[spl_object_id($charge)] = $i;
        }
        $plenty = array_sum(array_map(fn (Charge $one): int => $one->amount->minor(), $saved));
        $credited = [];
        $money = new TopUp($limits->first(), Money::ofMinor($plenty, $purse->currency));
        foreach (Forecast::of($purse, array_values($saved), [$money])->entries as $entry) {
            if ($entry->charge !== null && $entry->credited > 0) {
                $credited[$places[spl_object_id($entry->charge)]] = $entry->credited;
            }
        }

        return $credited;
    }

    /**
     * The first ones as large as they may be, so that those after them can wait longest.
     *
     * @param  list<array{Instant, int}>  $need  by day, what must have been paid in by then
     * @return list<TopUp>
     */
    private static function placed(string $currency, array $need, int $total, TopUpLimits $limits): array
    {
        $least = $limits->leastMinor();
        $most = $limits->mostMinor() ?? max($least, $limits->up($total));
        $count = intdiv($limits->up($total) + $most - 1, $most);
        $total = max($limits->up($total), $count * $least);
        $amounts = $by = [];
        for ($paid = 0, $i = 1; $i <= $count; $i++) {
            $by[] = self::firstAbove($need, $paid);
            $amounts[] = min($most, $total - $paid - ($count - $i) * $least);
            $paid += $amounts[$i - 1];
        }
        $topUps = [];
        $before = null;
        for ($i = $count - 1; $i >= 0; $i--) {
            $day = $before === null ? $by[$i] : Instant::earliest($by[$i], $before->plusDays(-1));
            // Where money must have come before it can, it comes as soon as it can.
            $before = $limits->lastBy($day) ?? $limits->from->toDay();
            array_unshift($topUps, new TopUp($before, Money::ofMinor($amounts[$i], $currency)));
        }

        return $topUps;
    }

    /**
     * The first day on which more is needed than was paid in.
     *
     * @param  list<array{Instant, int}>  $need
     */
    private static function firstAbove(array $need, int $paid): Instant
    {
        foreach ($need as [$day, $sum]) {
            if ($sum > $paid) {
                return $day;
            }
        }

        return $need[count($need) - 1][0];
    }
}
