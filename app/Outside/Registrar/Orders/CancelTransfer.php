<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** What was asked of another registrar is asked no more. */
final readonly class CancelTransfer extends Order
{
    public function kind(): OrderKind
    {
        return OrderKind::CancelTransfer;
    }
}
