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

/** Letters that came and must be answered by a day: a dispute lost for want of an answer takes the name with it. */
final readonly class LettersToAnswer implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = Row::all(
            $this->database->select(
                'SELECT r.id, r.kind, r.sender, r.answer_by, (SELECT count(*) FROM received_names n WHERE n.received_id = r.id) AS names
                    FROM received r WHERE r.answered_on IS NULL AND r.answer_by < ?::timestamptz ORDER BY r.answer_by, r.id LIMIT ?',
                [$until->isoSecond(), $most],
            ),
        );

        return array_map(function (Row $row) use ($today): RoundsItem {
            $by = $row->instant('answer_by')?->toDay() ?? $today;
            $isDispute = $row->text('kind') === 'dispute';

            return new RoundsItem(
                "received:{$row->int('id')}:{$by->date()}",
                $isDispute ? RoundsSection::Lost : RoundsSection::Waits,
                Instant::latest($by, $today),
                $row->text('sender'),
                $this->words->say('rounds.received.'.$row->text('kind')),
                $this->words->say($isDispute ? 'rounds.received.dispute_cost' : 'rounds.received.cost'),
                $this->words->say('rounds.received.deed'),
                route('received.index'),
                $row->int('names'),
                isName: false,
            );
        }, $rows);
    }
}
