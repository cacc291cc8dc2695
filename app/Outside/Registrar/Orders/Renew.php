<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use Acre\Core\Time\Instant;
use App\Outside\Registrar\OrderKind;

/** It is to run so many years longer than to the end that it has. */
final readonly class Renew extends Order
{
    /**
     * @param  Instant  $ends  the end as it is recorded here: where its registrar has another, nothing is renewed
     * @param  array{string, string}|null  $fee  what it may cost at most before tax, and in which currency; null: nobody agreed on that
     */
    public function __construct(string $transaction, string $name, public Instant $ends, public int $years, public ?array $fee)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return OrderKind::Renew;
    }
}
