<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use Acre\Wire\Lists\Amount;
use Acre\Wire\Lists\ListNumber;
use App\Support\Currencies;

/** An amount of money in a list, in the currency that it names, or its column, or else the usual one. */
final class AmountRead
{
    /**
     * @param  bool  $isNumber  whether the file holds it as a number, with its own decimals
     * @param  string  $column  what the currency's column says
     * @param  string  $usual  ISO 4217, of amounts that name none
     *
     * @throws RefusedRow when it is none, or named in two currencies
     */
    public static function of(string $value, bool $isNumber, string $column, string $usual): Money
    {
        $said = $column === '' ? null : Amount::currency($column, $usual) ?? throw RefusedRow::because('currency', $column);
        $amount = ($isNumber ? ListNumber::read($value) : null)
            ?? (Amount::read($value, $said ?? $usual) ?? throw RefusedRow::because('amount', $value));
        if ($said !== null && $amount->currency !== null && $amount->currency !== $said) {
            throw RefusedRow::because('two_currencies', $value, ['price' => $amount->currency, 'column' => $said]);
        }
        $currency = $amount->currency ?? ($said ?? $usual);
        if (! Currencies::isKnown($currency)) {
            throw RefusedRow::because('currency', $value);
        }
        try {
            // A number of a spreadsheet is shown there with its currency's decimals, and computed with more.
            return $amount instanceof ListNumber
                ? Money::rounded($amount->decimal, $currency)
                : Money::of($amount->decimal, $currency);
        } catch (MoneyError $e) {
            throw RefusedRow::saying($e->getMessage(), $value);
        }
    }
}
