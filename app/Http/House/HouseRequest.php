<?php

declare(strict_types=1);

namespace App\Http\House;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

final class HouseRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'currency' => ['required', 'string', 'regex:/^[A-Z]{3}$/D'],
            'letterhead' => ['nullable', 'string', 'max:1000'],
            'four_eyes' => ['nullable', 'integer', 'min:0', 'max:100000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['currency.regex' => __('forms.currency')];
    }

    /** @return array{currency: string, letterhead: string, four_eyes: int|null} */
    public function settings(): array
    {
        return ['currency' => $this->word('currency'), 'letterhead' => trim(str_replace("\r", '', $this->word('letterhead'))), 'four_eyes' => $this->filled('four_eyes') ? $this->integer('four_eyes') : null];
    }
}
