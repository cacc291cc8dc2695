<?php

declare(strict_types=1);

namespace App\Http\Registrars;

use Acre\Core\Money\Money;
use Acre\Core\Money\MoneyError;
use Acre\Core\Time\Instant;
use App\Http\SignedIn;
use App\Models\Price;
use App\Support\Currencies;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class PriceRequest extends FormRequest
{
    use SignedIn;

    protected function prepareForValidation(): void
    {
        $this->merge([
            'suffix' => ltrim(mb_strtolower(trim($this->word('suffix'))), '.'),
            'currency' => mb_strtoupper(trim($this->word('currency'))),
            'amount' => str_replace(',', '.', trim($this->word('amount'))),
        ]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'suffix' => ['required', 'string', 'max:100', 'regex:/^[a-z0-9-]+(\.[a-z0-9-]+)*$/'],
            'action' => ['required', Rule::in(Price::ACTIONS)],
            'amount' => ['required', 'regex:/^\d{1,9}(\.\d{1,4})?$/', $this->decimals(...)],
            'currency' => ['required', 'regex:/^[A-Z]{3}$/'],
            'tax_percent' => ['nullable', 'numeric', 'between:0,100', 'decimal:0,2'],
            'since' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
        ];
    }

    /** As many decimals as the currency has. */
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

    /** @return array<string, string> */
    public function price(): array
    {
        $text = fn (string $key): string => $this->word($key);

        return [
            'suffix' => $text('suffix'),
            'action' => $text('action'),
            'amount' => Money::of($text('amount'), $text('currency'))->decimal(),
            'currency' => $text('currency'),
            'tax_percent' => $text('tax_percent') === '' ? '0' : $text('tax_percent'),
        ];
    }

    public function since(): Instant
    {
        return Instant::of($this->word('since'));
    }
}
