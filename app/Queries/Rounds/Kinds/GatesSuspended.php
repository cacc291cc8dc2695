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

/**
 * Accounts whose password was given for another gate than their registrar's of today: nothing is told there before somebody confirms it.
 */
final readonly class GatesSuspended implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = $this->database->select(
            "SELECT a.id, a.number, a.gate_for, r.name, r.gate,
                (SELECT count(*) FROM orders o WHERE o.account_id = a.id AND o.state IN ('waiting', 'sent')) AS orders
             FROM accounts a JOIN registrars r ON r.id = a.registrar_id AND r.link <> 'slip'
             WHERE a.access = 'ours' AND a.gate_secret_id IS NOT NULL AND a.gate_for IS DISTINCT
             FROM concat_ws(' ', r.link, r.gate, r.gate_key) ORDER BY a.id LIMIT ?",
            [$most],
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "gate:{$row->int('id')}:".hash('xxh32', (string) $row->textOrNull('gate')),
                RoundsSection::Waits,
                $today,
                "{$row->text('name')} {$row->text('number')}",
                $this->words->say('rounds.gate.says', ['gate' => (string) $row->textOrNull('gate')]),
                $this->words->count('rounds.gate.cost', $row->int('orders')),
                $this->words->say('rounds.gate.deed'),
                route('accounts.show', $row->int('id')).'#gate',
                isName: false,
            ),
            Row::all($rows),
        );
    }
}
