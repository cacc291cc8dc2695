<?php

declare(strict_types=1);

namespace App\Http\Registrars;

use App\Http\SignedIn;
use App\Support\Currencies;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class PriceListRequest extends FormRequest
{
    use SignedIn;

    /** Kilobytes: no price list is longer. */
    private const MOST = 4_096;

    protected function prepareForValidation(): void
    {
        $this->merge(['list_currency' => mb_strtoupper(trim($this->word('list_currency')))]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'list' => ['required', 'file', 'max:'.self::MOST],
            'list_currency' => ['required', function (string $field, mixed $value, Closure $fail): void {
                if (! is_string($value) || ! Currencies::isKnown($value)) {
                    $fail(__('forms.currency'));
                }
            }],
            'list_tax' => ['nullable', 'numeric', 'between:0,100', 'decimal:0,2'],
            'list_since' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['list.*' => __('registrars.list.no_file', ['limit' => (string) (self::MOST / 1_024)])];
    }

    public function path(): string
    {
        $file = $this->file('list');

        return $file instanceof UploadedFile ? $file->getPathname() : abort(422);
    }
}
