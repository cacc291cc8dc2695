<?php

declare(strict_types=1);

namespace App\Http\Names;

use App\Actions\Names\AddName;
use App\Actions\Names\OnTheRoll;
use App\Models\Account;
use App\Models\Client;
use App\Models\Name;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\WatchedCase;
use App\Support\TradeClock;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;

/** One name by hand. */
final readonly class AddNameController
{
    /** As many accounts and clients as a list offers. */
    private const LISTED = 500;

    public function __construct(private CaseFiles $files, private TradeClock $clock)
    {
    }

    /** Of a name that is watched, what its registry says is there already. */
    public function create(Request $request): View
    {
        $watched = $this->watched($request->query('name'));

        return view('names.create', [
            'watched' => $watched,
            'name' => $watched === null ? '' : $watched->facts->name->unicode,
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

    private function watched(mixed $asked): ?WatchedCase
    {
        $name = is_string($asked) ? (new Name())->resolveRouteBinding($asked) : null;
        $file = $name === null ? null : $this->files->of([$name->id], $this->clock->now())[$name->id] ?? null;

        return $file instanceof WatchedCase ? $file : null;
    }
}
