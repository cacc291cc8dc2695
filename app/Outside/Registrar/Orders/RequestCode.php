<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** Its auth code is asked for. */
final readonly class RequestCode extends Order
{
    public function kind(): OrderKind
    {
        return OrderKind::AuthCode;
    }
}
