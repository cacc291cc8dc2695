<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What somebody said of many lines at once: written down in one go, carried out in the queue, resumed where it was. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
CREATE TABLE endings (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    docket_id bigint NOT NULL REFERENCES dockets ON DELETE CASCADE,
    user_id bigint NOT NULL REFERENCES users,
    how text NOT NULL CHECK (how IN ('done', 'refused', 'called_off', 'waiting_called_off')),
    -- The day on which the registrar's page showed it.
    done_on date,
    reason text CHECK (length(reason) <= 1000),
    -- Null: whatever is open.
    lines bigint[],
    created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
    ended_at timestamptz,
    -- Why it could not go on, for whoever asked.
    failure text CHECK (length(failure) <= 1000),
    CHECK ((how = 'done') = (done_on IS NOT NULL)),
    CHECK ((how = 'refused') = (reason IS NOT NULL))
);
CREATE INDEX endings_open ON endings (docket_id) WHERE ended_at IS NULL;
SQL);
    }
};
