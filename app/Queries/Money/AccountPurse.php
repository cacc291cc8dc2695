<?php

declare(strict_types=1);

namespace App\Queries\Money;

use Acre\Core\Balance\ChargeOrder;
use Acre\Core\Balance\Credit;
use Acre\Core\Balance\PaidFrom;
use Acre\Core\Balance\Purse;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** An account, what it pays from, and how its registrar charges it. */
final readonly class AccountPurse
{
    /**
     * @param  Money|null  $holds  today; null: nobody has said, or it has no balance
     * @param  Money|null  $ordered  what of that is ordered and not charged yet
     * @param  Instant|null  $saidOn  when its balance was last said
     * @param  bool  $isAsSaid  whether nothing was entered since
     * @param  bool  $isTold  whether the registrar itself said so
     * @param  list<int>  $retries  days after the first attempt
     * @param  int  $lead  days before the end of a term on which its auto-renewal is charged
     * @param  list<Credit>  $credits  beside its balance, what is left of what pays only for some things
     */
    public function __construct(
        public int $id,
        public string $number,
        public int $registrarId,
        public string $registrar,
        public bool $isOurs,
        public PaidFrom $from,
        public ?Money $holds,
        public ?Money $ordered,
        public ?Instant $saidOn,
        public bool $isAsSaid,
        public bool $isTold,
        public ?Instant $cardEnds,
        public ChargeOrder $order,
        public array $retries,
        public int $lead,
        public array $credits = [],
    ) {
    }

    /** When a refused charge is tried for the last time. */
    public function lastTry(Instant $first): Instant
    {
        return $this->retries === [] ? $first : $first->plusDays(max($this->retries));
    }

    /** What can still be spent; null: not known, or it has no balance. */
    public function left(): ?Money
    {
        return $this->from !== PaidFrom::Balance || $this->holds === null
            ? null
            : ($this->ordered === null ? $this->holds : $this->holds->minus($this->ordered));
    }

    /** @return list<Credit> */
    public function creditsIn(string $currency): array
    {
        return array_values(array_filter($this->credits, fn (Credit $one): bool => $one->holds->currency === $currency));
    }

    /**
     * As the core runs it forward.
     *
     * @param  string  $currency  of the charges that it is to carry
     * @return Purse|null null: its balance is not known, or is in another currency
     */
    public function purse(string $currency): ?Purse
    {
        $left = $this->left();

        return match ($this->from) {
            PaidFrom::Balance => $left === null || $left->currency !== $currency
                ? null
                : Purse::balance($left, $this->order, $this->retries, $this->creditsIn($currency)),
            PaidFrom::Card => Purse::card($currency, $this->cardEnds, $this->order, $this->retries),
            PaidFrom::Invoice => Purse::invoice($currency),
        };
    }
}
