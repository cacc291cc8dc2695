<?php

declare(strict_types=1);

namespace App\Http\People;

use App\Actions\People\SecondFactor;
use App\Actions\People\SendChangeNotice;
use App\Actions\People\WritePasswordLetter;
use App\Http\SignedInRequest;
use App\Models\Role;
use App\Models\User;
use App\Outside\Post\Post;
use App\Support\HouseLog;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;

/** Who may sign in, and as what; an Owner's page. */
final readonly class PersonController
{
    public function __construct(
        private Connection $database,
        private Post $post,
        private WritePasswordLetter $letter,
        private SendChangeNotice $tell,
        private HouseLog $log,
    ) {
    }

    public function index(): View
    {
        return view('people.index', ['people' => User::query()->orderBy('name')->get()]);
    }

    public function create(): View
    {
        return view('people.form', ['person' => new User(), 'byLetter' => $this->post->isThere()]);
    }

    public function store(PersonRequest $request): RedirectResponse
    {
        return $this->save(new User(), $request);
    }

    public function edit(User $person): View
    {
        return view('people.form', ['person' => $person, 'byLetter' => $this->post->isThere()]);
    }

    public function update(User $person, PersonRequest $request): RedirectResponse
    {
        return $this->save($person, $request);
    }

    /** For somebody who has lost what shows their codes, and their recovery codes too. */
    public function endSecond(User $person, SecondFactor $second, SignedInRequest $request): RedirectResponse
    {
        $second->end($person, $request->person()->id);

        return to_route('people.edit', $person)->with('told', __('people.second_off', ['who' => $person->name]));
    }

    /** Whoever changes in what they may is signed out everywhere. */
    private function save(User $person, PersonRequest $request): RedirectResponse
    {
        $values = $request->values();
        if (($values['password'] ?? null) === null) {
            unset($values['password']);
        }
        $values['may_sign_in'] = $request->boolean('may_sign_in', true);
        $this->database->transaction(function () use ($person, $values, $request): void {
            $isNew = ! $person->exists;
            // Two Owners who take each other's role away come one after the other, so that the second finds what the first has done.
            User::query()->where('role', Role::Owner)->orderBy('id')->lockForUpdate()->pluck('id');
            $was = $isNew ? '' : $person->email;
            $person->fill($values)->save();
            if ($was !== '' && $person->wasChanged('email')) {
                $this->tell->handle($person, 'mailbox', $was);
            }
            if ($person->wasChanged(['password', 'role', 'may_sign_in', 'email']) && $person->id !== $request->person()->id) {
                $this->database->table('sessions')->where('user_id', $person->id)->delete();
            }
            if (User::query()->where('role', Role::Owner)->where('may_sign_in', true)->doesntExist()) {
                throw ValidationException::withMessages(['role' => __('people.last_owner')]);
            }
            $this->log->write(
                $isNew ? 'made' : 'changed',
                'person',
                $person->id,
                ['role' => $person->role->value, 'may_sign_in' => $person->may_sign_in],
                $request->person()->id,
            );
        });

        if ($person->password === null && $this->post->isThere()) {
            $this->letter->invite($person, $request->person());

            return to_route('people.index')->with('told', __('people.invited', ['who' => $person->name]));
        }

        return to_route('people.index')->with('told', __('forms.saved', ['what' => $person->name]));
    }
}
