<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Data;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;

/** What an account is told that it holds: docs/account-extension.md. As the server wrote it. */
final readonly class AccountHolds
{
    private function __construct(public string $amount, public string $currency)
    {
    }

    /** Null: the registrar says nothing of it. */
    public static function of(EppResponse $response): ?self
    {
        $balance = $response->objectOrNull(EppNamespace::Account, 'infData')?->childOrNull(EppNamespace::Account->value, 'balance');

        return $balance === null ? null : new self(trim($balance->text()), $balance->attribute('currency') ?? '');
    }
}
