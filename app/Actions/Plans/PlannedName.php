<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use Acre\Core\Money\Money;
use Acre\Core\Planner\Placed;
use Acre\Core\Time\Instant;
use App\Queries\Names\HeldCase;

/** A name of a plan: its day and why, what it costs, and the dates around it. */
final readonly class PlannedName
{
    /**
     * @param  Instant|null  $heldUntil  the day from which it is safe, where that is to come
     * @param  Instant|null  $charged  when its present registrar charges the next renewal
     * @param  Money|null  $renewal  what that costs
     */
    public function __construct(
        public HeldCase $file,
        public Placed $placed,
        public ?Money $price,
        public ?Instant $heldUntil,
        public ?Instant $charged,
        public ?Money $renewal,
    ) {
    }
}
