<?php

declare(strict_types=1);

namespace App\Http\Contacts;

use App\Actions\Contacts\GiveRole;
use App\Models\Contact;
use App\Models\Name;
use App\View\Words;
use Illuminate\Http\RedirectResponse;

/** Who is administrative, technical or billing contact of a name. */
final readonly class RoleController
{
    public function __construct(private GiveRole $roles, private Words $words)
    {
    }

    public function store(Name $name, RoleRequest $request): RedirectResponse
    {
        $given = $this->roles->give(
            $request->person(),
            $name,
            Contact::query()->findOrFail($request->integer('contact')),
            $request->role(),
        );

        return to_route('names.show', $name)
            ->withFragment('behind')
            ->with('told', $this->words->say($given ? 'contacts.custody.written' : 'contacts.has_role'));
    }

    public function destroy(Name $name, RoleRequest $request): RedirectResponse
    {
        $this->roles->end($request->person(), $name, Contact::query()->findOrFail($request->integer('contact')), $request->role());

        return to_route('names.show', $name)->withFragment('behind')->with('told', $this->words->say('contacts.custody.written'));
    }
}
