<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Servers\AskServers;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Connection;
use Illuminate\Foundation\Queue\Queueable;

/** Asks about names whose servers somebody wants to change; the scheduler sends another where one died. One at a time. */
final class AskServersWanted implements ShouldQueue
{
    use Queueable;

    private const SECONDS = 200;

    public int $tries = 1;

    public int $timeout = 300;

    public function handle(AskServers $ask, Connection $database): void
    {
        if ($database->scalar('SELECT pg_try_advisory_lock(7306, 0)') !== true) {
            return;
        }
        try {
            $ask->wanted(self::SECONDS);
        } finally {
            $database->select('SELECT pg_advisory_unlock(7306, 0)');
        }
    }

    /** What a worker that died has left, or one that came while another was about to end. */
    public static function sweep(Connection $database): void
    {
        $sql = 'SELECT EXISTS (SELECT FROM server_checks WHERE asked_at IS NULL OR asked_at < wanted_at)';
        if ($database->scalar($sql) === true) {
            self::dispatch();
        }
    }
}
