<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What directories and name servers say of a name, and where that differs from our record. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            -- When each name is looked at next, and what went wrong the last time.
            CREATE TABLE observing (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                due_at timestamptz NOT NULL,
                pace text NOT NULL DEFAULT 'weekly' CHECK (pace IN ('hourly', 'daily', 'weekly')),
                asked_at timestamptz,
                failures smallint NOT NULL DEFAULT 0 CHECK (failures >= 0),
                -- {"registry": {"why": "silent", "reason": "…", "asked": "…"}}
                troubles jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(troubles) = 'object'),
                deep_at timestamptz,
                is_ok boolean NOT NULL DEFAULT false
            ) WITH (fillfactor=80);
            CREATE INDEX observing_due ON observing (due_at);
            CREATE INDEX observing_pace ON observing (pace);

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

            CREATE TABLE drifts (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                finding text NOT NULL
                    CHECK (finding IN ('not_in_directory', 'other_registrar', 'transfer_not_ours', 'deleted', 'falls_free',
                        'ends_sooner', 'ends_later', 'renewed', 'not_renewed', 'held_by_registry', 'held_by_registrar',
                        'servers_changed', 'holder_doubted', 'lock_is_off', 'lock_is_on', 'status_seen', 'status_gone',
                        'created_differs', 'holder_changed', 'holder_differs', 'shown_more', 'hidden_more', 'end_not_written',
                        'created_not_written', 'servers_not_written', 'lock_not_written')),
                -- What tells several of one kind apart: a status.
                detail text NOT NULL DEFAULT '',
                field text NOT NULL
                    CHECK (field IN ('registered', 'registrar', 'ends', 'created', 'statuses', 'lock', 'servers', 'holder',
                        'disclosure')),
                alarming boolean NOT NULL,
                cost smallint NOT NULL,
                said jsonb NOT NULL,
                certainty text NOT NULL CHECK (certainty IN ('sure', 'split', 'stale', 'once', 'one_side')),
                state text NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'left', 'taken', 'gone')),
                because text CHECK (length(because) <= 500),
                first_seen timestamptz NOT NULL,
                last_seen timestamptz NOT NULL,
                settled_at timestamptz,
                settled_by bigint REFERENCES users ON DELETE SET NULL,
                docket_id bigint REFERENCES dockets ON DELETE SET NULL,
                -- When those who may act were written to; only what is alarming.
                told_at timestamptz,
                since timestamptz,
                CHECK ((state = 'open') = (settled_at IS NULL)),
                CHECK (state <> 'left' OR btrim(coalesce(because, '')) <> '')
            );
            CREATE UNIQUE INDEX drifts_one ON drifts (name_id, finding, detail) WHERE state IN ('open', 'left');
            CREATE INDEX drifts_untold ON drifts (id) WHERE alarming AND state = 'open' AND told_at IS NULL;
            CREATE INDEX drifts_open ON drifts (cost, finding, name_id) WHERE state = 'open';
            CREATE INDEX drifts_newest ON drifts (finding, first_seen DESC, id) WHERE state = 'open';
            SQL);
    }
};
