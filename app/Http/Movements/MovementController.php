<?php

declare(strict_types=1);

namespace App\Http\Movements;

use Acre\Core\Rulebook\Rulebook;
use App\Actions\Handover\HandOverNames;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Transfer\TransferNames;
use App\Actions\Transfer\TransferTerms;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Movement;
use App\Queries\Movements\ReadMovements;
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
