<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Lifecycle\Term;
use Acre\Core\Money\Money;
use Acre\Core\Rulebook\RuleSet;
use Acre\Core\Time\Instant;

/** The auto-renewals of one name that its registrar will charge over a span, term after term. */
final class ChargesToCome
{
    /** Months of a term, where the registry sells no longer ones at least. */
    private const YEAR = 12;

    /**
     * @param  Money  $price  of one renewal, with tax
     * @param  Instant  $from  what was charged before is over; a charge on this day is still to come
     * @param  Instant  $until  not included
     * @return list<Charge> by time; none if nobody knows when it ends
     */
    public static function of(NameFacts $facts, LateTerms $terms, RuleSet $rules, Money $price, Instant $from, Instant $until): array
    {
        if ($facts->ends === null) {
            return [];
        }
        $step = max(self::YEAR, $rules->leastMonths->value);
        $charges = [];
        // A charge comes before the end of its term: the last end that matters lies one lead behind the span.
        foreach (Term::ends($facts->created, $facts->ends, $step, $until->plusDays($terms->chargeLead)) as $ends) {
            $at = $ends->plusDays(-$terms->chargeLead);
            if (! $at->toDay()->isBefore($from->toDay()) && $at->isBefore($until)) {
                $charges[] = new Charge($facts->name->ascii, $at, $ends, $price);
            }
        }

        return $charges;
    }
}
