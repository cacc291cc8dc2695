<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

use App\Models\LineState;
use App\Support\Row;
use Illuminate\Database\Connection;

/** How far dockets are. */
final readonly class Progress
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<int>  $docketIds
     * @return array<int, DocketProgress> by docket
     */
    public function of(array $docketIds): array
    {
        $counts = array_fill_keys($docketIds, []);
        $rows = $this->database
            ->table('docket_lines')
            ->whereIn('docket_id', $docketIds)
            ->groupBy('docket_id', 'state')
            ->selectRaw('docket_id, state, count(*) AS lines')
            ->get();
        foreach (Row::all($rows) as $row) {
            $counts[$row->int('docket_id')][$row->text('state')] = $row->int('lines');
        }

        return array_map(
            fn (array $count): DocketProgress => new DocketProgress(
                array_sum($count),
                $count[LineState::Prepared->value] ?? 0,
                $count[LineState::Waiting->value] ?? 0,
                $count[LineState::Begun->value] ?? 0,
                $count[LineState::Done->value] ?? 0,
                $count[LineState::Stopped->value] ?? 0,
                $count[LineState::Refused->value] ?? 0,
                $count[LineState::CalledOff->value] ?? 0,
            ),
            $counts,
        );
    }
}
