<?php

declare(strict_types=1);

namespace App\Http\Contacts;

use Acre\Core\Contact\RoleKind;
use Acre\Core\Rulebook\Rulebook;
use App\Http\SignedIn;
use App\Models\Contact;
use App\Models\Name;
use App\Support\TradeClock;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class RoleRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'contact' => ['required', 'integer', Rule::exists(Contact::class, 'id')->whereNull('merged_into')],
            'role' => ['required', Rule::enum(RoleKind::class)->except(RoleKind::Registrant), $this->isOfTheSuffix(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['contact.exists' => self::said('forms.no_contact'), 'contact.integer' => self::said('forms.choose_contact')];
    }

    public function role(): RoleKind
    {
        return RoleKind::from($this->word('role'));
    }

    private function isOfTheSuffix(string $field, mixed $value, Closure $fail): void
    {
        $name = $this->route('name');
        $role = is_string($value) ? RoleKind::tryFrom($value) : null;
        if (
            $this->isMethod('post') &&
            $name instanceof Name &&
            $role !== null &&
            ! app(Rulebook::class)->for($name->suffix, app(TradeClock::class)->now())->roles->value->has($role)
        ) {
            $fail(__('forms.no_role', ['suffix' => $name->suffix]));
        }
    }
}
