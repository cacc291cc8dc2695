<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Contracts\Auth\Factory as Auth;
use Illuminate\Database\Connection;
use Illuminate\Http\Request;

/** The append-only log. A row is written in the transaction of the deed that it tells of; people stand in it by id. */
final readonly class HouseLog
{
    public function __construct(
        private Connection $database,
        private TradeClock $clock,
        private Auth $auth,
        private ?Request $request = null,
    ) {
    }

    /** @param  array<string, scalar|null|list<mixed>>  $data */
    public function write(string $event, string $subject, ?int $subjectId, array $data = [], ?int $userId = null): void
    {
        $this->writeMany([['event' => $event, 'subject' => $subject, 'subject_id' => $subjectId, 'data' => $data]], $userId);
    }

    /** @param  list<array{event: string, subject: string, subject_id: int|null, data: array<string, mixed>}>  $entries */
    public function writeMany(array $entries, ?int $userId = null): void
    {
        $trade = $this->clock->now()->isoSecond();
        $user = $userId ?? $this->auth->guard()->id();
        // A worker acts from nowhere.
        $from = $this->request?->route() === null ? null : $this->request->ip();
        foreach (array_chunk($entries, 500) as $chunk) {
            $rows = array_map(fn (array $entry): array => [...$entry, 'data' => (object) $entry['data']], $chunk);
            $this->database->statement(
                'INSERT INTO log (trade_at, user_id, from_address, event, subject, subject_id, data) SELECT ?::timestamptz, ?::bigint, ?,
                    event, subject, subject_id, data
                 FROM json_to_recordset(?::json) AS e(event text, subject text, subject_id bigint, data jsonb)',
                [$trade, $user, $from, json_encode($rows, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)],
            );
        }
    }
}
