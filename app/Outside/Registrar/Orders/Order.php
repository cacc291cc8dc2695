<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** One thing that a registrar is told, about one name that lies in one of our accounts there. */
abstract readonly class Order
{
    /**
     * @param  string  $transaction  our own id of it, which the registrar gives back
     * @param  string  $name  A-labels
     */
    public function __construct(public string $transaction, public string $name)
    {
    }

    abstract public function kind(): OrderKind;
}
