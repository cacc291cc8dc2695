<?php

declare(strict_types=1);

namespace Standin\Registry;

use Standin\Store;

/** The money of accounts at registrars: what is taken, paid in, and charged for names that renew by themselves. */
final readonly class Till
{
    private const DAY = 86_400;

    /** Below which an account is told that it holds little, in pence. Invented. */
    private const LOW = 2_000;

    /** Days before the end of a term on which each registrar charges; the others do so at the end. Invented. */
    private const LEAD = ['skerry' => 7, 'oriel' => 30];

    public function __construct(private Store $store)
    {
    }

    /**
     * @param  'add'|'renew'|'transfer'|'restore'  $kind
     * @return bool false: the account holds too little, and nothing is taken
     */
    public function take(Account $account, int $pence, string $kind, string $name, int $at): bool
    {
        if ($account->balance < $pence) {
            return false;
        }
        $isLow = $account->balance < self::LOW;
        $account->balance -= $pence;
        $this->store->putAccount($account);
        $this->store->entries->add($account, $at, $kind, $name, -$pence);
        if (! $isLow && $account->balance < self::LOW) {
            $this->warn($account, $at);
        }

        return true;
    }

    public function payIn(Account $account, int $pence, int $at): void
    {
        $account->balance += $pence;
        $this->store->putAccount($account);
        $this->store->entries->add($account, $at, 'top_up', null, $pence);
    }

    private function warn(Account $account, int $at): void
    {
        $this->store->inbox->leave(
            $account->number,
            $at,
            'The account holds less than '.Prices::written(self::LOW).' '.Prices::CURRENCY.': '.Prices::written($account->balance).'.',
            json_encode(
                [
                    'kind' => 'balance',
                    'state' => 'low',
                    'number' => $account->number,
                    'balance' => Prices::written($account->balance),
                    'limit' => Prices::written(self::LOW),
                    'at' => $at,
                ],
                JSON_THROW_ON_ERROR,
            ),
        );
    }

    /** When a name's renewal is charged, or tried again; null: it isn't, or was already. */
    public function due(Registered $name): ?int
    {
        if (! $this->renews($name) || $name->ends === null || $name->charged === $name->ends) {
            return null;
        }
        $first = $name->ends - (self::LEAD[$name->registrar] ?? 0) * self::DAY;

        return $name->tried === null || $name->tried < $first ? $first : min($name->tried + self::DAY, $name->ends);
    }

    /** Charges it; where the account holds too little it is tried once a day, and at the end it no longer renews. */
    public function charge(Registered $name, int $at): void
    {
        $account = $this->store->account($name->account ?? '');
        if ($account === null) {
            $name->charged = $name->ends;

            return;
        }
        $pence = (new Prices($this->store))->of('renew', $name->name, $at);
        $isPaid = $this->take($account, $pence, 'renew', $name->name, $at);
        if ($isPaid) {
            $name->charged = $name->ends;
        } elseif ($at >= ($name->ends ?? $at)) {
            $name->autoRenew = false;
        }
        // Told of the first attempt, and of how it ended.
        if ($isPaid || $name->tried === null || ! $name->autoRenew) {
            $this->tell($account, $name, $pence, $isPaid, $at);
        }
        $name->tried = $isPaid ? null : $at;
    }

    private function tell(Account $account, Registered $name, int $pence, bool $isPaid, int $at): void
    {
        $this->store->inbox->leave(
            $account->number,
            $at,
            $isPaid
                ? "The renewal of {$name->name} was charged: ".Prices::written($pence).' '.Prices::CURRENCY.'.'
                : "The account holds too little to renew {$name->name}: ".Prices::written($account->balance).' of '.
                    Prices::written($pence).' '.Prices::CURRENCY.'.',
            json_encode(
                [
                    'kind' => 'charge',
                    'name' => $name->name,
                    'state' => $isPaid ? 'charged' : 'refused',
                    'to' => $account->number,
                    'sum' => Prices::written($pence),
                    'balance' => Prices::written($account->balance),
                    'at' => $at,
                ],
                JSON_THROW_ON_ERROR,
            ),
        );
    }

    private function renews(Registered $name): bool
    {
        return $name->autoRenew && $name->account !== null && ! $name->has('autoRenewPeriod') && ! $name->has('redemptionPeriod')
            && ! $name->has('pendingDelete') && ! $name->has('serverHold');
    }
}
