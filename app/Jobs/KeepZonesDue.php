<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Servers\KeepZonesInTurn;
use App\Support\TradeClock;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Connection;
use Illuminate\Foundation\Queue\Queueable;

/** Keeps zones whose turn it is. One at a time; what one that died has left is still due. */
final class KeepZonesDue implements ShouldQueue
{
    use Queueable;

    private const SECONDS = 200;

    public int $tries = 1;

    public int $timeout = 300;

    public function handle(KeepZonesInTurn $keep, Connection $database): void
    {
        if ($database->scalar('SELECT pg_try_advisory_lock(7309, 0)') !== true) {
            return;
        }
        try {
            $keep->due(self::SECONDS);
        } finally {
            $database->select('SELECT pg_advisory_unlock(7309, 0)');
        }
    }

    public static function sweep(Connection $database, TradeClock $clock): void
    {
        KeepZonesInTurn::takeUp($database);
        if (KeepZonesInTurn::areDue($database, $clock->now())) {
            self::dispatch();
        }
    }
}
