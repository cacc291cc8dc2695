<?php

declare(strict_types=1);

namespace App\Queries\Money;

use Acre\Core\Balance\Credit;
use Acre\Core\Money\Money;

/** What is left of an account's credits in one currency, and what they paid that its balance didn't. */
final readonly class CreditsRead
{
    /**
     * @param  list<Credit>  $left
     * @param  Money  $paidSince  of what was charged since the balance was last said
     * @param  Money  $ordered  of what is ordered and not charged yet
     */
    public function __construct(public array $left, public Money $paidSince, public Money $ordered)
    {
    }
}
