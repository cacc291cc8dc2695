<?php

declare(strict_types=1);

namespace Standin\Registry;

use Standin\World;

/** What a registrar sells for a name that lies in an account there, out of what the account holds. */
final readonly class Sales
{
    private const YEARS_AHEAD = 10;

    public function __construct(private World $world)
    {
    }

    /**
     * @param  int|null  $most  pence that were agreed on; null: nobody did
     * @return int|string what was taken, in pence; or why nothing was
     */
    public function renew(Account $account, Registered $name, int $years, ?int $most = null): int|string
    {
        $ends = $name->ends;
        for ($year = 0; $ends !== null && $year < $years; $year++) {
            $ends = EndHabit::yearAfter($ends);
        }
        $sold = match (true) {
            $ends === null => 'It goes on by itself.',
            $name->has('pendingDelete') || $name->has('redemptionPeriod') => 'It is deleted.',
            $ends > $this->world->now() + self::YEARS_AHEAD * 365.25 * 86_400 => 'It may not run more than ten years ahead.',
            default => $this->take(
                $account,
                $name,
                'renew',
                $this->world->prices->of('renew', $name->name, $this->world->now(), $years),
                $most,
            ),
        };
        if (is_int($sold)) {
            $name->ends = $ends;
            $name->renewed = $this->world->now();
            $name->change(['ok', 'autoRenewPeriod'], ['renewPeriod']);
        }

        return $sold;
    }

    /**
     * The registrar makes the report itself.
     *
     * @param  int|null  $most  pence that were agreed on; null: nobody did
     * @return int|string what was taken, in pence; or why nothing was
     */
    public function restore(Account $account, Registered $name, ?int $most = null): int|string
    {
        $sold = $name->has('redemptionPeriod')
            ? $this->take($account, $name, 'restore', $this->world->prices->of('restore', $name->name, $this->world->now()), $most)
            : 'It is not in redemption.';
        if (is_int($sold)) {
            $name->restore($this->world->now());
        }

        return $sold;
    }

    /** @param  'renew'|'restore'  $kind */
    private function take(Account $account, Registered $name, string $kind, int $price, ?int $most): int|string
    {
        return match (true) {
            $most !== null && $most < $price => 'It costs '.Prices::written($price).'.',
            ! $this->world->till->take($account, $price, $kind, $name->name, $this->world->now()) => 'The account holds too little.',
            default => $price,
        };
    }
}
