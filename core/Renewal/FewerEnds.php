<?php

declare(strict_types=1);

namespace Acre\Core\Renewal;

use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Time\Instant;
use Closure;

/**
 * Names renewed so that all of them end in one year, and the months in which any of them ends are few. A term is whole years, so a name
 * keeps its day and month: only the year is chosen.
 */
final readonly class FewerEnds
{
    /** Years ahead that are worth a look; what is paid further ahead is forgotten (common practice). */
    private const AHEAD = 5;

    /**
     * @param  int  $year  in which they then end
     * @param  array<int, list<string>>  $bought  names by the years that are bought
     * @param  list<string>  $there  names that end in that year already
     * @param  list<string>  $left  names that can't: they end later, or their suffix or their state doesn't allow it
     * @param  list<string>  $months  `2028-03`, in which names that are among them then end
     * @param  array<string, Money>  $costs  with tax, by currency
     * @param  int  $unpriced  names of which the price is not known
     */
    private function __construct(
        public int $year,
        public array $bought,
        public array $there,
        public array $left,
        public array $months,
        public array $costs,
        public int $unpriced,
    ) {
    }

    /**
     * @param  array<string, Closure(int): Renewal>  $names  by name, its renewal for so many years
     * @param  array<string, Instant>  $ends  by name
     * @return list<self> by year: those in which two names or more end together, and something is to be bought
     */
    public static function of(array $names, array $ends, Instant $now): array
    {
        $found = [];
        for ($year = self::year($now); $year <= self::year($now) + self::AHEAD; $year++) {
            $one = self::in($year, $names, $ends);
            if ($one->bought !== [] && count($names) - count($one->left) > 1) {
                $found[] = $one;
            }
        }

        return $found;
    }

    /** How many names are renewed. */
    public function count(): int
    {
        return array_sum(array_map(count(...), $this->bought));
    }

    /**
     * @param  array<string, Closure(int): Renewal>  $names
     * @param  array<string, Instant>  $ends
     */
    private static function in(int $year, array $names, array $ends): self
    {
        $bought = $there = $left = $months = $costs = [];
        $unpriced = 0;
        foreach ($names as $name => $renewal) {
            $years = $year - self::year($ends[$name]);
            $sale = $years > 0 ? $renewal($years) : null;
            // From 29 February on a name may come to end in another month, never in another year.
            $then = $sale === null ? $ends[$name] : $sale->endAfter();
            if ($years < 0 || $then === null || $sale?->isPossible() === false) {
                $left[] = $name;

                continue;
            }
            $months[substr($then->date(), 0, 7)] = true;
            if ($sale === null) {
                $there[] = $name;

                continue;
            }
            $bought[$years][] = $name;
            $costs[] = $sale->price();
            $unpriced += $sale->price() === null ? 1 : 0;
        }
        ksort($bought);
        ksort($months);

        return new self($year, $bought, $there, $left, array_keys($months), Sums::of($costs), $unpriced);
    }

    private static function year(Instant $at): int
    {
        return (int) substr($at->date(), 0, 4);
    }
}
