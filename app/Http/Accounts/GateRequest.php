<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use Acre\Wire\Epp\Command\Login;
use App\Http\SignedIn;
use App\Models\Account;
use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** The password of a gate, with the person's own asked again. */
final class GateRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $account = $this->route('account');
        $isWire = $account instanceof Account && $account->registrar->link === 'wire';

        return [
            'gate_password' => ['nullable', 'string', ...$isWire ? ['regex:'.Login::PASSWORD, $this->client(...)] : ['max:200']],
            'own_password' => ['bail', 'required', 'string', 'current_password'],
        ];
    }

    /** Whether an account that is called so can log in at all. */
    private function client(string $field, mixed $value, Closure $fail): void
    {
        $account = $this->route('account');
        if ($account instanceof Account && preg_match(Login::CLIENT, $account->number) !== 1) {
            $fail(__('outside.gate.number_wrong', ['number' => $account->number]));
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'own_password.current_password' => (string) __('outside.gate.own_wrong'),
            'gate_password.regex' => (string) __('outside.gate.password_wrong'),
        ];
    }
}
