<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Time\Instant;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Custody that is being handed over and is not done at every account. */
final readonly class CustodyToHand implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = Row::all(
            $this->database->select(
                "SELECT h.id, f.name AS from_name, t.name AS to_name, count(*) FILTER (WHERE l.state = 'open') AS open
             FROM handings h JOIN custodians f ON f.id = h.from_id JOIN custodians t ON t.id = h.to_id
             JOIN handing_lines l ON l.handing_id = h.id WHERE h.closed_on IS NULL GROUP BY h.id, f.name, t.name ORDER BY h.id LIMIT ?",
                [$most],
            ),
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "handing:{$row->int('id')}:{$row->int('open')}",
                RoundsSection::Waits,
                $today,
                $this->words->say('contacts.custody.handing', ['from' => $row->text('from_name'), 'to' => $row->text('to_name')]),
                $this->words->count('rounds.handing.says', $row->int('open')),
                $this->words->say('rounds.handing.cost', ['from' => $row->text('from_name')]),
                $this->words->say('rounds.handing.deed'),
                route('custody.handing', $row->int('id')),
                isName: false,
            ),
            $rows,
        );
    }
}
