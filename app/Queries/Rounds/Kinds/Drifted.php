<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Finding\Cost;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Where the outside says otherwise: what is alarming name by name, the rest a kind at a time. */
final readonly class Drifted implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $items = [];
        $alarms = $this->database->select(
            "SELECT d.id, d.finding, n.ascii, n.unicode FROM drifts d JOIN names n ON n.id = d.name_id
                WHERE d.state = 'open' AND d.alarming ORDER BY d.cost, d.first_seen DESC, d.id LIMIT ?",
            [$most],
        );
        foreach (Row::all($alarms) as $row) {
            $kind = RecordFinding::from($row->text('finding'));
            $items[] = new RoundsItem(
                "drift:{$row->int('id')}",
                $kind->cost() === Cost::NameLost ? RoundsSection::Lost : RoundsSection::Dark,
                $today,
                $row->text('unicode'),
                $this->words->say('outside.rounds.'.$kind->value),
                $this->words->say('words.cost.'.$kind->cost()->name),
                $this->words->say('outside.rounds.deed'),
                route('record.show', $row->text('ascii')),
                1,
            );
        }
        foreach (
            Row::all(
                $this->database->select(
                    "SELECT finding, count(*) AS names, max(d.id) AS newest, min(d.cost) AS cost, min(n.ascii) AS ascii,
                        min(n.unicode) AS one FROM drifts d JOIN names n ON n.id = d.name_id WHERE state = 'open' AND NOT alarming
                        GROUP BY 1 ORDER BY min(cost), 2 DESC LIMIT ?",
                    [$most],
                ),
            ) as $row
        ) {
            $kind = RecordFinding::from($row->text('finding'));
            $cost = Cost::from($row->int('cost'));
            $items[] = new RoundsItem(
                "drift:{$kind->value}:{$row->int('newest')}",
                $cost === Cost::Dark ? RoundsSection::Dark : ($cost === Cost::NameLost ? RoundsSection::Lost : RoundsSection::Look),
                $today,
                $row->int('names') === 1 ? $row->text('one') : $this->words->count('outside.rounds.names', $row->int('names')),
                lcfirst($this->words->say('outside.drift.kind.'.$kind->value)),
                $this->words->say('words.cost.'.$cost->name),
                $this->words->say('outside.rounds.deed'),
                $row->int('names') === 1 ? route('record.show', $row->text('ascii')) : route('drift.index', ['kind' => $kind->value]),
                $row->int('names'),
                isName: $row->int('names') === 1,
            );
        }

        return $items;
    }
}
