<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Actions\People\SetPassword;
use App\Http\NewPassword;
use App\Models\Link;
use App\Models\User;
use App\Support\HouseSettings;
use App\View\Words;
use Illuminate\Contracts\Validation\Factory;

/** Somebody of the house sets their own password. */
final readonly class PasswordPage implements AnswerPage
{
    public function __construct(private SetPassword $set, private Factory $validator, private HouseSettings $house, private Words $words)
    {
    }

    public function show(Link $link): ?array
    {
        $user = User::query()->where('may_sign_in', true)->find($link->user_id);

        return $user === null ? null : ['answers.password', ['email' => $user->email, 'isFirst' => $user->password === null]];
    }

    public function store(Link $link, string $token, TypedAnswer $typed): ?string
    {
        $user = User::query()->findOrFail($link->user_id);
        [$password, $again] = $typed->passwords();
        $rule = new NewPassword([$user->name, $user->email, $this->house->name()]);
        $wrong = $this->validator->make(['password' => $password], ['password' => ['required', $rule]])->errors()->first('password');
        if ($wrong !== '' || $password !== $again) {
            throw NotAnswered::because($wrong !== '' ? $wrong : $this->words->say('session.password.differ'));
        }

        return $this->set->byLink($token, $password) ? 'password_set' : null;
    }
}
