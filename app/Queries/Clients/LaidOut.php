<?php

declare(strict_types=1);

namespace App\Queries\Clients;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** One thing that was laid out for a client. */
final readonly class LaidOut
{
    /**
     * @param  string  $kind  of `ledger.kind`
     * @param  Money  $sum  what was charged; below nothing: paid back
     * @param  Money  $surcharge  on top of it
     */
    public function __construct(
        public Instant $on,
        public string $name,
        public string $kind,
        public Money $sum,
        public Money $surcharge,
    ) {
    }

    public function total(): Money
    {
        return $this->sum->plus($this->surcharge);
    }
}
