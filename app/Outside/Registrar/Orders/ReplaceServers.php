<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** It gets these name servers, and no others. */
final readonly class ReplaceServers extends Order
{
    /**
     * @param  list<string>  $servers  A-labels in small letters
     * @param  array<string, list<string>>  $glue  addresses of those that lie inside the name, by host
     */
    public function __construct(string $transaction, string $name, public array $servers, public array $glue = [])
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return OrderKind::Servers;
    }
}
