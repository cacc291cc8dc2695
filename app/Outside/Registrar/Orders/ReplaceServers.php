<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** It gets these name servers, and no others. */
final readonly class ReplaceServers extends Order
{
    /** @param  list<string>  $servers  A-labels in small letters */
    public function __construct(string $transaction, string $name, public array $servers)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return OrderKind::Servers;
    }
}
