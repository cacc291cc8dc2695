<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Money\Money;

/** What names cost together. */
final readonly class Sums
{
    /**
     * @param  list<Money>  $sums  one a currency
     * @param  int  $unpriced  names without a price
     */
    public function __construct(public array $sums, public int $unpriced)
    {
    }
}
