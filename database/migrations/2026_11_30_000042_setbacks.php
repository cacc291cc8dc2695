<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Work that could not be finished: one thing each, so that its neighbours go on. By the machine's clock. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE setbacks (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                kind text NOT NULL CHECK (kind IN ('docket', 'docket_line', 'acceptance', 'confirmation', 'order', 'message', 'letter',
                'mailbox', 'look', 'import', 'standing')),
                subject_id bigint NOT NULL,
                -- Where it is said, beside the page of all.
                account_id bigint REFERENCES accounts ON DELETE CASCADE,
                docket_id bigint REFERENCES dockets ON DELETE CASCADE,
                name_id bigint REFERENCES names ON DELETE CASCADE,
                error text NOT NULL CHECK (length(error) BETWEEN 1 AND 1000),
                failures integer NOT NULL DEFAULT 1 CHECK (failures > 0),
                first_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                last_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                retry_at timestamptz NOT NULL,
                UNIQUE (kind, subject_id)
            );
            CREATE INDEX setbacks_of_account ON setbacks (account_id) WHERE account_id IS NOT NULL;
            CREATE INDEX setbacks_of_docket ON setbacks (docket_id) WHERE docket_id IS NOT NULL;
            CREATE INDEX setbacks_of_name ON setbacks (name_id) WHERE name_id IS NOT NULL;

            -- Names whose standing is to be made again. Marks are only added and taken,
            so that nobody who makes one stale waits for anybody.
            CREATE TABLE standings_stale (name_id bigint NOT NULL, marked_at timestamptz NOT NULL DEFAULT clock_timestamp());
            CREATE INDEX standings_stale_of ON standings_stale (name_id);

            -- A lock that a movement lifted is set again as its last leg,
            which stays open until it is seen; what ended before was not asked.
            UPDATE legs g SET done_on = m.closed_on FROM movements m
            WHERE m.id = g.movement_id AND m.closed_on IS NOT NULL AND g.kind = 'set_lock' AND g.done_on IS NULL;
            CREATE INDEX legs_locks ON legs (movement_id) WHERE kind = 'set_lock' AND done_on IS NULL;
            SQL
            ,
        );
    }
};
