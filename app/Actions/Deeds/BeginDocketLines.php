<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Actions\Standings\MakeStandings;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Name;
use App\Queries\Names\CaseFiles;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Begins what waits, each line in a transaction of its own that judges again; killed anywhere, it goes on where it was. */
final readonly class BeginDocketLines
{
    public function __construct(
        private Connection $database,
        private Deeds $deeds,
        private CaseFiles $files,
        private MakeStandings $standings,
        private CloseDocket $close,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    public function handle(int $docketId): void
    {
        // One worker a docket; another one that comes finds it taken, and leaves.
        if (! $this->hold($docketId)) {
            return;
        }
        try {
            $ids = DocketLine::query()->where('docket_id', $docketId)->where('state', LineState::Waiting)->orderBy('name_id')->toBase()->pluck('id');
            foreach ($ids as $id) {
                $this->database->transaction(fn () => $this->begin(is_int($id) ? $id : 0));
            }
            $this->close->ifAllEnded($docketId);
        } finally {
            $this->database->select('SELECT pg_advisory_unlock(1, ?)', [$docketId]);
        }
    }

    /** Settled dockets with waiting lines whose job was lost. */
    public function sweep(): void
    {
        $ids = Docket::query()->where('state', DocketState::Settled)
            ->whereHas('lines', fn ($lines) => $lines->where('state', LineState::Waiting))->toBase()->pluck('id');
        foreach ($ids as $id) {
            $this->handle(is_int($id) ? $id : 0);
        }
    }

    private function hold(int $docketId): bool
    {
        /** @var object{held: bool}|null $row */
        $row = $this->database->selectOne('SELECT pg_try_advisory_lock(1, ?) AS held', [$docketId]);

        return $row !== null && $row->held;
    }

    private function begin(int $lineId): void
    {
        $line = DocketLine::query()->with('docket')->lockForUpdate()->findOrFail($lineId);
        if ($line->state !== LineState::Waiting) {
            return;
        }
        Name::query()->lockForUpdate()->findOrFail($line->name_id);
        $now = $this->clock->now();
        $deed = $this->deeds->of($line->docket);
        $file = $this->files->of([$line->name_id], $now)[$line->name_id] ?? null;
        $readiness = $file === null ? null : $deed->judge($file, $line->docket->terms, $now);
        if ($file === null || $readiness === null || ! $readiness->isClear() || $file->account->id !== $line->giving_account_id) {
            $line->update(['state' => LineState::Stopped, 'findings' => $readiness === null ? [] : json_decode((string) json_encode($readiness->findings), true)]);
            $this->log->write('stopped', 'name', $line->name_id, ['docket' => $line->docket_id], $line->docket->settled_by);

            return;
        }
        $deed->begin($line, $file, $readiness, $line->docket->terms, $now);
        $line->update(['state' => LineState::Begun]);
        $this->standings->of([$line->name_id]);
        $this->log->write('begun', 'name', $line->name_id, ['docket' => $line->docket_id, 'deed' => $line->docket->deed], $line->docket->settled_by);
    }
}
