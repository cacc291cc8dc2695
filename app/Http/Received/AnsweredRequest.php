<?php

declare(strict_types=1);

namespace App\Http\Received;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

final class AnsweredRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['answer' => ['required', 'string', 'max:4000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['answer.required' => self::said('forms.answered_how')];
    }
}
