<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What the outside said of our names, when it is asked again, and where it disagrees with the Roll. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            -- The accredited registrars, numbers and tags that stand behind a shop.
            ALTER TABLE registrars ADD behind jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(behind) = 'array');

            -- A head a different answer; its body apart, compressed.
            CREATE TABLE observations (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                source text NOT NULL CHECK (source IN ('registry', 'registrar', 'text', 'dns')),
                asked text NOT NULL,
                digest text NOT NULL,
                -- Whether the source has the name at all.
                found boolean NOT NULL,
                first_seen timestamptz NOT NULL,
                last_seen timestamptz NOT NULL,
                CHECK (last_seen >= first_seen)
            );
            CREATE INDEX observations_last ON observations (name_id, source, last_seen DESC, id DESC);
            CREATE TABLE observation_bodies (
                observation_id bigint PRIMARY KEY REFERENCES observations ON DELETE CASCADE,
                body bytea NOT NULL
            );

            -- When each name is looked at next, and what went wrong the last time.
            CREATE TABLE observing (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                due_at timestamptz NOT NULL,
                pace text NOT NULL DEFAULT 'weekly' CHECK (pace IN ('hourly', 'daily', 'weekly')),
                asked_at timestamptz,
                failures smallint NOT NULL DEFAULT 0 CHECK (failures >= 0),
                -- {"registry": {"why": "silent", "reason": "…", "asked": "…"}}
                troubles jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(troubles) = 'object')
            ) WITH (fillfactor = 80);
            CREATE INDEX observing_due ON observing (due_at);
            CREATE INDEX observing_pace ON observing (pace);

            CREATE TABLE drifts (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                finding text NOT NULL,
                -- What tells several of one kind apart: a status.
                detail text NOT NULL DEFAULT '',
                field text NOT NULL,
                alarming boolean NOT NULL,
                cost smallint NOT NULL,
                said jsonb NOT NULL,
                certainty text NOT NULL CHECK (certainty IN ('sure', 'split', 'stale', 'one_side')),
                state text NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'left', 'taken', 'gone')),
                because text CHECK (length(because) <= 500),
                first_seen timestamptz NOT NULL,
                last_seen timestamptz NOT NULL,
                settled_at timestamptz,
                settled_by bigint REFERENCES users ON DELETE SET NULL,
                docket_id bigint REFERENCES dockets ON DELETE SET NULL,
                -- When those who may act were written to; only what is alarming.
                told_at timestamptz,
                CHECK ((state = 'open') = (settled_at IS NULL)),
                CHECK (state <> 'left' OR btrim(coalesce(because, '')) <> '')
            );
            CREATE UNIQUE INDEX drifts_one ON drifts (name_id, finding, detail) WHERE state IN ('open', 'left');
            CREATE INDEX drifts_untold ON drifts (id) WHERE alarming AND state = 'open' AND told_at IS NULL;
            CREATE INDEX drifts_open ON drifts (cost, finding, name_id) WHERE state = 'open';

            -- Letters of other kinds than the morning's, each once to each reader.
            ALTER TABLE letters DROP CONSTRAINT letters_user_id_day_key, ADD kind text NOT NULL DEFAULT 'morning' CHECK (kind IN ('morning', 'alarm')), ADD about text NOT NULL DEFAULT '';
            CREATE UNIQUE INDEX letters_once ON letters (user_id, kind, day, about);

            -- Every name that comes onto the Roll is looked at, whichever way it came.
            CREATE OR REPLACE FUNCTION look_at_new_names() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                INSERT INTO observing (name_id, due_at) SELECT name_id, '-infinity' FROM new_rows
                ON CONFLICT (name_id) DO UPDATE SET due_at = '-infinity' WHERE observing.due_at = 'infinity';
                RETURN NULL;
            END $$;
            CREATE TRIGGER standings_looked_at AFTER INSERT ON standings REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION look_at_new_names();
            INSERT INTO observing (name_id, due_at) SELECT name_id, '-infinity' FROM standings;
            SQL
            ,
        );
    }
};
