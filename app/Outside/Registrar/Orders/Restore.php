<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use Acre\Core\Time\Instant;
use App\Outside\Registrar\OrderKind;

/** It is deleted, and taken back while it is in redemption. */
final readonly class Restore extends Order
{
    /**
     * @param  Instant|null  $deleted  since when it is deleted, as its registry is told; null: not known
     * @param  string  $reason  why it was, and is to be kept, as its registry is told
     * @param  array{string, string}|null  $fee  what it may cost at most before tax, and in which currency; null: nobody agreed on that
     */
    public function __construct(string $transaction, string $name, public ?Instant $deleted, public string $reason, public ?array $fee)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return OrderKind::Restore;
    }
}
