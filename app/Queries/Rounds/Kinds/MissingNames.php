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

/** Names that a list of everything in their account was without. */
final readonly class MissingNames implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = $this->database->select(
            "WITH missing AS (SELECT account_id AS of_id, count(*) AS names, min(name_id) AS one FROM standings
                WHERE marks @> ARRAY['finding:lifecycle.not_in_list'] GROUP BY 1 ORDER BY 2 DESC LIMIT ?)
             SELECT m.*, s.registrar_name AS registrar, s.account_number AS number, s.ascii, s.unicode, s.facts->>'missing' AS since
             FROM missing m JOIN standings s ON s.name_id = m.one",
            [$most],
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "missing:{$row->int('of_id')}:{$row->text('since')}:{$row->int('names')}",
                RoundsSection::Lost,
                $today,
                NamesDue::title($row),
                $this->words->say('rounds.missing.says', ['account' => $row->text('registrar').' '.$row->text('number')]),
                $this->words->say('rounds.missing.cost'),
                $this->words->say($row->int('names') === 1 ? 'rounds.see' : 'rounds.see_them'),
                NamesDue::address($row, ['account' => $row->int('of_id'), 'finding' => 'lifecycle.not_in_list']),
                $row->int('names'),
            ),
            Row::all($rows),
        );
    }
}
