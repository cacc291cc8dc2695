<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Migrations: many names to another registrar, each on its day. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE plans (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                token uuid NOT NULL UNIQUE,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                terms jsonb NOT NULL CHECK (jsonb_typeof(terms) = 'object'),
                -- running: each day's names wait for a Steward; stopped: too many failed; the rest are ends.
                state text NOT NULL CHECK (state IN ('running', 'stopped', 'ended', 'called_off')),
                stopped_because text CHECK (length(stopped_because) <= 1000),
                made_by bigint NOT NULL REFERENCES users,
                made_on timestamptz NOT NULL,
                ended_on timestamptz,
                created_at timestamptz,
                updated_at timestamptz,
                CHECK ((state IN ('ended', 'called_off')) = (ended_on IS NOT NULL)),
                CHECK ((state = 'stopped') = (stopped_because IS NOT NULL))
            );
            CREATE INDEX plans_state ON plans (state, id);

            CREATE TABLE plan_names (
                plan_id bigint NOT NULL REFERENCES plans ON DELETE CASCADE,
                name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
                -- Null: none.
                day date,
                why text NOT NULL,
                is_late boolean NOT NULL DEFAULT false,
                is_pilot boolean NOT NULL DEFAULT false,
                -- With which it went; null: it hasn't yet.
                docket_id bigint REFERENCES dockets ON DELETE SET NULL,
                PRIMARY KEY (plan_id, name_id)
            );
            CREATE INDEX plan_names_name ON plan_names (name_id);
            CREATE INDEX plan_names_docket ON plan_names (docket_id) WHERE docket_id IS NOT NULL;
            CREATE INDEX plan_names_due ON plan_names (plan_id, day) WHERE docket_id IS NULL AND day IS NOT NULL;
            SQL);
    }
};
