<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Time\Instant;

/** What an account was charged, against what was expected. */
final class Reckoning
{
    /** Days before and after within which a charge is the one that was expected: registrars book at night, and at weekends. */
    private const AROUND = 3;

    /**
     * @param  list<Expected>  $expected
     * @param  list<Entered>  $entered
     * @return list<Amiss> by day
     */
    public static function of(array $expected, array $entered, Instant $now): array
    {
        $amiss = [];
        $renewals = [];
        foreach ($entered as $one) {
            if (! $one->isOurs) {
                $amiss[] = new Amiss(AmissKind::NotOurs, $one->name, $one->on, null, $one->amount);
            } elseif ($one->isRenewal) {
                $renewals[$one->name][] = $one;
            }
        }
        foreach ($expected as $one) {
            array_push($amiss, ...self::one($one, $renewals[$one->name] ?? [], $now));
        }
        usort($amiss, fn (Amiss $one, Amiss $other): int => [$one->on->epoch, $one->name] <=> [$other->on->epoch, $other->name]);

        return $amiss;
    }

    /**
     * @param  list<Entered>  $renewals  of the same name
     * @return list<Amiss>
     */
    private static function one(Expected $expected, array $renewals, Instant $now): array
    {
        $from = $expected->at->toDay()->plusDays(-self::AROUND);
        $until = $expected->until->toDay()->plusDays(self::AROUND + 1);
        $charged = array_values(array_filter(
            $renewals,
            fn (Entered $one): bool => ! $one->on->isBefore($from) && $one->on->isBefore($until),
        ));
        if ($charged === []) {
            return $until->hasComeAt($now)
                ? [new Amiss(AmissKind::Missing, $expected->name, $expected->at, $expected->amount, null)]
                : [];
        }
        $amiss = array_map(
            fn (Entered $one): Amiss => new Amiss(AmissKind::Double, $one->name, $one->on, null, $one->amount),
            array_slice($charged, 1),
        );
        if (! $charged[0]->amount->equals($expected->amount)) {
            $amiss[] = new Amiss(AmissKind::OtherPrice, $expected->name, $charged[0]->on, $expected->amount, $charged[0]->amount);
        }

        return $amiss;
    }
}
