<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is done to names, what is under way, what was brought in, and what can be proven afterwards. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE selections (
                id uuid PRIMARY KEY,
                user_id bigint NOT NULL REFERENCES users ON DELETE CASCADE,
                kind text NOT NULL CHECK (kind IN ('sheaf', 'list')),
                created_at timestamptz, updated_at timestamptz
            );
            CREATE UNIQUE INDEX selections_one_sheaf ON selections (user_id) WHERE kind = 'sheaf';
            CREATE TABLE selection_names (
                selection_id uuid NOT NULL REFERENCES selections ON DELETE CASCADE,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                PRIMARY KEY (selection_id, name_id)
            );

            CREATE TABLE dockets (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                token uuid NOT NULL UNIQUE,
                deed text NOT NULL,
                state text NOT NULL CHECK (state IN ('prepared', 'settled', 'closed', 'called_off')),
                terms jsonb NOT NULL CHECK (jsonb_typeof(terms) = 'object'),
                digest text NOT NULL,
                prepared_by bigint NOT NULL REFERENCES users,
                prepared_on timestamptz NOT NULL,
                settled_by bigint REFERENCES users,
                settled_on timestamptz,
                closed_on timestamptz,
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz, updated_at timestamptz,
                CHECK (state NOT IN ('settled', 'closed') OR settled_on IS NOT NULL),
                CHECK (state NOT IN ('closed', 'called_off') OR closed_on IS NOT NULL)
            );
            CREATE INDEX dockets_state ON dockets (state, id);
            ALTER TABLE holdings ADD CONSTRAINT holdings_docket FOREIGN KEY (docket_id) REFERENCES dockets;

            CREATE TABLE docket_lines (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE CASCADE,
                name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
                giving_account_id bigint REFERENCES accounts,
                position integer NOT NULL,
                lot integer NOT NULL DEFAULT 0,
                -- prepared: waits for a Steward; waiting: settled, not yet begun; begun: out on its slip; the rest are ends.
                state text NOT NULL CHECK (state IN ('prepared', 'waiting', 'begun', 'done', 'stopped', 'refused', 'called_off')),
                findings jsonb NOT NULL DEFAULT '[]',
                reason text CHECK (length(reason) <= 1000),
                done_on timestamptz,
                done_is_day boolean NOT NULL DEFAULT true,
                done_by bigint REFERENCES users,
                before jsonb, after jsonb,
                created_at timestamptz, updated_at timestamptz,
                UNIQUE (docket_id, name_id),
                CHECK (state <> 'done' OR done_on IS NOT NULL)
            );
            CREATE INDEX docket_lines_open ON docket_lines (docket_id, state, position);
            CREATE INDEX docket_lines_name ON docket_lines (name_id, docket_id);

            CREATE TABLE movements (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE CASCADE,
                kind text NOT NULL CHECK (kind IN ('handover', 'transfer')),
                opened_on timestamptz NOT NULL,
                expected_by timestamptz,
                closed_on timestamptz,
                created_at timestamptz, updated_at timestamptz
            );
            -- One open movement a name: of two at once, one is refused here.
            CREATE UNIQUE INDEX movements_one_open ON movements (name_id) WHERE closed_on IS NULL;
            CREATE INDEX movements_docket ON movements (docket_id);

            CREATE TABLE legs (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                movement_id bigint NOT NULL REFERENCES movements ON DELETE CASCADE,
                position smallint NOT NULL,
                kind text NOT NULL,
                actor text NOT NULL,
                due_by timestamptz,
                done_on timestamptz,
                created_at timestamptz, updated_at timestamptz,
                UNIQUE (movement_id, position)
            );

            CREATE TABLE imports (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                user_id bigint NOT NULL REFERENCES users,
                file text NOT NULL,
                path text NOT NULL,
                registrar_id bigint NOT NULL REFERENCES registrars,
                account_id bigint REFERENCES accounts,
                client_id bigint REFERENCES clients,
                shape jsonb NOT NULL,
                matched jsonb NOT NULL DEFAULT '{}',
                state text NOT NULL CHECK (state IN ('uploaded', 'reading', 'read', 'writing', 'done', 'failed')),
                rows_total integer NOT NULL DEFAULT 0,
                rows_seen integer NOT NULL DEFAULT 0,
                rows_written integer NOT NULL DEFAULT 0,
                failure text,
                created_at timestamptz, updated_at timestamptz
            );
            CREATE TABLE import_rows (
                import_id bigint NOT NULL REFERENCES imports ON DELETE CASCADE,
                line integer NOT NULL,
                verdict text NOT NULL CHECK (verdict IN ('new', 'changed', 'same', 'refused')),
                ascii text,
                facts jsonb NOT NULL DEFAULT '{}',
                changes jsonb NOT NULL DEFAULT '[]',
                reason jsonb,
                written boolean NOT NULL DEFAULT false,
                PRIMARY KEY (import_id, line)
            );
            CREATE INDEX import_rows_verdict ON import_rows (import_id, verdict, line);
            CREATE UNIQUE INDEX import_rows_name ON import_rows (import_id, ascii) WHERE verdict <> 'refused';

            -- Proofs are chained in closing order; nobody changes one.
            CREATE TABLE proofs (
                docket_id bigint PRIMARY KEY REFERENCES dockets,
                position bigint NOT NULL UNIQUE CHECK (position > 0),
                text text NOT NULL,
                sha256 char(64) NOT NULL CHECK (sha256 ~ '^[0-9a-f]{64}$'),
                previous_sha256 char(64),
                made_on timestamptz NOT NULL,
                CHECK ((position = 1) = (previous_sha256 IS NULL))
            );

            -- By the machine's clock; trade_at is what the house's day was.
            CREATE TABLE log (
                id bigint GENERATED ALWAYS AS IDENTITY,
                at timestamptz NOT NULL DEFAULT clock_timestamp(),
                trade_at timestamptz NOT NULL,
                user_id bigint,
                event text NOT NULL,
                subject text NOT NULL,
                subject_id bigint,
                data jsonb NOT NULL DEFAULT '{}',
                PRIMARY KEY (id, at)
            ) PARTITION BY RANGE (at);
            CREATE INDEX log_subject ON log (subject, subject_id, id);
            CREATE TABLE log_other PARTITION OF log DEFAULT;

            DO $$
            DECLARE month date;
            BEGIN
                FOR month IN SELECT generate_series(date '2026-10-01', date '2031-12-01', interval '1 month')::date LOOP
                    EXECUTE format('CREATE TABLE log_%s PARTITION OF log FOR VALUES FROM (%L) TO (%L)',
                        to_char(month, 'YYYY_MM'), month, (month + interval '1 month')::date);
                END LOOP;
                IF EXISTS (SELECT FROM pg_roles WHERE rolname = 'acre_app') THEN
                    -- The runtime role reaches the log only through its head, and there it can only add.
                    EXECUTE (SELECT string_agg(format('REVOKE ALL ON %I FROM acre_app', inhrelid::regclass), '; ') FROM pg_inherits
                    WHERE inhparent = 'log'::regclass);
                    REVOKE UPDATE, DELETE ON log, proofs FROM acre_app;
                    REVOKE UPDATE, DELETE, INSERT ON migrations FROM acre_app;
                END IF;
            END $$;
            SQL
            ,
        );
    }
};
