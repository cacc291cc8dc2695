<?php

declare(strict_types=1);

namespace App\Actions\Drifts;

use Acre\Core\Record\Drift as CoreDrift;
use Acre\Core\Record\Seen;
use Acre\Core\Record\Source;
use Acre\Core\Time\Instant;
use App\Models\Drift;
use App\Models\DriftState;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Queries\Outside\HeldFacts;
use App\Queries\Outside\LastSeen;
use App\Queries\Outside\Observed;
use App\Support\TradeClock;

/**
 * Holds what our books say now against what was last seen: a drift that is none any more ends, one that still is says what they say now.
 * New ones are for the next look.
 */
final readonly class CompareAgain
{
    public function __construct(
        private CaseFiles $files,
        private HeldFacts $held,
        private LastSeen $lastSeen,
        private WriteDrifts $drifts,
        private TradeClock $clock,
    ) {
    }

    /**
     * In the transaction that wrote them down, the names locked, before their standings are made.
     *
     * @param  list<int>  $nameIds
     */
    public function handle(array $nameIds): void
    {
        $ids = array_values(
            array_filter(
                Drift::query()
                    ->whereIn('name_id', $nameIds)
                    ->whereIn('state', [DriftState::Open, DriftState::Left])
                    ->distinct()
                    ->pluck('name_id')
                    ->all(),
                is_int(...),
            ),
        );
        if ($ids === []) {
            return;
        }
        $now = $this->clock->now();
        $files = $this->files->held($ids, $now);
        foreach ($this->held->of($files, $now) as $id => $held) {
            $seen = $this->seen($id, $files[$id]);
            // Of what can't be read any more nothing follows.
            if ($seen !== []) {
                $this->drifts->again($id, CoreDrift::between($held, $seen, $now), $now);
            }
        }
    }

    /** @return list<Seen> what the registry said last, and its registrar in the same look; empty: nothing that can be read */
    private function seen(int $id, HeldCase $file): array
    {
        $words = array_filter(
            array_map(
                fn (array $latest): ?Seen => $this->word($latest[0] ?? null, $latest[1] ?? null),
                array_values($this->lastSeen->of($id, $file->facts->name->ascii)),
            ),
        );
        $looks = array_map(
            fn (Seen $one): Instant => $one->at,
            array_values(array_filter($words, fn (Seen $one): bool => $one->source->isRegistrys())),
        );

        return $looks === []
            ? []
            : array_values(array_filter($words, fn (Seen $one): bool => $one->at->agreesWith(Instant::latest(...$looks))));
    }

    /** Null: what it said can't be read, or is none of a directory. */
    private function word(?Observed $observed, ?Observed $before): ?Seen
    {
        return $observed === null || $observed->source === Source::Dns || ($observed->found && $observed->record === null)
            ? null
            : new Seen($observed->source, $observed->record, $observed->last, before: $before?->record);
    }
}
