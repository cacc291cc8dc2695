<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** What becomes of a name that is not paid for. */
final readonly class Refusal
{
    /**
     * @param  Instant  $dark  when it stops answering, at the earliest
     * @param  Instant|null  $plain  until when it costs no more than before; null: not known
     * @param  Instant|null  $last  until when anybody can keep it
     * @param  Money|null  $late  what is asked on top then; null: not known
     */
    public function __construct(
        public Instant $ends,
        public Instant $dark,
        public ?Instant $plain,
        public ?Instant $last,
        public ?Money $late,
    ) {
    }
}
