<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What happened: the log, day by day, and the chain of proofs. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
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
                from_address text CHECK (length(from_address) <= 45),
                PRIMARY KEY (id, at)
            ) PARTITION BY RANGE (at);
            CREATE INDEX log_subject ON log (subject, subject_id, id);
            CREATE INDEX log_user ON log (user_id, id);

            CREATE TABLE log_other PARTITION OF log DEFAULT;

            -- Makes the log's partitions, one a month, as far as a day; what was written of such a month meanwhile moves into it.
            -- The runtime role may call it, and reaches no partition otherwise.
            CREATE OR REPLACE FUNCTION log_months(through date) RETURNS integer
                LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
            DECLARE
                month date;
                made integer := 0;
                part text;
            BEGIN
                PERFORM pg_advisory_xact_lock(7306, 1);
                FOR month IN
                    SELECT generate_series(
                        date_trunc('month', coalesce((SELECT min(at) FROM log), now())), through, interval '1 month'
                    )::date
                LOOP
                    part := 'log_' || to_char(month, 'YYYY_MM');
                    CONTINUE WHEN to_regclass(part) IS NOT NULL;
                    EXECUTE format('CREATE TABLE %I (LIKE log INCLUDING ALL EXCLUDING IDENTITY)', part);
                    EXECUTE format(
                        'WITH moved AS (DELETE FROM log_other WHERE at >= %L AND at < %L RETURNING *) INSERT INTO %I SELECT * FROM moved',
                        month, (month + interval '1 month')::date, part
                    );
                    EXECUTE format(
                        'ALTER TABLE log ATTACH PARTITION %I FOR VALUES FROM (%L) TO (%L)',
                        part, month, (month + interval '1 month')::date
                    );
                    IF EXISTS (SELECT FROM pg_roles WHERE rolname = 'acre_app') THEN
                        EXECUTE format('REVOKE ALL ON %I FROM acre_app', part);
                    END IF;
                    made := made + 1;
                END LOOP;
                RETURN made;
            END $$;
            REVOKE ALL ON FUNCTION log_months FROM PUBLIC;
            SELECT log_months((now() + interval '12 months')::date);

            CREATE TABLE days_of_log (
                -- In UTC; none is left out.
                day date PRIMARY KEY,
                rows bigint NOT NULL CHECK (rows >= 0),
                -- The last row's number: its own, or of the day before where it has none.
                to_row bigint NOT NULL,
                rows_sha256 char(64) NOT NULL CHECK (rows_sha256 ~ '^[0-9a-f]{64}$'),
                sha256 char(64) NOT NULL CHECK (sha256 ~ '^[0-9a-f]{64}$'),
                previous_sha256 char(64)
            );

            CREATE TABLE erasures (
                contact_id bigint PRIMARY KEY REFERENCES contacts ON DELETE RESTRICT,
                asked_on timestamptz NOT NULL,
                erased_on timestamptz NOT NULL,
                -- How it was asked for, without saying by whom: the contact's number is enough.
                words text NOT NULL CHECK (btrim(words) <> '' AND length(words) <= 1000),
                -- What went, by kind: {"versions": 3, "letters": 2, …}
                counts jsonb NOT NULL CHECK (jsonb_typeof(counts) = 'object'),
                -- Of the values as they stood, with a salt that was thrown away: whoever still has both can show that these were
                -- erased, nobody can find them by it.
                digest char(64) NOT NULL CHECK (digest ~ '^[0-9a-f]{64}$'),
                user_id bigint REFERENCES users ON DELETE SET NULL
            );

            -- Proofs are chained in closing order; nobody changes one.
            CREATE TABLE proofs (
                docket_id bigint UNIQUE REFERENCES dockets,
                position bigint PRIMARY KEY CHECK (position > 0),
                text text NOT NULL,
                sha256 char(64) NOT NULL CHECK (sha256 ~ '^[0-9a-f]{64}$'),
                previous_sha256 char(64),
                made_on timestamptz NOT NULL,
                handing_id bigint UNIQUE REFERENCES handings,
                erasure_id bigint UNIQUE REFERENCES erasures(contact_id),
                CHECK ((position = 1) = (previous_sha256 IS NULL)),
                CHECK (num_nonnulls(docket_id, handing_id, erasure_id) = 1)
            );

            DO $$
            BEGIN
                IF EXISTS (SELECT FROM pg_roles WHERE rolname = 'acre_app') THEN
                    GRANT EXECUTE ON FUNCTION log_months TO acre_app;
                    -- The runtime role only adds to what is never to change; a time of the log is the database's, whoever writes.
                    REVOKE ALL ON log_other FROM acre_app;
                    REVOKE UPDATE, DELETE ON log, days_of_log, proofs FROM acre_app;
                    REVOKE INSERT ON log FROM acre_app;
                    GRANT INSERT (trade_at, user_id, from_address, event, subject, subject_id, data) ON log TO acre_app;
                    REVOKE UPDATE, DELETE, INSERT ON migrations FROM acre_app;
                END IF;
            END $$;
            SQL);
    }
};
