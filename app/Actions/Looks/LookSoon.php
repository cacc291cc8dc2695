<?php

declare(strict_types=1);

namespace App\Actions\Looks;

use Acre\Core\Time\Instant;
use Illuminate\Database\Connection;

/** What somebody knows has changed is looked at before its turn: zones after those that are about to move, pages at once. */
final readonly class LookSoon
{
    /** @param  list<int>  $nameIds */
    public static function atZones(Connection $database, array $nameIds, Instant $now): void
    {
        $database->update('UPDATE zone_looks SET next_look = LEAST(next_look, ?) WHERE name_id = ANY (?::bigint[])', [
            $now->isoSecond(),
            '{'.implode(',', $nameIds).'}',
        ]);
    }

    /**
     * Zones, and the pages at their hosts.
     *
     * @param  list<int>  $nameIds
     */
    public static function atZonesAndPages(Connection $database, array $nameIds, Instant $now): void
    {
        self::atZones($database, $nameIds, $now);
        $database->update("UPDATE sites SET next_look = '-infinity' WHERE name_id = ANY (?::bigint[])", [
            '{'.implode(',', $nameIds).'}',
        ]);
    }
}
