<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Record\Drift as CoreDrift;
use Acre\Core\Record\Seen;
use Acre\Core\Record\Source;
use App\Models\Drift;
use App\Models\DriftState;
use App\Queries\Names\CaseFile;
use App\Queries\Names\CaseFiles;
use App\Queries\Outside\HeldFacts;
use App\Queries\Outside\LastSeen;
use App\Queries\Outside\Observed;
use App\Support\TradeClock;

/** Holds what our books say now against what was last seen: a drift that is none any more ends, one that still is says what they say now. New ones are for the next look. */
final readonly class CompareAgain
{
    public function __construct(private CaseFiles $files, private HeldFacts $held, private LastSeen $lastSeen, private WriteDrifts $drifts, private TradeClock $clock)
    {
    }

    /**
     * In the transaction that wrote them down, the names locked, before their standings are made.
     *
     * @param  list<int>  $nameIds
     */
    public function handle(array $nameIds): void
    {
        $ids = array_values(array_filter(Drift::query()->whereIn('name_id', $nameIds)->whereIn('state', [DriftState::Open, DriftState::Left])->distinct()->pluck('name_id')->all(), is_int(...)));
        if ($ids === []) {
            return;
        }
        $now = $this->clock->now();
        $files = array_filter($this->files->of($ids, $now), fn (CaseFile $file): bool => $file->watched === null);
        foreach ($this->held->of($files, $now) as $id => $held) {
            $seen = array_map(fn (array $latest): ?Seen => $this->word($latest[0] ?? null), array_values($this->lastSeen->of($id, $files[$id]->facts->name->ascii)));
            $this->drifts->again($id, CoreDrift::between($held, array_values(array_filter($seen)), $now), $now);
        }
    }

    /** Null: what it said can't be read, or is none of a directory. */
    private function word(?Observed $observed): ?Seen
    {
        return $observed === null || $observed->source === Source::Dns || $observed->found && $observed->record === null ? null : new Seen($observed->source, $observed->record, $observed->last);
    }
}
