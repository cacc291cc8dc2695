<?php

declare(strict_types=1);

namespace App\Outside\Registrar\Orders;

use App\Outside\Registrar\OrderKind;

/** It gets these DS records, and no others. */
final readonly class ReplaceKeys extends Order
{
    /** @param  list<string>  $delegates  key tag, algorithm, digest type and digest, blanks between; none: DNSSEC is turned off */
    public function __construct(string $transaction, string $name, public array $delegates)
    {
        parent::__construct($transaction, $name);
    }

    public function kind(): OrderKind
    {
        return OrderKind::Keys;
    }
}
