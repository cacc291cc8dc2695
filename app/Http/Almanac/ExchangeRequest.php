<?php

declare(strict_types=1);

namespace App\Http\Almanac;

use App\Http\SignedIn;
use App\Support\Currencies;
use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** What one of a currency is worth in another. */
final class ExchangeRequest extends FormRequest
{
    use SignedIn;

    protected function prepareForValidation(): void
    {
        $this->merge([
            'currency' => mb_strtoupper(trim($this->word('currency'))),
            'to_currency' => mb_strtoupper(trim($this->word('to_currency'))),
            'rate' => str_replace(',', '.', trim($this->word('rate'))),
        ]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'currency' => ['required', 'regex:/^[A-Z]{3}$/', self::known(...)],
            'to_currency' => ['required', 'regex:/^[A-Z]{3}$/', 'different:currency', self::known(...)],
            'rate' => ['required', 'regex:/^\d{1,7}(\.\d{1,8})?$/', 'gt:0'],
            'on_day' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
        ];
    }

    private static function known(string $field, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || ! Currencies::isKnown($value)) {
            $fail(__('forms.currency'));
        }
    }
}
