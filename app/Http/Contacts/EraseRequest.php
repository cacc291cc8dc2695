<?php

declare(strict_types=1);

namespace App\Http\Contacts;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

final class EraseRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'asked_on' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2101-01-01'],
            'words' => ['required', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['words.required' => self::said('forms.erase_how')];
    }
}
