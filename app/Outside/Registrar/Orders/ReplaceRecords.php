<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** Its zone at the registrar's own name servers gets these records. */
final readonly class ReplaceRecords extends Order
{
    /**
     * @param  list<string>  $records  as zone files write them, hosts relative to the name; all of a host and type are replaced by those
     *     that stand here, and `- host TYPE` goes
     */
    public function __construct(string $transaction, string $name, public array $records)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return OrderKind::Records;
    }
}
