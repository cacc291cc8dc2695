<?php

declare(strict_types=1);

namespace App\Queries\Outside;

use Acre\Core\Record\RecordFinding;
use App\Models\Drift;
use App\Models\DriftState;
use App\Support\Row;
use Illuminate\Contracts\Pagination\CursorPaginator;
use Illuminate\Database\Connection;

/** What differs, of every kind, dearest first. */
final readonly class ReadDrifts
{
    private const PAGE = 100;

    /** Names of one kind that are listed beside others. */
    private const FEW = 8;

    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, int> how many open ones each kind has, dearest first */
    public function counts(): array
    {
        $counts = [];
        foreach (
            Row::all(
                $this->database->select(
                    "SELECT finding, count(*) AS names, min(cost) AS cost, bool_or(alarming) AS alarming FROM drifts WHERE state = 'open'
                        GROUP BY 1 ORDER BY 4 DESC, 3, 2 DESC, 1",
                ),
            ) as $row
        ) {
            $counts[$row->text('finding')] = $row->int('names');
        }

        return $counts;
    }

    public function left(): int
    {
        return Drift::query()->where('state', DriftState::Left)->count();
    }

    /**
     * The newest few of every kind.
     *
     * @param  list<string>  $kinds
     * @return array<string, list<Drift>> by kind
     */
    public function few(array $kinds): array
    {
        $ids = $this->database->select(
            "SELECT d.id FROM json_array_elements_text(?::json) AS kind
                CROSS JOIN LATERAL (SELECT id FROM drifts WHERE state = 'open' AND finding = kind ORDER BY first_seen DESC, id LIMIT ?) d",
            [json_encode($kinds, JSON_THROW_ON_ERROR), self::FEW],
        );

        $few = [];
        foreach (
            Drift::query()
                ->with('name')
                ->whereIn('id', array_map(fn (Row $row): int => $row->int('id'), Row::all($ids)))
                ->orderByDesc('first_seen')
                ->orderBy('id')
                ->get() as $drift
        ) {
            $few[$drift->finding->value][] = $drift;
        }

        return $few;
    }

    /** @return CursorPaginator<int, Drift> */
    public function ofKind(RecordFinding $kind): CursorPaginator
    {
        return Drift::query()->with('name')->open()->where('finding', $kind)->orderBy('id')->cursorPaginate(self::PAGE)->withQueryString();
    }

    /** @return CursorPaginator<int, Drift> */
    public function leftOnes(): CursorPaginator
    {
        return Drift::query()
            ->with('name')
            ->where('state', DriftState::Left)
            ->orderByDesc('id')
            ->cursorPaginate(self::PAGE)
            ->withQueryString();
    }

    /** @return list<int> ids of the names of one kind */
    public function names(RecordFinding $kind, int $most): array
    {
        return array_map(
            fn (mixed $id): int => is_int($id) ? $id : 0,
            array_values(Drift::query()->open()->where('finding', $kind)->orderBy('id')->limit($most)->toBase()->pluck('name_id')->all()),
        );
    }
}
