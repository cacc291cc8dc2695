<?php

declare(strict_types=1);

namespace App\Queries\Movements;

use Acre\Core\Movement\Leg as CoreLeg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Movement\Track;
use App\Models\Leg;
use App\Models\LineState;
use App\Models\Movement;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Movements with their steps in time. */
final readonly class ReadMovements
{
    public function __construct(private Connection $database, private TradeClock $clock)
    {
    }

    public function one(Movement $movement): MovementRead
    {
        return new MovementRead(
            $movement,
            Track::of(
                array_values($movement->legs->map(fn (Leg $leg): array => [
                    new CoreLeg($leg->kind, $leg->actor, $leg->due_by ?? $movement->opened_on, $leg->likely_by),
                    $leg->done_on,
                ])->all()),
                $movement->opened_on,
                $this->clock->now(),
                $movement->closed_on !== null,
            ),
        );
    }

    /**
     * @param  list<int>  $nameIds
     * @return array<int, MovementRead> by name, those that this docket has opened
     */
    public function ofDocket(int $docketId, array $nameIds): array
    {
        $found = [];
        $movements = Movement::query()->with('legs')->where('docket_id', $docketId)->whereIn('name_id', $nameIds)->orderBy('id')->get();
        foreach ($movements as $one) {
            $found[$one->name_id] = $this->one($one);
        }

        return $found;
    }

    /** Whom the auth codes of a docket were sent to; null: nobody yet. */
    public function handout(int $docketId): ?CodeHandout
    {
        $row = $this->database->selectOne('SELECT mailbox, written_on, shown_on FROM code_handouts WHERE docket_id = ?', [$docketId]);

        return $row === null ? null : CodeHandout::of(Row::of($row));
    }

    /** @return list<string> names whose transfers by this docket wait for a code that a person enters */
    public function wantingCodes(int $docketId): array
    {
        return array_map(
            fn (Row $row): string => $row->text('unicode'),
            Row::all($this->database->select(
                "SELECT n.unicode FROM docket_lines l JOIN names n ON n.id = l.name_id
                 JOIN movements m ON m.docket_id = l.docket_id AND m.name_id = l.name_id AND m.closed_on IS NULL
                 JOIN legs g ON g.movement_id = m.id AND g.kind = ? AND g.done_on IS NULL
                 WHERE l.docket_id = ? AND l.state = ? AND NOT EXISTS (
                    SELECT FROM orders o WHERE o.docket_line_id = l.id AND o.state <> 'called_off') ORDER BY l.position",
                [LegKind::Code->value, $docketId, LineState::Begun->value],
            )),
        );
    }
}
