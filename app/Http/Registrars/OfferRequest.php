<?php

declare(strict_types=1);

namespace App\Http\Registrars;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Http\Money\TypesAmount;
use App\Http\SignedIn;
use App\Models\Offer;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** An offer: a share that is taken off, or a price of its own. Its fields are not those of the form for prices on the same page. */
final class OfferRequest extends FormRequest
{
    use SignedIn;
    use TypesAmount;

    protected function prepareForValidation(): void
    {
        $this->onlyTexts('offer_since');
        $this->tidyAmount('offer_');
        $this->merge([
            'offer_suffix' => ltrim(mb_strtolower(trim($this->word('offer_suffix'))), '.'),
            'offer_percent' => str_replace(',', '.', trim($this->word('offer_percent'), " %\u{A0}")),
            'offer_code' => trim($this->word('offer_code')),
        ]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'offer_suffix' => ['nullable', 'string', 'max:100', 'regex:/^[a-z0-9-]+(\.[a-z0-9-]+)*$/'],
            'offer_action' => ['required', Rule::in(Offer::ACTIONS)],
            'offer_percent' => [
                'nullable',
                'required_without:offer_amount',
                'prohibits:offer_amount',
                'numeric',
                'gt:0',
                'max:100',
                'decimal:0,2',
            ],
            ...$this->amountRules('offer_'),
            'offer_amount' => ['nullable', 'regex:/^\d{1,9}(\.\d{1,4})?$/', $this->decimals(...)],
            'offer_code' => ['nullable', 'string', 'max:60', 'regex:/^[^\p{C}]*$/u'],
            'offer_since' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
            'offer_until' => ['nullable', 'date_format:Y-m-d', 'after_or_equal:offer_since', 'before:2101-01-01'],
            'offer_first_only' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, mixed> */
    public function offer(): array
    {
        $word = fn (string $key): ?string => $this->word("offer_{$key}") === '' ? null : $this->word("offer_{$key}");
        $until = $word('until');

        return [
            'suffix' => $word('suffix'),
            'action' => $word('action'),
            'percent' => $word('percent'),
            'amount' => $word('amount'),
            'currency' => $word('amount') === null ? null : $word('currency'),
            'first_only' => $this->boolean('offer_first_only'),
            'code' => $word('code'),
            // The last day on which it holds is one of it.
            'span' => Span::of(Instant::of((string) $word('since')), $until === null ? null : Instant::of($until)->plusDays(1)),
        ];
    }
}
