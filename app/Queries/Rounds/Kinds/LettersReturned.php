<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Time\Instant;
use App\Models\DocketState;
use App\Models\LetterState;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Letters to receivers that reached nobody, or may not have, while their answer is waited for. */
final readonly class LettersReturned implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        // The letter written last counts.
        $rows = Row::all(
            $this->database->select(
                <<<'SQL'
                SELECT d.id AS docket, l.id, l.state, a.mailbox, (SELECT count(*) FROM docket_lines n
                WHERE n.docket_id = d.id AND n.state = 'begun') AS names
                FROM acceptances a JOIN dockets d ON d.id = a.docket_id
                    CROSS JOIN LATERAL (SELECT id, state, doubts FROM letters WHERE docket_id = d.id ORDER BY id DESC LIMIT 1) l
                WHERE d.state = ? AND a.answered_on IS NULL AND (l.state IN ('refused', 'returned', 'kept')
                OR (l.state = 'doubtful' AND l.doubts > 1))
                ORDER BY l.id LIMIT ?
                SQL
                ,
                [DocketState::Settled->value, $most],
            ),
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "letter:{$row->int('id')}:{$row->text('state')}",
                RoundsSection::Waits,
                $today,
                $row->text('mailbox'),
                $this->words->say('rounds.letter_failed.'.LetterState::from($row->text('state'))->value),
                $this->words->say('rounds.letter_failed.cost'),
                $this->words->say('rounds.letter_failed.deed'),
                route('dockets.show', $row->int('docket')),
                $row->int('names'),
                isName: false,
            ),
            $rows,
        );
    }
}
