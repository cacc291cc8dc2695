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
use App\View\Words;
use DateTimeImmutable;

/** Dockets that wait: for a Steward, for an answer, or half ticked on their slip. */
final readonly class OpenDockets implements RoundsKind
{
    public function __construct(private Progress $progress, private Deeds $deeds, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $dockets = Docket::query()
            ->whereIn('state', [DocketState::Prepared, DocketState::Settled])
            ->orderBy('id')
            ->limit($most)
            ->select('dockets.*')
            // The day by which the first of its names is to be answered.
            ->selectRaw(
                '(SELECT min(m.expected_by) FROM movements m WHERE m.docket_id = dockets.id AND m.closed_on IS NULL)::text AS expected',
            )
            ->get();
        if ($dockets->isEmpty()) {
            return [];
        }
        $ids = array_map(fn (Docket $docket): int => $docket->id, array_values($dockets->all()));
        $progress = $this->progress->of($ids);

        return array_values(
            array_map(
                fn (Docket $docket): RoundsItem => $this->item($docket, $progress[$docket->id], $today),
                $dockets->all(),
            ),
        );
    }

    private function item(Docket $docket, DocketProgress $progress, Instant $today): RoundsItem
    {
        $by = $docket->getAttribute('expected');
        $expected = is_string($by) ? Instant::from(new DateTimeImmutable($by))->toDay() : null;
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
}
