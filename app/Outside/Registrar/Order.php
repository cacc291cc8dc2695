<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

/** One thing that a registrar is told, about one name that lies in one of our accounts there. */
final readonly class Order
{
    /**
     * @param  string  $transaction  our own id of it, which the registrar gives back
     * @param  string  $name  A-labels
     * @param  string|null  $number  of the receiving account, in a handover
     * @param  string|null  $login  of it
     */
    public function __construct(public OrderKind $kind, public string $transaction, public string $name, public ?string $number = null, public ?string $login = null)
    {
    }
}
