<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Rulebook\RuleSet;
use Acre\Core\Time\Instant;

/** Terms added to a name's end, as registries add them. */
final class Term
{
    /** Months: registries sell a year at least, and dates that were told differently lie days apart (common practice). */
    private const LEAST = 6;

    /**
     * The end after so many more months. Counted from the first date where the end is an anniversary of it, so that a
     * name of 29 February comes back to that day in leap years, however often it was renewed.
     */
    public static function extend(?Instant $created, Instant $ends, int $months): Instant
    {
        return self::extended($created, self::anniversary($created, $ends), $ends, $months);
    }

    /**
     * The ends of this term and of those that follow if each is renewed.
     *
     * @param  int  $months  that each renewal adds
     * @param  Instant  $until  not included
     * @return list<Instant>
     */
    public static function ends(?Instant $created, Instant $ends, int $months, Instant $until): array
    {
        $all = [];
        $end = $ends;
        $run = self::anniversary($created, $ends);
        for ($terms = 1; $end->isBefore($until); $terms++) {
            $all[] = $end;
            $end = self::extended($created, $run, $ends, $months * $terms);
        }

        return $all;
    }

    /** Whether a name was renewed between two ends that were told of it: one that moved by less than half a year was only put right. */
    public static function isRenewed(Instant $then, Instant $now): bool
    {
        return ! $now->isBefore($then->plusMonths(self::LEAST));
    }

    /** How many months after its first date a name ends; null: that is no anniversary, or the first date is not known. */
    private static function anniversary(?Instant $created, Instant $ends): ?int
    {
        if ($created === null) {
            return null;
        }
        [$from, $to] = [$created->date(), $ends->date()];
        $run = 12 * ((int) substr($to, 0, 4) - (int) substr($from, 0, 4)) + (int) substr($to, 5, 2) - (int) substr($from, 5, 2);

        return $run > 0 && $created->plusMonths($run)->date() === $to ? $run : null;
    }

    private static function extended(?Instant $created, ?int $run, Instant $ends, int $months): Instant
    {
        if ($created === null || $run === null) {
            return $ends->plusMonths($months);
        }
        $extended = $created->plusMonths($run + $months);

        return Instant::second($ends->epoch + $extended->toDay()->epoch - $ends->toDay()->epoch)->to($ends->precision);
    }

    /** From when it can be renewed at all; null: at any time. */
    public static function renewableFrom(Instant $ends, RuleSet $rules): ?Instant
    {
        return $rules->renewableFrom->value > 0 ? $ends->plusDays(-$rules->renewableFrom->value) : null;
    }

    /** How many years can be added today: never more than are sold at once, never past the years ahead that the rules allow. */
    public static function addable(?Instant $created, Instant $ends, RuleSet $rules, Instant $now): int
    {
        if (self::renewableFrom($ends, $rules)?->isAfter($now) === true) {
            return 0;
        }
        $limit = $now->plusYears($rules->yearsAhead->value);
        for ($years = $rules->mostYears->value; $years > 0 && 12 * $years >= $rules->leastMonths->value; $years--) {
            if (! self::extend($created, $ends, 12 * $years)->isAfter($limit)) {
                return $years;
            }
        }

        return 0;
    }
}
