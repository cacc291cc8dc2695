<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Time\Instant;
use App\Models\ImportState;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Lists that were brought in with lines refused, and lists that wait for somebody to look at them. */
final readonly class ListsWithRefusals implements RoundsKind
{
    /** Lists that nobody has looked at for so many days are past looking at. */
    private const DAYS = 30;

    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = Row::all(
            $this->database->select(
                'SELECT i.id, i.state, i.file, r.lines FROM imports i
                    CROSS JOIN LATERAL (SELECT count(*) AS lines FROM import_rows x WHERE x.verdict = ? AND x.import_id = i.id) r
             WHERE i.updated_at > ? AND (i.state IN (?, ?) OR i.state = ? AND r.lines > 0) ORDER BY i.id DESC LIMIT ?',
                [
                    'refused',
                    gmdate('c', time() - self::DAYS * 86_400),
                    ImportState::Uploaded->value,
                    ImportState::Read->value,
                    ImportState::Done->value,
                    $most,
                ],
            ),
        );

        return array_map(function (Row $list) use ($today): RoundsItem {
            $how = $list->text('state') === ImportState::Done->value ? 'refused' : 'waits';

            return new RoundsItem(
                "list:{$list->int('id')}:{$how}",
                $how === 'waits' ? RoundsSection::Waits : RoundsSection::Look,
                $today,
                $list->text('file'),
                $how === 'waits' ? $this->words->say('rounds.list.waits') : $this->words->count('rounds.list.refused', $list->int('lines')),
                $this->words->say("rounds.list.cost.{$how}"),
                $this->words->say("rounds.list.deed.{$how}"),
                route('imports.show', [$list->int('id'), ...$how === 'refused' ? ['verdict' => 'refused'] : []]),
                isName: false,
            );
        }, $rows);
    }
}
