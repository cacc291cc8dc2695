<?php

declare(strict_types=1);

namespace App\Http\Money;

use Acre\Wire\Lists\DateOrder;
use App\Http\SignedIn;
use App\Support\Currencies;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

final class StatementRequest extends FormRequest
{
    use SignedIn;

    /** Kilobytes: no statement is longer. */
    private const MOST = 8_192;

    protected function prepareForValidation(): void
    {
        $this->merge(['statement_currency' => mb_strtoupper(trim($this->word('statement_currency')))]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'statement' => ['required', 'file', 'max:'.self::MOST],
            'statement_currency' => ['required', function (string $field, mixed $value, Closure $fail): void {
                if (! is_string($value) || ! Currencies::isKnown($value)) {
                    $fail(__('forms.currency'));
                }
            }],
            'statement_dates' => ['nullable', Rule::enum(DateOrder::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['statement.*' => __('registrars.list.no_file', ['limit' => (string) (self::MOST / 1_024)])];
    }

    public function path(): string
    {
        $file = $this->file('statement');

        return $file instanceof UploadedFile ? $file->getPathname() : abort(422);
    }

    public function order(): ?DateOrder
    {
        return DateOrder::tryFrom($this->word('statement_dates'));
    }
}
