<?php

declare(strict_types=1);

namespace App\Http\Names;

use App\Actions\Names\AddName;
use App\Actions\Names\OnTheRoll;
use App\Models\Account;
use App\Models\Client;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;

/** One name by hand. */
final class AddNameController
{
    /** As many accounts and clients as a list offers. */
    private const LISTED = 500;

    public function create(): View
    {
        return view('names.create', [
            'accounts' => Account::query()
                ->with('registrar')
                ->orderBy('registrar_id')
                ->orderBy('number')
                ->limit(self::LISTED)
                ->get()
                ->mapWithKeys(fn (Account $account): array => [$account->id => $account->registrar->name.' '.$account->number])
                ->all(),
            'clients' => Client::query()
                ->standing()
                ->orderByDesc('is_house')
                ->orderByRaw('lower(name)')
                ->limit(self::LISTED)
                ->pluck('name', 'id')
                ->all(),
        ]);
    }

    public function store(AddNameRequest $request, AddName $add): RedirectResponse
    {
        try {
            $name = $add->handle(
                $request->person(),
                $request->domain(),
                Account::query()->findOrFail($request->integer('account')),
                Client::query()->findOrFail($request->integer('client')),
                $request->facts(),
            );
        } catch (OnTheRoll $e) {
            throw ValidationException::withMessages(['name' => __('names.add.there', ['name' => $e->name->unicode])]);
        }

        return to_route('names.show', $name)->with('told', __('names.add.done', ['name' => $name->unicode]));
    }
}
