<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** One auto-renewal that a registrar will charge; or a transfer that is thought of. */
final readonly class Charge
{
    /**
     * @param  string  $name  A-labels
     * @param  Instant  $at  when it is charged first
     * @param  Instant  $ends  the end of the term that it carries on from
     * @param  Money  $amount  with tax
     * @param  string  $for  'renew' or 'transfer'
     */
    public function __construct(
        public string $name,
        public Instant $at,
        public Instant $ends,
        public Money $amount,
        public string $for = 'renew',
    ) {
    }
}
