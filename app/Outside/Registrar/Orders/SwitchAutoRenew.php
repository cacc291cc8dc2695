<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** Auto-renew is switched on, or off. */
final readonly class SwitchAutoRenew extends Order
{
    public function __construct(string $transaction, string $name, public bool $on)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return $this->on ? OrderKind::AutoRenewOn : OrderKind::AutoRenewOff;
    }
}
