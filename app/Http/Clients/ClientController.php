<?php

declare(strict_types=1);

namespace App\Http\Clients;

use Acre\Core\Drawing\Axis;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Standing\NextKind;
use App\Actions\SaveRow;
use App\Models\Client;
use App\Models\Pattern;
use App\Queries\Clients\ClientDesk;
use App\Queries\Clients\ClientSheet;
use App\Queries\Roll\ReadRoll;
use App\Queries\Roll\RollFilter;
use App\Queries\Tallies;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\RollRow;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Whom we serve. */
final readonly class ClientController
{
    /** Names that its page shows; the Roll has the rest. */
    private const ROWS = 12;

    public function __construct(
        private SaveRow $save,
        private Tallies $tallies,
        private ReadRoll $roll,
        private Rulebook $book,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    public function index(): View
    {
        $clients = Client::query()->standing()->orderByDesc('is_house')->orderBy('name')->paginate(100);

        return view('clients.index', ['clients' => $clients, 'tallies' => $this->tallies->by('client_id', $clients)]);
    }

    public function create(): View
    {
        return $this->form(new Client());
    }

    public function store(ClientRequest $request): RedirectResponse
    {
        $client = $this->save->handle($request->person(), new Client(), $request->values(), null);

        return to_route('clients.show', $client)->with('told', __('forms.saved', ['what' => $request->string('name')->toString()]));
    }

    /** What one needs when they telephone. */
    public function show(Client $client, ClientDesk $desk, ClientSheet $sheet): View|RedirectResponse
    {
        if ($client->merged_into !== null) {
            return to_route('clients.show', $client->merged_into);
        }
        $now = $this->clock->now();
        $axis = Axis::ofTheRoll($this->clock->today());
        $page = $this->roll->page(new RollFilter(client: $client->id), $this->clock->today(), 2 * self::ROWS);
        // What is only watched for them is none of theirs.
        $held = array_slice(
            array_filter($page->rows, fn (Row $row): bool => $row->text('next_kind') !== NextKind::Watched->value),
            0,
            self::ROWS,
        );

        return view('clients.show', [
            'client' => $client,
            'accounts' => $client->accounts()->with('registrar')->orderBy('number')->get(),
            'names' => $this->tallies->by('client_id', [$client])[$client->id] ?? null,
            'watched' => $this->tallies->watchedFor($client->id),
            'held' => $this->tallies->heldFor($client->id),
            'rows' => array_map(fn (Row $row): RollRow => RollRow::of($row, $axis, $this->book, $now, $this->words, [], []), $held),
            'axis' => $axis,
            'today' => $this->clock->today(),
            'sums' => $sheet->sums($client->id),
            'registrants' => $desk->registrants($client->id),
            'dockets' => $desk->dockets($client->id),
            'drifts' => $desk->drifts($client->id),
            'words' => $this->words,
        ]);
    }

    /** What is kept for a client, to be printed and given to them. */
    public function sheet(Client $client, ClientSheet $sheet): View|RedirectResponse
    {
        if ($client->merged_into !== null) {
            return to_route('clients.sheet', $client->merged_into);
        }

        return view('clients.sheet', [
            'client' => $client,
            'today' => $this->clock->today(),
            'words' => $this->words,
            'names' => $sheet->names($client->id),
            'count' => ($this->tallies->by('client_id', [$client])[$client->id] ?? null)?->int('names') ?? 0,
            'sums' => $sheet->sums($client->id),
        ]);
    }

    public function edit(Client $client): View|RedirectResponse
    {
        return $client->merged_into === null ? $this->form($client) : to_route('clients.edit', $client->merged_into);
    }

    public function update(Client $client, ClientRequest $request): RedirectResponse
    {
        $this->save->handle($request->person(), $client, $request->columns(), $request->integer('version'));

        return to_route('clients.show', $client)->with('told', __('forms.saved', ['what' => $client->name]));
    }

    private function form(Client $client): View
    {
        return view('clients.form', [
            'client' => $client,
            'patterns' => [
                '' => __('clients.form.default_pattern'),
            ] + Pattern::query()->orderBy('name')->limit(500)->pluck('name', 'id')->all(),
        ]);
    }
}
