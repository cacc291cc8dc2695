<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** One thing that was charged other than expected. */
final readonly class Amiss
{
    /**
     * @param  Money|null  $expected  null: nothing was
     * @param  Money|null  $charged  null: nothing was
     */
    public function __construct(
        public AmissKind $kind,
        public string $name,
        public Instant $on,
        public ?Money $expected,
        public ?Money $charged,
    ) {
    }
}
