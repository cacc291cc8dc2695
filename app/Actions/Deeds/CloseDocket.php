<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Proof;
use App\Support\Failpoint;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Closes a docket of which no line is open any more, and makes its proof, chained to the one before. */
final readonly class CloseDocket
{
    public function __construct(private Connection $database, private ProofOfDocket $proofs, private TradeClock $clock, private HouseLog $log)
    {
    }

    public function ifAllEnded(int $docketId): void
    {
        $this->database->transaction(function () use ($docketId): void {
            $docket = Docket::query()->lockForUpdate()->findOrFail($docketId);
            $isOpen = DocketLine::query()->where('docket_id', $docketId)->whereIn('state', LineState::OPEN)->exists();
            if ($docket->state !== DocketState::Settled || $isOpen || $docket->settled_by === null || $docket->settled_on === null) {
                return;
            }
            $now = $this->clock->now();
            $docket->update(['state' => DocketState::Closed, 'closed_on' => $now]);
            Failpoint::DocketClosing->reach();
            // One proof at a time, so that each knows the one before it.
            $this->database->select('SELECT pg_advisory_xact_lock(2, 0)');
            $previous = Proof::query()->orderByDesc('position')->first();
            $position = ($previous->position ?? 0) + 1;
            $proof = $this->proofs->make($docket, $now, $position, $previous?->sha256);
            Proof::query()->create([
                'docket_id' => $docketId, 'position' => $position, 'text' => $proof->text, 'sha256' => $proof->sha256, 'previous_sha256' => $previous?->sha256, 'made_on' => $now,
            ]);
            $this->log->write('closed', 'docket', $docketId, ['sha256' => $proof->sha256], $docket->settled_by);
            Failpoint::DocketProven->reach();
        });
    }
}
