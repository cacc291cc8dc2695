<?php

declare(strict_types=1);

namespace App\Http\Session;

use App\Http\NewPassword;
use App\Models\User;
use App\Support\BeginCode;
use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** Only a house without anybody in it can be begun. */
final class BeginRequest extends FormRequest
{
    public function authorize(): bool
    {
        return User::query()->doesntExist();
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'begin_code' => ['required', 'string', 'max:40', $this->isCode(...)],
            'house' => ['required', 'string', 'max:200'],
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'email', 'max:320'],
            'password' => [
                'required',
                'confirmed',
                new NewPassword([
                    $this->string('name')->toString(),
                    $this->string('email')->toString(),
                    $this->string('house')->toString(),
                ]),
            ],
        ];
    }

    private function isCode(string $field, mixed $value, Closure $fail): void
    {
        if (! app(BeginCode::class)->is(is_string($value) ? $value : '')) {
            $fail(__('session.begin_code'));
        }
    }
}
