<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Outside\CheckMailboxes;
use App\Actions\Outside\LeaseDue;
use App\Actions\Outside\Observe;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Connection;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Looks at mailboxes and names whose turn it is, for most of a minute; the scheduler sends the next. One at a time, so that other work
 * finds a worker, and for no longer than whoever does it is connected.
 */
final class LookOutside implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    private const SECONDS = 45;

    private const AT_ONCE = 50;

    public int $tries = 1;

    public int $timeout = 300;

    public int $uniqueFor = 60;

    public function handle(LeaseDue $take, Observe $observe, CheckMailboxes $mailboxes, Connection $database): void
    {
        if ($database->scalar('SELECT pg_try_advisory_lock(7305, 0)') !== true) {
            return;
        }
        try {
            $mailboxes->some(self::AT_ONCE);
            $until = time() + self::SECONDS;
            do {
                $names = $take->handle(self::AT_ONCE);
                $looked = $observe->within($names, max(1, $until - time()));
                $take->giveBack($looked->left);
            } while ($names !== [] && $looked->hadTurn && time() < $until);
        } finally {
            $database->select('SELECT pg_advisory_unlock(7305, 0)');
        }
    }
}
