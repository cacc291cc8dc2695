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

/** Names that may go to another registrar again, from the day on which their hold ends. */
final readonly class HoldsEnding implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = $this->database->select(
            "WITH held AS (SELECT client_id AS of_id, held_until::date AS day, count(*) AS names, min(name_id) AS one FROM standings
                WHERE held_until < 'infinity' AND held_until >= ?::timestamptz AND held_until < ?::timestamptz GROUP BY 1, 2
                ORDER BY 2, 3 DESC LIMIT ?)
             SELECT h.*, s.client_name, s.ascii, s.unicode FROM held h JOIN standings s ON s.name_id = h.one",
            [$today->isoSecond(), $until->isoSecond(), $most],
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "hold:{$row->int('of_id')}:{$row->text('day')}",
                RoundsSection::Look,
                NamesDue::day($row),
                NamesDue::title($row),
                $this->words->say('rounds.hold.says', ['client' => $row->text('client_name')]),
                $this->words->say('rounds.hold.cost'),
                $this->words->say($row->int('names') === 1 ? 'rounds.see' : 'rounds.see_them'),
                NamesDue::address($row, ['client' => $row->int('of_id'), 'finding' => 'lifecycle.may_not_move']),
                $row->int('names'),
            ),
            Row::all($rows),
        );
    }
}
