<?php

declare(strict_types=1);

namespace App\Http\Servers;

use Acre\Core\Delegation\ServerHost;
use Acre\Core\Delegation\WelcomeLetter;
use Acre\Core\Finding\Finding;
use App\Actions\Registrar\ChangeServers;
use App\Actions\SaveRow;
use App\Actions\Servers\CheckSet;
use App\Http\OldInput;
use App\Models\NamedSet;
use App\Models\Registrar;
use App\Queries\Servers\NamesByServers;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Sets of name servers: typed, or found in a web host's letter. */
final readonly class SetController
{
    public function __construct(private SaveRow $save, private Words $words)
    {
    }

    public function index(NamesByServers $names): View
    {
        $sets = NamedSet::query()->with('registrar')->orderBy('name')->limit(1_000)->get();

        return view('servers.index', [
            'sets' => $sets,
            'names' => $names->ofSets($sets),
            'hosts' => $names->byHost(),
            'words' => $this->words,
        ]);
    }

    public function create(Request $request): View
    {
        return $this->form(new NamedSet(), $request);
    }

    public function store(SetRequest $request): RedirectResponse
    {
        $set = $this->save->handle($request->person(), new NamedSet(), $request->columns(), null);
        // Whoever came from a deed goes on with it.
        $of = $request->word('of');

        return $of === ''
            ? to_route('servers.sets.index')->with('told', __('forms.saved', ['what' => $set->name]))
            : to_route('deeds.show', [ChangeServers::key(), 'of' => $of, 'set' => $set->id]);
    }

    public function edit(NamedSet $set, Request $request): View
    {
        return $this->form($set, $request);
    }

    public function update(NamedSet $set, SetRequest $request): RedirectResponse
    {
        $this->save->handle($request->person(), $set, $request->columns(), $request->integer('version'));

        return to_route('servers.sets.index')->with('told', __('forms.saved', ['what' => $request->word('name')]));
    }

    /** Whether its hosts can be found at all. */
    public function ask(NamedSet $set, CheckSet $check): RedirectResponse
    {
        $found = array_map(fn (Finding $one): string => $this->words->finding($one), $check->findings($set->value()));

        return to_route('servers.sets.edit', $set)->with('asked', $found);
    }

    /** What is found in a letter goes into the form, to be looked at before it is saved. */
    public function read(LetterRequest $request): RedirectResponse
    {
        $letter = WelcomeLetter::read($request->word('letter'));
        $lines = array_map(fn (ServerHost $server): string => implode(' ', [$server->host, ...$server->addresses]), $letter->servers);
        $operator = $letter->servers === [] ? '' : $letter->servers[0]->operator();
        $old = OldInput::of($request);

        return to_route('servers.sets.create', $request->word('of') === '' ? [] : ['of' => $request->word('of')])
            ->withInput([...$old, 'servers' => implode("\n", $lines), 'kind' => 'host', 'operator' => $operator, 'name' => $operator])
            ->with('found', [
                'servers' => count($lines),
                'others' => array_slice($letter->others, 0, 20),
                'ignored' => array_map(fn (string $line): string => mb_substr($line, 0, 200), array_slice($letter->ignored, 0, 40)),
            ]);
    }

    private function form(NamedSet $set, Request $request): View
    {
        $of = $request->query('of');

        return view('servers.form', [
            'set' => $set,
            'of' => is_string($of) ? $of : '',
            'registrars' => Registrar::query()->orderBy('name')->limit(1_000)->pluck('name', 'id')->all(),
            'findings' => $set->exists ? $set->value()->findings() : [],
            'words' => $this->words,
        ]);
    }
}
