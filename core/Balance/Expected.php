<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** A charge that was expected, as it was worked out beforehand. */
final readonly class Expected
{
    /** @param  Instant  $until  when it is tried for the last time */
    public function __construct(public string $name, public Instant $at, public Instant $until, public Money $amount)
    {
    }
}
