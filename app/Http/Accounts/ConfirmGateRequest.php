<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** That a password is meant for another gate than it was given for; with the person's own asked again. */
final class ConfirmGateRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['gate' => ['required', 'string', 'max:500'], 'own_password' => ['bail', 'required', 'string', 'current_password']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['own_password.current_password' => (string) __('outside.gate.own_wrong')];
    }
}
