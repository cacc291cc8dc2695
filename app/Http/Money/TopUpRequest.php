<?php

declare(strict_types=1);

namespace App\Http\Money;

use Acre\Core\Time\Instant;
use App\Http\SignedIn;
use App\Support\TradeClock;
use Illuminate\Foundation\Http\FormRequest;

/** Money that is to be paid in to an account on a day. */
final class TopUpRequest extends FormRequest
{
    use SignedIn;
    use TypesAmount;

    protected function prepareForValidation(): void
    {
        $this->tidyAmount();
    }

    /** @return array<string, list<mixed>> */
    public function rules(TradeClock $clock): array
    {
        $amount = $this->amountRules();
        $amount['amount'][] = 'not_regex:/^0+(\.0+)?$/';

        return [
            ...$amount,
            'on' => ['required', 'date_format:Y-m-d', "after_or_equal:{$clock->today()->date()}", 'before:2101-01-01'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['amount.not_regex' => self::said('money.more_than_nothing')];
    }

    public function on(): Instant
    {
        return Instant::of($this->word('on'));
    }
}
