<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** What an account pays from, in one currency, and how its registrar charges it. */
final readonly class Purse
{
    /**
     * @param  Money|null  $holds  what a balance holds today; null: it pays otherwise
     * @param  Instant|null  $cardEnds  from when its card is no longer good; null: not known, or it pays otherwise
     * @param  list<int>  $retries  days after the first attempt on which a refused charge is tried again, ascending
     * @param  list<Credit>  $credits  beside a balance, in its currency: what pays only for some things
     */
    private function __construct(
        public PaidFrom $from,
        public string $currency,
        public ?Money $holds,
        public ?Instant $cardEnds,
        public ChargeOrder $order,
        public array $retries,
        public array $credits = [],
    ) {
    }

    /**
     * @param  list<int>  $retries  days after the first attempt
     * @param  list<Credit>  $credits  in the same currency
     */
    public static function balance(Money $holds, ChargeOrder $order = ChargeOrder::Ends, array $retries = [], array $credits = []): self
    {
        sort($retries);

        return new self(PaidFrom::Balance, $holds->currency, $holds, null, $order, $retries, $credits);
    }

    /** @param  list<int>  $retries  days after the first attempt */
    public static function card(string $currency, ?Instant $ends, ChargeOrder $order = ChargeOrder::Ends, array $retries = []): self
    {
        sort($retries);

        return new self(PaidFrom::Card, $currency, null, $ends, $order, $retries);
    }

    public static function invoice(string $currency): self
    {
        return new self(PaidFrom::Invoice, $currency, null, null, ChargeOrder::Ends, []);
    }
}
