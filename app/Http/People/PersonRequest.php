<?php

declare(strict_types=1);

namespace App\Http\People;

use App\Http\NewPassword;
use App\Http\NotTaken;
use App\Http\SignedIn;
use App\Models\Role;
use App\Models\User;
use App\Outside\Post\Post;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class PersonRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $person = $this->route('person');

        return [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'email', 'max:320', new NotTaken(User::class, 'email', 'person', $person)],
            'role' => ['required', Rule::enum(Role::class), $this->leavesAnOwner($person)],
            'may_sign_in' => ['boolean', $this->leavesAnOwner($person)],
            // Where there is a post, people set their own; an Owner gives one only where no letter can be sent, and never to themselves.
            'password' => app(Post::class)->isThere() || ($person instanceof User && $person->is($this->person()))
                    ? ['prohibited']
                    : [
                        $person instanceof User ? 'nullable' : 'required',
                        'confirmed',
                        new NewPassword([$this->word('name'), $this->word('email')]),
                    ],
        ];
    }

    private function leavesAnOwner(mixed $person): Closure
    {
        return function (string $field, mixed $value, Closure $fail) use ($person): void {
            $stays = $this->word('role') === Role::Owner->value && $this->boolean('may_sign_in', true);
            $others = User::query()
                ->where('role', Role::Owner)
                ->where('may_sign_in', true)
                ->when($person instanceof User, fn ($query) => $query->whereKeyNot($person instanceof User ? $person->id : 0))
                ->exists();
            if (! $stays && ! $others) {
                $fail(__('people.last_owner'));
            }
        };
    }
}
