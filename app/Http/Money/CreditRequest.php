<?php

declare(strict_types=1);

namespace App\Http\Money;

use App\Http\SignedIn;
use App\Models\Credit;
use App\Support\TradeClock;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What somebody read at the registrar’s page: money that pays only for some things. */
final class CreditRequest extends FormRequest
{
    use SignedIn;
    use TypesAmount;

    private const MOST_SUFFIXES = 200;

    protected function prepareForValidation(): void
    {
        $this->tidyAmount('credit_');
        $this->merge(['credit_suffixes' => mb_strtolower(trim(mb_scrub($this->word('credit_suffixes'))))]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(TradeClock $clock): array
    {
        $amount = $this->amountRules('credit_');
        $amount['credit_amount'][] = 'not_regex:/^0+(\.0+)?$/';

        return [
            ...$amount,
            'credit_action' => ['nullable', Rule::in(Credit::ACTIONS)],
            'credit_suffixes' => ['nullable', 'string', 'max:2000', $this->areSuffixes(...)],
            'credit_lost_on' => ['nullable', 'date_format:Y-m-d', "after:{$clock->today()->date()}", 'before:2101-01-01'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['credit_amount.not_regex' => self::said('money.more_than_nothing')];
    }

    /** @return array<string, mixed> its columns, but for those that say by whom and when */
    public function credit(): array
    {
        $word = fn (string $key): ?string => $this->word("credit_{$key}") === '' ? null : $this->word("credit_{$key}");

        return [
            'amount' => $this->amount('credit_')->decimal(),
            'currency' => $word('currency'),
            'action' => $word('action'),
            'suffixes' => $this->suffixes(),
            'lost_on' => $word('lost_on'),
        ];
    }

    /** @return list<string> as they were typed, without their dots */
    private function suffixes(): array
    {
        $typed = preg_split('/[\s,;]+/u', $this->word('credit_suffixes'), self::MOST_SUFFIXES + 1, PREG_SPLIT_NO_EMPTY);

        return array_values(array_unique(array_map(fn (string $one): string => ltrim($one, '.'), $typed === false ? [] : $typed)));
    }

    private function areSuffixes(string $field, mixed $value, Closure $fail): void
    {
        foreach ($this->suffixes() as $one) {
            if (preg_match('/^[a-z0-9-]{1,63}(\.[a-z0-9-]{1,63})*$/D', $one) !== 1) {
                $fail(self::said('money.credit.no_suffix'));

                return;
            }
        }
    }
}
