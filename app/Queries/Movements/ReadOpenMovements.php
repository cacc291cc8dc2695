<?php

declare(strict_types=1);

namespace App\Queries\Movements;

use Acre\Core\Finding\Actor;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Names that are on their way, and whom they wait for. */
final readonly class ReadOpenMovements
{
    public const PAGE = 100;

    /** The first step that is open is what a movement waits for; steps after the end wait for nobody. */
    private const OPEN = 'FROM movements m JOIN dockets d ON d.id = m.docket_id
        LEFT JOIN LATERAL (SELECT kind, actor, due_by, likely_by FROM legs WHERE movement_id = m.id AND done_on IS NULL
            ORDER BY position LIMIT 1) g ON true
        WHERE m.closed_on IS NULL';

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  Direction|null  $direction  null: any
     * @param  Actor|null  $whom  null: whoever
     * @param  int  $after  the movement that the page before ended with
     * @return list<OpenMovement> one more than a page where there are more
     */
    public function page(?Direction $direction, ?Actor $whom, int $after): array
    {
        return array_map(OpenMovement::of(...), Row::all($this->database->select(
            'SELECT o.*, n.ascii, n.unicode, l.before, l.after FROM (
                SELECT m.id, m.name_id, m.docket_id, g.kind AS leg, g.actor, g.due_by, g.likely_by '.self::OPEN.'
                AND (?::text IS NULL OR d.deed = ?) AND (?::text IS NULL OR g.actor = ?) AND m.id > ? ORDER BY m.id LIMIT ?) o
             JOIN names n ON n.id = o.name_id
             LEFT JOIN docket_lines l ON l.docket_id = o.docket_id AND l.name_id = o.name_id ORDER BY o.id',
            [$direction?->deed(), $direction?->deed(), $whom?->value, $whom?->value, $after, self::PAGE + 1],
        )));
    }

    /** @return array<string, int> how many wait for whom, those of most first */
    public function waiting(?Direction $direction): array
    {
        $found = [];
        foreach (
            Row::all($this->database->select(
                'SELECT g.actor, count(*) AS names '.self::OPEN.' AND g.actor IS NOT NULL AND (?::text IS NULL OR d.deed = ?)
                 GROUP BY g.actor ORDER BY names DESC, g.actor',
                [$direction?->deed(), $direction?->deed()],
            )) as $row
        ) {
            $found[$row->text('actor')] = $row->int('names');
        }

        return $found;
    }

    /** @return array<string, int> how many are under way, by direction */
    public function directions(): array
    {
        $found = [];
        $rows = Row::all($this->database->select(
            'SELECT d.deed, count(*) AS names FROM movements m JOIN dockets d ON d.id = m.docket_id
             WHERE m.closed_on IS NULL GROUP BY d.deed',
        ));
        foreach ($rows as $row) {
            foreach (Direction::cases() as $direction) {
                if ($direction->deed() === $row->text('deed')) {
                    $found[$direction->value] = $row->int('names');
                }
            }
        }

        return $found;
    }
}
