<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** The offer to another account is withdrawn. */
final readonly class CancelHandover extends Order
{
    public function kind(): OrderKind
    {
        return OrderKind::CancelHandover;
    }
}
