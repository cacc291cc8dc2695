<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Actions\Proofs\Chain;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\ProofKind;
use App\Support\Failpoint;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Closes a docket of which no line is open any more, and makes its proof, chained to the one before. */
final readonly class CloseDocket
{
    public function __construct(private Connection $database, private Chain $chain, private TradeClock $clock, private HouseLog $log)
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
            $proof = $this->chain->append(ProofKind::Docket, $docketId);
            $this->log->write('closed', 'docket', $docketId, ['sha256' => $proof->sha256], $docket->settled_by);
            Failpoint::DocketProven->reach();
        });
    }
}
