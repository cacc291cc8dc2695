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

/** Names whose lock was lifted so that they could move, and was not seen to be on again since that ended. */
final readonly class LocksLifted implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = $this->database->select(
            "WITH lifted AS (
                SELECT m.docket_id, count(*) AS names, min(m.name_id) AS one FROM legs g
                JOIN movements m ON m.id = g.movement_id AND m.closed_on IS NOT NULL JOIN standings s ON s.name_id = m.name_id
                WHERE g.kind = 'set_lock' AND g.done_on IS NULL GROUP BY 1 ORDER BY 1 LIMIT ?)
             SELECT l.*, s.ascii, s.unicode, s.lock FROM lifted l JOIN standings s ON s.name_id = l.one ORDER BY l.docket_id",
            [$most],
        );

        return array_map(function (Row $row) use ($today): RoundsItem {
            $isOne = $row->int('names') === 1;
            [$deed, $address] = match (true) {
                ! $isOne => ['rounds.see_them', route('dockets.show', $row->int('docket_id'))],
                $row->text('lock') === 'off' => [
                    'rounds.lock.deed',
                    route('deeds.show', ['deed' => 'change_lock', 'name' => $row->text('ascii'), 'lock' => 'on']),
                ],
                default => ['rounds.see', route('record.show', $row->text('ascii'))],
            };

            return new RoundsItem(
                "lock:{$row->int('docket_id')}:{$row->int('names')}",
                RoundsSection::Lost,
                $today,
                NamesDue::title($row),
                $this->words->count('rounds.lock.says', $row->int('names'), ['docket' => (string) $row->int('docket_id')]),
                $this->words->say('rounds.lock.cost'),
                $this->words->say($deed),
                $address,
                $row->int('names'),
            );
        }, Row::all($rows));
    }
}
