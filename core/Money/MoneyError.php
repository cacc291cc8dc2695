<?php

declare(strict_types=1);

namespace Acre\Core\Money;

use InvalidArgumentException;

final class MoneyError extends InvalidArgumentException
{
    public static function tooFine(string $amount, string $currency, int $decimals): self
    {
        return new self("“{$amount}” has more decimals than {$currency}, which has ".($decimals === 0 ? 'none' : (string) $decimals).'.');
    }

    public static function notAnAmount(string $given): self
    {
        return new self("“{$given}” is not an amount: write it as 12.50.");
    }

    public static function notACurrency(string $given): self
    {
        return new self("“{$given}” is not a currency: write its three letters, such as GBP.");
    }

    public static function twoCurrencies(string $one, string $other): self
    {
        return new self("An amount in {$one} can’t be added to one in {$other}.");
    }
}
