<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Time\Instant;
use Illuminate\Database\Connection;

/** Keeps which DS records the registry was seen to have, and since when it has others or none. */
final readonly class KeepDelegates
{
    public function __construct(private Connection $database)
    {
    }

    public function handle(int $nameId, DelegationSeen $seen, Instant $now): void
    {
        if ($seen->delegates === null) {
            return;
        }
        $delegates = array_map(strval(...), $seen->delegates);
        sort($delegates);
        // None before is nothing to keep: those before that stay, as resolvers may still have them.
        $this->database->statement(
            <<<'SQL'
            INSERT INTO delegates_seen AS k (name_id, delegates, ttl) VALUES (?, ?::jsonb, ?)
            ON CONFLICT (name_id) DO UPDATE SET delegates = excluded.delegates, ttl = excluded.ttl,
                (gone, gone_ttl, gone_at) = (
                    SELECT CASE WHEN is_other THEN k.delegates ELSE k.gone END,
                        CASE WHEN is_other THEN k.ttl ELSE k.gone_ttl END,
                        CASE WHEN is_other THEN ?::timestamptz ELSE k.gone_at END
                    FROM (SELECT k.delegates <> excluded.delegates AND k.delegates <> '[]' AS is_other) AS change
                )
            SQL
            ,
            [$nameId, json_encode($delegates, JSON_THROW_ON_ERROR), $delegates === [] ? null : $seen->keys?->ttl, $now->isoSecond()],
        );
    }
}
