<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Movement\LegKind;
use Acre\Core\Time\Instant;
use App\Models\DocketLine;
use App\Models\Leg;
use App\Models\Movement;

/**
 * What a line opened ends with it: its movement, and the steps that were left where it was done; that a lock is on again is seen or said,
 * and not supposed. In the line's transaction.
 */
final class EndMovement
{
    public static function of(DocketLine $line, Instant $on, bool $done): void
    {
        $movement = Movement::query()
            ->where('name_id', $line->name_id)
            ->where('docket_id', $line->docket_id)
            ->whereNull('closed_on')
            ->first();
        $movement?->update(['closed_on' => $on]);
        if ($movement !== null && $done) {
            Leg::query()
                ->where('movement_id', $movement->id)
                ->whereNull('done_on')
                ->whereNotIn('kind', array_filter(LegKind::cases(), fn (LegKind $kind): bool => $kind->putsBack()))
                ->update(['done_on' => $on->isoSecond()]);
        }
    }
}
