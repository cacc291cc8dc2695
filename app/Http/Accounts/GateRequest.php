<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** The password of a gate, with the person's own asked again. */
final class GateRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['gate_password' => ['nullable', 'string', 'max:64'], 'own_password' => ['required', 'current_password']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['own_password.current_password' => (string) __('outside.gate.own_wrong')];
    }
}
