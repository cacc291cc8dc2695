<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\Holder;
use App\Outside\Registrar\OrderKind;

/** Another legal holder, or another version of the same one’s data. */
final readonly class ReplaceRegistrant extends Order
{
    /** @param  list<string>|null  $fields  of the holder that may be shown; null: nothing is said of that */
    public function __construct(string $transaction, string $name, public Holder $holder, public ?array $fields = null)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return OrderKind::Registrant;
    }
}
