<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;

/** A message that an account holds little: docs/account-extension.md. Sums are decimals as the server wrote them. */
final readonly class LowBalance
{
    /** @param  string  $currency  ISO 4217 */
    private function __construct(public string $balance, public string $currency)
    {
    }

    public static function of(EppResponse $response): ?self
    {
        $own = EppNamespace::Account->value;
        $data = $response->objectOrNull(EppNamespace::Account, 'balanceData');

        return $data === null ? null : new self($data->textOf($own, 'balance'), $data->child($own, 'balance')->attribute('currency') ?? '');
    }
}
