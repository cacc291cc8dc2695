<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Time\Instant;
use App\Queries\Rounds\NamesDue;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Names that are on hold while their term runs. */
final readonly class HeldNames implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    private function says(Row $row): string
    {
        $ends = $row->int('names') === 1 ? $row->instant('ends_on') : null;

        return $this->words->say($ends === null ? 'rounds.held.unpaid' : 'rounds.held.says', [
            'client' => $row->text('client_name'),
            'ends' => $ends === null ? '' : $this->words->near($ends->toDay()),
        ]);
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = $this->database->select(
            "WITH held AS (SELECT client_id AS of_id, count(*) AS names, min(name_id) AS one FROM standings
                WHERE marks @> ARRAY['finding:lifecycle.on_hold'] AND NOT later AND next_kind <> ALL (?) GROUP BY 1 ORDER BY 2 DESC LIMIT ?)
             SELECT h.*, s.client_name, s.ascii, s.unicode, s.ends_on FROM held h JOIN standings s ON s.name_id = h.one",
            ['{'.implode(',', array_column(Amiss::kinds(), 'value')).'}', $most],
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "held:{$row->int('of_id')}:{$row->text('ascii')}:{$row->int('names')}",
                RoundsSection::Now,
                $today,
                NamesDue::title($row),
                $this->says($row),
                $this->words->say('rounds.held.cost'),
                $this->words->say($row->int('names') === 1 ? 'rounds.see' : 'rounds.see_them'),
                NamesDue::address($row, ['client' => $row->int('of_id'), 'finding' => 'lifecycle.on_hold']),
                $row->int('names'),
            ),
            Row::all($rows),
        );
    }
}
