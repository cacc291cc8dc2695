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

/** Accounts whose gate has not answered again and again: what is to be told there waits, and nobody's work failed. */
final readonly class GatesAway implements RoundsKind
{
    /** Tries without an answer before somebody is told: some ten minutes, as their waits grow. */
    private const TRIES = 8;

    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = $this->database->select(
            "SELECT o.account_id, a.number, r.name, count(*) AS orders, min(o.id) FILTER (WHERE o.attempts >= ?) AS first
             FROM orders o JOIN accounts a ON a.id = o.account_id JOIN registrars r ON r.id = a.registrar_id
             WHERE o.state IN ('waiting', 'sent') AND NOT EXISTS (SELECT FROM setbacks b WHERE b.kind = 'order' AND b.subject_id = o.id)
             GROUP BY o.account_id, a.number, r.name HAVING max(o.attempts) >= ? ORDER BY o.account_id LIMIT ?",
            [self::TRIES, self::TRIES, $most],
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "away:{$row->int('account_id')}:{$row->int('first')}",
                RoundsSection::Waits,
                $today,
                "{$row->text('name')} {$row->text('number')}",
                $this->words->say('rounds.away.says'),
                $this->words->count('rounds.away.cost', $row->int('orders')),
                $this->words->say('rounds.stopped.deed'),
                route('accounts.show', $row->int('account_id')).'#gate',
                isName: false,
            ),
            Row::all($rows),
        );
    }
}
