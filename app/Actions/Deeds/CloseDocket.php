<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Title\Proof as CoreProof;
use Acre\Core\Title\ProofLine;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Proof;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Closes a docket of which no line is open any more, and makes its proof, chained to the one before. */
final readonly class CloseDocket
{
    public function __construct(private Connection $database, private Deeds $deeds, private TradeClock $clock, private HouseLog $log)
    {
    }

    public function ifAllEnded(int $docketId): void
    {
        $this->database->transaction(function () use ($docketId): void {
            $docket = Docket::query()->lockForUpdate()->findOrFail($docketId);
            $isOpen = DocketLine::query()->where('docket_id', $docketId)->whereIn('state', [LineState::Prepared, LineState::Waiting, LineState::Begun])->exists();
            if ($docket->state !== DocketState::Settled || $isOpen || $docket->settled_by === null || $docket->settled_on === null) {
                return;
            }
            $now = $this->clock->now();
            $docket->update(['state' => DocketState::Closed, 'closed_on' => $now]);
            // One proof at a time, so that each knows the one before it.
            $this->database->select('SELECT pg_advisory_xact_lock(2, 0)');
            $previous = Proof::query()->orderByDesc('position')->first();
            $position = ($previous->position ?? 0) + 1;
            $proof = CoreProof::of(
                $docket->id, $this->deeds->of($docket)->inOneLine($docket), $docket->prepared_by, $docket->prepared_on, $docket->settled_by, $docket->settled_on,
                $now, $this->lines($docketId), $position, $previous?->sha256,
            );
            Proof::query()->create([
                'docket_id' => $docketId, 'position' => $position, 'text' => $proof->text, 'sha256' => $proof->sha256, 'previous_sha256' => $previous?->sha256, 'made_on' => $now,
            ]);
            $this->log->write('closed', 'docket', $docketId, ['sha256' => $proof->sha256], $docket->settled_by);
        });
    }

    /** @return list<ProofLine> */
    private function lines(int $docketId): array
    {
        $lines = [];
        foreach (DocketLine::query()->where('docket_id', $docketId)->with('name')->orderBy('position')->lazy(500) as $line) {
            $before = self::say($line->before ?? []);
            $lines[] = new ProofLine(
                $line->name->ascii, str_replace('_', ' ', $line->state->value), $line->done_on, $before,
                $line->state === LineState::Done ? self::say($line->after ?? []) : $before,
                (string) preg_replace('/\s+/', ' ', $line->reason ?? ''),
            );
        }

        return $lines;
    }

    /** @param  array<string, string>  $side */
    private static function say(array $side): string
    {
        return isset($side['account']) ? $side['account'].', for '.($side['client'] ?? 'not known') : implode(', ', $side);
    }
}
