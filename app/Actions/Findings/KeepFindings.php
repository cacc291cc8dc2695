<?php

declare(strict_types=1);

namespace App\Actions\Findings;

use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;
use Illuminate\Database\Connection;

/**
 * Keeps what is wrong with one thing, so that it can be counted over all of them: one row a finding, with since when it is so. In the
 * transaction of whoever looked.
 */
final readonly class KeepFindings
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  string  $table  with the columns finding, said, cost and first_seen
     * @param  string  $key  the column that says of what
     * @param  list<Finding>  $findings
     */
    public function handle(string $table, string $key, int $id, array $findings, Instant $now): void
    {
        $tags = array_map(fn (Finding $one): string => (string) $one->tag->value, $findings);
        $this->database->table($table)->where($key, $id)->whereNotIn('finding', $tags)->delete();
        $rows = [];
        foreach ($findings as $one) {
            $rows[(string) $one->tag->value] ??= [
                $key => $id,
                'finding' => (string) $one->tag->value,
                'said' => json_encode($one, JSON_THROW_ON_ERROR),
                'cost' => $one->tag->cost()->value,
                'first_seen' => $now->isoSecond(),
            ];
        }
        if ($rows !== []) {
            // Since when it is so stays as it was first seen.
            $this->database->table($table)->upsert(array_values($rows), [$key, 'finding'], ['said', 'cost']);
        }
    }
}
