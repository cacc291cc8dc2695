<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** A charge that was made. */
final readonly class Entered
{
    /**
     * @param  string  $name  A-labels, or what the registrar calls it
     * @param  bool  $isOurs  whether that name is on the Roll
     * @param  bool  $isRenewal  whether it is for a renewal
     * @param  Money  $amount  above nothing
     */
    public function __construct(
        public string $name,
        public bool $isOurs,
        public bool $isRenewal,
        public Instant $on,
        public Money $amount,
    ) {
    }
}
