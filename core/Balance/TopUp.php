<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** Money that is to be paid in on a day. */
final readonly class TopUp
{
    public function __construct(public Instant $at, public Money $amount)
    {
    }
}
