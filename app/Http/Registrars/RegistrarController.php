<?php

declare(strict_types=1);

namespace App\Http\Registrars;

use App\Actions\SaveRow;
use App\Models\Offer;
use App\Models\Price;
use App\Models\Registrar;
use App\Queries\Tallies;
use App\Support\TradeClock;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Registrars with their terms and prices. */
final readonly class RegistrarController
{
    /** Accounts. */
    public const LISTED = 500;

    public function __construct(private SaveRow $save, private Tallies $tallies, private TradeClock $clock)
    {
    }

    public function index(): View
    {
        $registrars = Registrar::query()->withCount('accounts')->orderBy('name')->paginate(100);

        return view('registrars.index', ['registrars' => $registrars, 'tallies' => $this->tallies->by('registrar_id', $registrars)]);
    }

    public function create(): View
    {
        return view('registrars.form', ['registrar' => new Registrar]);
    }

    public function store(RegistrarRequest $request): RedirectResponse
    {
        $registrar = $this->save->handle($request->person(), new Registrar, $request->columns(), null);

        return to_route('registrars.show', $registrar)->with('told', __('forms.saved', ['what' => $registrar->name]));
    }

    public function show(Registrar $registrar): View
    {
        $accounts = $registrar->accounts()->with('owner')->orderBy('number')->limit(self::LISTED)->get();

        return view('registrars.show', [
            'registrar' => $registrar,
            'accounts' => $accounts,
            'tallies' => $this->tallies->by('account_id', $accounts),
            'offers' => Offer::query()
                ->where('registrar_id', $registrar->id)
                ->whereNull('withdrawn_at')
                ->orderByRaw('lower(span) DESC')
                ->limit(200)
                ->get(),
            'prices' => $registrar->prices()->orderBy('suffix')->orderBy('action')->orderByRaw('lower(span) DESC')->get(),
            'price' => new Price,
            'today' => $this->clock->today(),
        ]);
    }

    public function edit(Registrar $registrar): View
    {
        return view('registrars.form', ['registrar' => $registrar]);
    }

    public function update(Registrar $registrar, RegistrarRequest $request): RedirectResponse
    {
        $this->save->handle($request->person(), $registrar, $request->columns(), $request->integer('version'));

        return to_route('registrars.show', $registrar)->with('told', __('forms.saved', ['what' => $registrar->name]));
    }
}
