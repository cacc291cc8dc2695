<?php

declare(strict_types=1);

namespace App\Http\Registrars;

use Acre\Core\Time\Instant;
use App\Http\Money\TypesAmount;
use App\Http\SignedIn;
use App\Models\Price;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class PriceRequest extends FormRequest
{
    use SignedIn;
    use TypesAmount;

    protected function prepareForValidation(): void
    {
        $this->merge([
            'suffix' => ltrim(mb_strtolower(trim($this->word('suffix'))), '.'),
        ]);
        $this->tidyAmount();
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'suffix' => ['required', 'string', 'max:100', 'regex:/^[a-z0-9-]+(\.[a-z0-9-]+)*$/'],
            'action' => ['required', Rule::in(Price::ACTIONS)],
            ...$this->amountRules(),
            'tax_percent' => ['nullable', 'numeric', 'between:0,100', 'decimal:0,2'],
            'since' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
        ];
    }

    /** @return array<string, string> */
    public function price(): array
    {
        $text = fn (string $key): string => $this->word($key);

        return [
            'suffix' => $text('suffix'),
            'action' => $text('action'),
            'amount' => $this->amount()->decimal(),
            'currency' => $text('currency'),
            'tax_percent' => $text('tax_percent') === '' ? '0' : $text('tax_percent'),
        ];
    }

    public function since(): Instant
    {
        return Instant::of($this->word('since'));
    }
}
