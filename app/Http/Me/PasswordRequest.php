<?php

declare(strict_types=1);

namespace App\Http\Me;

use App\Http\NewPassword;
use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** Another password of one's own, with the current one. */
final class PasswordRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'current_password' => ['bail', 'required', 'string', 'current_password'],
            'password' => ['required', 'string', 'confirmed', new NewPassword([$this->person()->name, $this->person()->email])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'current_password.current_password' => (string) __('session.password_wrong'),
            'password.confirmed' => (string) __('session.password.differ'),
        ];
    }
}
