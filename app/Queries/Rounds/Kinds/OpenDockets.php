<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\Deeds;
use App\Models\Docket;
use App\Models\DocketState;
use App\Queries\Dockets\DocketProgress;
use App\Queries\Dockets\Progress;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Dockets that wait: for a Steward, for an answer, or half ticked on their slip. */
final readonly class OpenDockets implements RoundsKind
{
    public function __construct(private Connection $database, private Progress $progress, private Deeds $deeds, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $dockets = Docket::query()
            ->whereIn('state', [DocketState::Prepared, DocketState::Settled])
            ->orderBy('id')
            ->limit($most)
            ->get();
        $ids = array_map(fn (Docket $docket): int => $docket->id, array_values($dockets->all()));
        $progress = $this->progress->of($ids);
        $expected = $this->expected($ids);

        return array_values(
            array_map(
                fn (Docket $docket): RoundsItem => $this->item($docket, $progress[$docket->id], $expected[$docket->id] ?? null, $today),
                $dockets->all(),
            ),
        );
    }

    private function item(Docket $docket, DocketProgress $progress, ?Instant $expected, Instant $today): RoundsItem
    {
        [$how, $due, $names] = match (true) {
            $docket->state === DocketState::Prepared => ['prepared', $docket->prepared_on->toDay(), $progress->prepared],
            $progress->done + $progress->refused > 0 => ['half', $today, $progress->begun],
            default => ['waiting', $expected ?? $today, $progress->begun + $progress->waiting],
        };

        return new RoundsItem(
            "docket:{$docket->id}:{$how}:{$due->date()}",
            RoundsSection::Waits,
            $due,
            $this->deeds->of($docket)->headline($docket->terms, $progress->meant()),
            $this->words->say("rounds.docket.{$how}", ['done' => (string) $progress->done, 'meant' => (string) $progress->meant()]),
            $this->words->say("rounds.docket.cost.{$how}", ['docket' => (string) $docket->id]),
            $this->words->say("rounds.docket.deed.{$how}"),
            route('dockets.show', $docket),
            $names,
            isName: false,
        );
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, Instant> the day by which the first of its names is to be answered, by docket
     */
    private function expected(array $ids): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->database
                    ->table('movements')
                    ->whereIn('docket_id', $ids)
                    ->whereNull('closed_on')
                    ->whereNotNull('expected_by')
                    ->groupBy('docket_id')
                    ->selectRaw('docket_id, min(expected_by) AS by')
                    ->get(),
            ) as $row
        ) {
            $by = $row->instant('by');
            if ($by !== null) {
                $found[$row->int('docket_id')] = $by->toDay();
            }
        }

        return $found;
    }
}
