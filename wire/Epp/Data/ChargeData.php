<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;

/** A message that a renewal was charged, or could not be: docs/account-extension.md. Sums are decimals as the server wrote them. */
final readonly class ChargeData
{
    /**
     * @param  string  $state  `charged` or `refused`
     * @param  string  $balance  what is left
     * @param  string  $currency  ISO 4217
     */
    private function __construct(
        public string $name,
        public string $state,
        public string $sum,
        public string $balance,
        public string $currency,
    ) {
    }

    public static function of(EppResponse $response): ?self
    {
        $own = EppNamespace::Account->value;
        $data = $response->objectOrNull(EppNamespace::Account, 'chargeData');

        return $data === null
            ? null
            : new self(
                strtolower($data->textOf($own, 'name')),
                $data->textOf($own, 'state'),
                $data->textOf($own, 'sum'),
                $data->textOf($own, 'balance'),
                $data->child($own, 'sum')->attribute('currency') ?? '',
            );
    }
}
