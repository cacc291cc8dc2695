<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** A transfer requested from another registrar is cancelled. */
final readonly class CancelTransfer extends Order
{
    public function kind(): OrderKind
    {
        return OrderKind::CancelTransfer;
    }
}
