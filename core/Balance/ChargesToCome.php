<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Lifecycle\Term;
use Acre\Core\Price\Rate;
use Acre\Core\Price\Rates;
use Acre\Core\Time\Instant;

/** The renewals of one name that its registrar will charge over a span, term after term. */
final readonly class ChargesToCome
{
    /** Months of a term, where the registry sells no longer ones at least. */
    private const YEAR = 12;

    /**
     * @param  list<Charge>  $charges  by time
     * @param  int  $unpriced  charges that would come, and of which nobody knows the price
     */
    private function __construct(public array $charges, public int $unpriced)
    {
    }

    /**
     * @param  string  $name  A-labels
     * @param  Instant|null  $created  where it is known, it keeps a name of 29 February on that day
     * @param  Instant  $ends  of the present term
     * @param  int  $lead  days before the end of a term on which it is charged
     * @param  int  $leastMonths  the shortest term that the registry sells
     * @param  Rate|Rates|null  $price  of one year; null: not known
     * @param  Instant  $from  what was charged before is over; a charge on this day is still to come
     * @param  Instant  $until  not included
     * @param  WhatIf  $whatIf  what is otherwise
     * @param  bool  $isRefused  whether the charge before the present end was refused, and is tried again
     */
    public static function of(
        string $name,
        ?Instant $created,
        Instant $ends,
        int $lead,
        int $leastMonths,
        Rate|Rates|null $price,
        Instant $from,
        Instant $until,
        WhatIf $whatIf = new WhatIf(),
        bool $isRefused = false,
    ): self {
        if ($whatIf->isLetGo($name)) {
            return new self([], 0);
        }
        $step = max(self::YEAR * $whatIf->years, $leastMonths);
        $charges = [];
        $unpriced = 0;
        $first = $from->toDay();
        // A charge comes before the end of its term: the last end that matters lies one lead behind the span.
        foreach (Term::ends($created, $ends, $step, $until->plusDays($lead)) as $end) {
            $at = $lead === 0 ? $end : $end->plusDays(-$lead);
            if ($at->isBefore($first)) {
                if (! $isRefused || $end->isBefore($first)) {
                    continue;
                }
                $at = $first;
            }
            $rate = $price instanceof Rates ? $price->at($at) : $price;
            if ($rate === null) {
                $unpriced++;
            } else {
                $charges[] = new Charge($name, $at, $end, $whatIf->rate($rate, $at)->gross(intdiv($step + self::YEAR - 1, self::YEAR)));
            }
        }

        return new self($charges, $unpriced);
    }
}
