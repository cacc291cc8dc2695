<?php

declare(strict_types=1);

namespace App\Http\Movements;

use Acre\Core\Finding\Actor;
use Acre\Core\Rulebook\Rulebook;
use App\Actions\Handover\HandOverNames;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Transfer\TransferNames;
use App\Actions\Transfer\TransferTerms;
use App\Http\SignedInRequest;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Movement;
use App\Queries\Movements\Direction;
use App\Queries\Movements\ReadMovements;
use App\Queries\Movements\ReadOpenMovements;
use App\Queries\Movements\ZoneThrough;
use App\Queries\Names\CaseFiles;
use App\Queries\Servers\KeptZones;
use App\Queries\Servers\OwnServers;
use App\Support\TradeClock;
use App\View\TrackDrawing;
use App\View\Words;
use Illuminate\View\View;

/** One name on its way: its steps in time, who must act, what changes, and whether it could stop working. */
final readonly class MovementController
{
    public function __construct(
        private ReadMovements $movements,
        private CaseFiles $files,
        private OwnServers $own,
        private KeptZones $zones,
        private ZoneThrough $through,
        private TradeClock $clock,
        private Words $words,
        private Rulebook $book,
    ) {
    }

    public function index(SignedInRequest $request, ReadOpenMovements $open): View
    {
        $direction = Direction::tryFrom($request->word('direction'));
        $whom = Actor::tryFrom($request->word('whom'));
        $rows = $open->page($direction, $whom, max(0, min(PHP_INT_MAX, (int) $request->word('after'))));
        $page = array_slice($rows, 0, ReadOpenMovements::PAGE);

        return view('movements.index', [
            'direction' => $direction,
            'whom' => $whom,
            'directions' => $open->directions(),
            'waiting' => $open->waiting($direction),
            'rows' => $page,
            'next' => count($rows) > ReadOpenMovements::PAGE ? $rows[ReadOpenMovements::PAGE - 1]->id : null,
            'now' => $this->clock->now(),
            'words' => $this->words,
        ]);
    }

    public function show(Movement $movement): View
    {
        $now = $this->clock->now();
        $read = $this->movements->one($movement->load(['legs', 'name', 'docket']));
        $line = DocketLine::query()
            ->with('givingAccount.registrar')
            ->where('docket_id', $movement->docket_id)
            ->where('name_id', $movement->name_id)
            ->firstOrFail();
        $file = $this->files->of([$movement->name_id], $now)[$movement->name_id] ?? null;
        $from = $line->givingAccount;
        $zones = $this->zones->of($movement->name_id);

        return view('movements.show', [
            'read' => $read,
            'movement' => $movement,
            'line' => $line,
            'from' => $from,
            'to' => $this->to($movement->docket),
            'file' => $file,
            'life' => $file?->life($this->book, $now),
            'own' => $from === null || $file === null ? null : $this->own->are($from->registrar_id, $file->servers),
            'zone' => $zones[0] ?? null,
            'compared' => $movement->closed_on === null || $line->state !== LineState::Done
                    ? null
                    : $this->through->compared($movement->name_id, $movement->docket_id, $movement->closed_on),
            'drawing' => TrackDrawing::of($read->track, $now),
            'now' => $now,
            'words' => $this->words,
        ]);
    }

    private function to(Docket $docket): ?Account
    {
        $id = match ($docket->deed) {
            TransferNames::key() => TransferTerms::unpack($docket->terms)->accountId,
            HandOverNames::key() => HandoverTermsChosen::unpack($docket->terms)->receiverId,
            default => null,
        };

        return $id === null ? null : Account::query()->with('registrar')->find($id);
    }
}
