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
    protected function tidyAmount(): void
    {
        $this->merge([
            'currency' => mb_strtoupper(trim($this->word('currency'))),
            'amount' => str_replace(',', '.', trim($this->word('amount'))),
        ]);
    }

    /** @return array<string, list<mixed>> */
    protected function amountRules(): array
    {
        return [
            'amount' => ['required', 'regex:/^\d{1,9}(\.\d{1,4})?$/', $this->decimals(...)],
            'currency' => ['required', 'regex:/^[A-Z]{3}$/'],
        ];
    }

    public function amount(): Money
    {
        return Money::of($this->word('amount'), $this->word('currency'));
    }

    private function decimals(string $field, mixed $value, Closure $fail): void
    {
        if (! Currencies::isKnown($this->word('currency'))) {
            $fail(__('forms.currency'));

            return;
        }
        try {
            Money::of(is_string($value) ? $value : '', $this->word('currency'));
        } catch (MoneyError $e) {
            $fail($e->getMessage());
        }
    }
}
