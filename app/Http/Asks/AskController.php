<?php

declare(strict_types=1);

namespace App\Http\Asks;

use Acre\Core\Time\Instant;
use App\Actions\Asks\AskClient;
use App\Http\SignedInRequest;
use App\Models\Ask;
use App\Models\AskState;
use App\Models\Client;
use App\Queries\Clients\NamesToAsk;
use App\Queries\Clients\StillAsked;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Asks clients by letter which of their names to keep, and shows what they said. */
final readonly class AskController
{
    /** Months ahead that can be chosen. */
    private const AHEAD = [1, 2, 3, 6, 12];

    /** Days in which a client is to answer, where the first of the names does not end before: the house’s own choice. */
    private const ANSWER = 14;

    public function __construct(private AskClient $ask, private NamesToAsk $names, private TradeClock $clock, private Words $words)
    {
    }

    public function create(Client $client, Request $request, HouseSettings $house): View
    {
        $months = in_array((int) $request->query('months', '3'), self::AHEAD, true) ? (int) $request->query('months', '3') : 3;
        $until = $this->clock->today()->plusMonths($months);
        $rows = $this->names->of($client->id, $until);
        $first = $rows === [] ? null : $rows[0]->instant('ends_on');
        $soonest = $this->clock->today()->plusDays(self::ANSWER);

        return view('asks.create', [
            'client' => $client,
            'rows' => $rows,
            'months' => $months,
            'choices' => self::AHEAD,
            'by' => $first !== null && $first->isBefore($soonest) ? Instant::latest($this->clock->today(), $first->plusDays(-1)) : $soonest,
            'open' => Ask::query()->where('client_id', $client->id)->where('state', AskState::Open)->first(),
            'silence' => $house->silence(),
        ]);
    }

    public function store(Client $client, AskRequest $request): RedirectResponse
    {
        $ask = $this->ask->handle($request->person(), $client, $request->mailbox(), $request->names(), $request->by());

        return $ask === null
            ? to_route('asks.create', $client)->withErrors(['names' => $this->words->say('asks.nothing_to_ask')])->withInput()
            : to_route('asks.show', $ask)->with('told', $this->words->say('asks.asked'));
    }

    public function show(Ask $ask, StillAsked $still): View
    {
        return view('asks.show', [
            'ask' => $ask->load(['client', 'asker', 'lines.name']),
            'still' => $ask->state === AskState::Open ? array_keys($still->of($ask)) : [],
            'words' => $this->words,
        ]);
    }

    public function withdraw(Ask $ask, SignedInRequest $request): RedirectResponse
    {
        return $this->ask->withdraw($request->person(), $ask)
            ? to_route('asks.show', $ask)->with('told', $this->words->say('asks.withdrawn'))
            : to_route('asks.show', $ask)->withErrors(['ask' => $this->words->say('asks.ended_meanwhile')]);
    }
}
