<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Models\DocketLine;

/**
 * What a line opened ends with it: its movement, and the steps that were left where it was done; what comes after it is seen or said, and
 * not supposed. In the line's transaction.
 */
final class EndMovement
{
    public static function of(DocketLine $line, Instant $on, bool $done): void
    {
        $database = $line->getConnection();
        $bound = [$on->isoSecond(), $line->name_id, $line->docket_id];
        $closed = 'UPDATE movements SET closed_on = ?::timestamptz, updated_at = clock_timestamp()
            WHERE name_id = ? AND docket_id = ? AND closed_on IS NULL';
        $after = array_filter(LegKind::cases(), fn (LegKind $kind): bool => $kind->comesAfter());
        $done
            ? $database->update(
                "WITH closed AS ({$closed} RETURNING id) UPDATE legs g SET done_on = ?::timestamptz, updated_at = clock_timestamp()
                    FROM closed c WHERE g.movement_id = c.id AND g.done_on IS NULL AND g.kind <> ALL (?)",
                [...$bound, $on->isoSecond(), '{'.implode(',', array_column($after, 'value')).'}'],
            )
            : $database->update($closed, $bound);
    }
}
