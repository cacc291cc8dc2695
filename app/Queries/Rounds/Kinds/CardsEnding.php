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

/** Cards that pay at an account and end: what is charged after that is refused. */
final readonly class CardsEnding implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = Row::all(
            $this->database->select(
                "SELECT c.id, c.good_until::date AS day, p.name, a.id AS account_id, g.name || ' ' || a.number AS account
                    FROM custodies c JOIN custodians p ON p.id = c.custodian_id JOIN accounts a ON a.id = c.account_id
                    JOIN registrars g ON g.id = a.registrar_id
             WHERE c.part = 'card' AND upper_inf(c.span) AND c.good_until < ?::timestamptz ORDER BY c.good_until, c.id LIMIT ?",
                [$until->isoSecond(), $most],
            ),
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "card:{$row->int('id')}:{$row->text('day')}",
                RoundsSection::Money,
                Instant::latest(NamesDue::day($row), $today),
                $row->text('account'),
                $this->words->say('rounds.card.says', ['who' => $row->text('name')]),
                $this->words->say('rounds.card.cost'),
                $this->words->say('rounds.card.deed'),
                route('accounts.show', $row->int('account_id')),
                isName: false,
            ),
            $rows,
        );
    }
}
