<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** These fields of its registrant may be shown; all others are withheld. */
final readonly class Disclose extends Order
{
    /** @param  list<string>  $fields  as `Acre\Core\Contact\Field` names them */
    public function __construct(string $transaction, string $name, public array $fields)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return OrderKind::Disclose;
    }
}
