<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** The transfer lock is set, or lifted. */
final readonly class SwitchLock extends Order
{
    public function __construct(string $transaction, string $name, public bool $on)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return $this->on ? OrderKind::LockOn : OrderKind::LockOff;
    }
}
