<?php

declare(strict_types=1);

namespace App\Actions\Registrars;

/** A price list that was read. */
final readonly class PriceList
{
    /**
     * @param  list<array{suffix: string, action: string, amount: string, currency: string}>  $prices
     * @param  array<int, string>  $refused  why, by the line
     */
    public function __construct(public array $prices, public array $refused)
    {
    }
}
