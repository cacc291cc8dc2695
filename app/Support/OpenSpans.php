<?php

declare(strict_types=1);

namespace App\Support;

use Acre\Core\Time\Instant;
use Illuminate\Database\Connection;

/** Ends what is so today, in tables whose rows stand over a `span`. */
final class OpenSpans
{
    /**
     * In the caller's transaction. What began at this second or later was never so, and is gone.
     *
     * @param  string  $where  which rows, with placeholders for `$with`
     * @param  list<int|string>  $with
     */
    public static function end(Connection $database, string $table, string $where, array $with, Instant $on): void
    {
        $at = $on->isoSecond();
        $database->delete("DELETE FROM {$table} WHERE {$where} AND upper_inf(span) AND lower(span) >= ?::timestamptz", [...$with, $at]);
        $database->update("UPDATE {$table} SET span = tstzrange(lower(span), ?::timestamptz) WHERE {$where} AND upper_inf(span)", [
            $at,
            ...$with,
        ]);
    }
}
