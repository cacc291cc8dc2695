<?php

declare(strict_types=1);

namespace App\Http\Names;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** To see a code, one says one's own password again. */
final class ShowCodeRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['own_password' => ['bail', 'required', 'string', 'current_password']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['own_password.current_password' => (string) __('outside.gate.own_wrong')];
    }
}
