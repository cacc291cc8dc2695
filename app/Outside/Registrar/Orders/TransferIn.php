<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;
use SensitiveParameter;

/** It is to come here from another registrar. */
final readonly class TransferIn extends Order
{
    /**
     * @param  string|null  $code  its auth code; null: none is in hand
     * @param  array{string, string}|null  $fee  what it may cost at most before tax, and in which currency; null: nobody agreed on that
     */
    public function __construct(
        string $transaction,
        string $name,
        #[SensitiveParameter] public ?string $code,
        public ?array $fee,
    ) {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return OrderKind::Transfer;
    }
}
