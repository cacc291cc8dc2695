<?php

declare(strict_types=1);

namespace App\Http\Money;

use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use App\Support\Currencies;
use Closure;

/** A form with an amount and its currency: a comma is taken for the point, and there are no more decimals than the currency has. */
trait TypesAmount
{
    /** @param  string  $before  what the names of the two fields begin with, where another form on the page has such fields */
    protected function tidyAmount(string $before = ''): void
    {
        $this->merge([
            "{$before}currency" => mb_strtoupper(trim($this->word("{$before}currency"))),
            "{$before}amount" => str_replace(',', '.', trim($this->word("{$before}amount"))),
        ]);
    }

    /** @return array<string, list<mixed>> */
    protected function amountRules(string $before = ''): array
    {
        return [
            "{$before}amount" => ['required', 'regex:/^\d{1,9}(\.\d{1,4})?$/', $this->decimals(...)],
            "{$before}currency" => ['required', 'regex:/^[A-Z]{3}$/'],
        ];
    }

    public function amount(string $before = ''): Money
    {
        return Money::of($this->word("{$before}amount"), $this->word("{$before}currency"));
    }

    private function decimals(string $field, mixed $value, Closure $fail): void
    {
        $currency = $this->word(str_replace('amount', 'currency', $field));
        if (! Currencies::isKnown($currency)) {
            $fail(__('forms.currency'));

            return;
        }
        try {
            Money::of(is_string($value) ? $value : '', $currency);
        } catch (MoneyError $e) {
            $fail($e->getMessage());
        }
    }
}
