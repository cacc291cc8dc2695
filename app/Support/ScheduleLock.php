<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Console\Scheduling\Event;
use Illuminate\Console\Scheduling\EventMutex;
use Illuminate\Database\Connection;

/**
 * Keeps a scheduled piece of work from running twice at a time, for as long as whoever does it is connected. The
 * framework's own mark outlives a run that was killed, and keeps the work from being done for a day.
 */
final readonly class ScheduleLock implements EventMutex
{
    /** The first of the two numbers of these advisory locks. */
    private const CLASS_ID = 7304;

    public function __construct(private Connection $database)
    {
    }

    public function create(Event $event): bool
    {
        return $this->database->scalar('SELECT pg_try_advisory_lock(?, hashtext(?))', [self::CLASS_ID, $event->mutexName()]) === true;
    }

    public function exists(Event $event): bool
    {
        return $this->database->scalar(
            "SELECT EXISTS (SELECT FROM pg_locks WHERE locktype = 'advisory' AND classid = ?
                AND objid = (hashtext(?)::bigint & 4294967295)::oid AND granted
             AND database = (SELECT oid FROM pg_database WHERE datname = current_database()))",
            [self::CLASS_ID, $event->mutexName()],
        ) === true;
    }

    public function forget(Event $event): void
    {
        $this->database->select('SELECT pg_advisory_unlock(?, hashtext(?))', [self::CLASS_ID, $event->mutexName()]);
    }
}
