<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Takes the names whose turn it is to be looked at. Several workers may; what one of them dies with comes round again. */
final readonly class LeaseDue
{
    /** Seconds for which whoever took a name has it. */
    private const LEASE = 900;

    public function __construct(private Connection $database, private TradeClock $clock)
    {
    }

    /** @return list<int> ids of names, longest due first */
    public function handle(int $most): array
    {
        $now = $this->clock->now();
        $rows = $this->database->select(
            'UPDATE observing SET due_at = ? WHERE name_id IN (SELECT name_id FROM observing WHERE due_at <= ?::timestamptz
                ORDER BY due_at LIMIT ? FOR UPDATE SKIP LOCKED) RETURNING name_id',
            [$now->plusSeconds(self::LEASE)->isoSecond(), $now->isoSecond(), $most],
        );

        return array_map(fn (Row $row): int => $row->int('name_id'), Row::all($rows));
    }

    /** @param  list<int>  $nameIds  that were taken and not looked at: it is still their turn */
    public function giveBack(array $nameIds): void
    {
        if ($nameIds !== []) {
            $this->database->update(
                'UPDATE observing SET due_at = ?::timestamptz WHERE name_id = ANY (?::bigint[]) AND due_at > ?::timestamptz',
                [$this->clock->now()->isoSecond(), '{'.implode(',', $nameIds).'}', $this->clock->now()->isoSecond()],
            );
        }
    }
}
