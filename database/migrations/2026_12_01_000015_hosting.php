<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Places where pages are kept, what visitors should find at hosts of names, and what was found. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE places (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name text NOT NULL CHECK (btrim(name) <> '' AND length(name) <= 80),
                kind text NOT NULL CHECK (kind IN ('pages', 'shop', 'redirects', 'machine')),
                operator text NOT NULL DEFAULT '' CHECK (length(operator) <= 120),
                plan text NOT NULL DEFAULT '' CHECK (length(plan) <= 120),
                -- The name servers that come with it.
                server_set_id bigint REFERENCES server_sets ON DELETE SET NULL,
                -- ["192.0.2.80"], in their shortest form
                addresses jsonb NOT NULL DEFAULT '[]'
                    CHECK (jsonb_typeof(addresses) = 'array' AND jsonb_array_length(addresses) <= 20),
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz,
                updated_at timestamptz
            );
            CREATE UNIQUE INDEX places_name ON places (lower(name));
            CREATE INDEX places_server_set ON places (server_set_id) WHERE server_set_id IS NOT NULL;

            -- One a host: what visitors should find there, and what was last found.
            CREATE TABLE sites (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                -- What stands before the name; empty: nothing.
                label text NOT NULL CHECK (length(label) <= 200 AND label ~
                    '^([a-z0-9_]([a-z0-9_-]{0,61}[a-z0-9_])?([.][a-z0-9_]([a-z0-9_-]{0,61}[a-z0-9_])?)*)?$'),
                place_id bigint REFERENCES places,
                folder text NOT NULL DEFAULT '' CHECK (length(folder) <= 200),
                target text CHECK (target ~ '^https?://' AND length(target) <= 2000),
                is_permanent boolean,
                keeps_path boolean,
                -- The docket that is having it changed, and what was expected before: {} where that was nothing.
                docket_line_id bigint REFERENCES docket_lines ON DELETE SET NULL,
                before jsonb CHECK (jsonb_typeof(before) = 'object'),
                version integer NOT NULL DEFAULT 1,
                next_look timestamptz NOT NULL DEFAULT '-infinity',
                asked_at timestamptz,
                -- Since when it is as expected.
                agreed_at timestamptz,
                addresses jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(addresses) = 'array'),
                certificate_until timestamptz,
                -- JSON
                body text,
                created_at timestamptz,
                updated_at timestamptz,
                UNIQUE (name_id, label),
                CHECK (place_id IS NOT NULL OR target IS NOT NULL),
                CHECK ((target IS NULL) = (is_permanent IS NULL) AND (target IS NULL) = (keeps_path IS NULL)),
                CHECK ((asked_at IS NULL) = (body IS NULL))
            );
            CREATE INDEX sites_place ON sites (place_id, id) WHERE place_id IS NOT NULL;
            CREATE INDEX sites_redirects ON sites (id) WHERE target IS NOT NULL;
            CREATE INDEX sites_target ON sites (target, id) WHERE target IS NOT NULL;
            CREATE INDEX sites_next_look ON sites (next_look, id);
            CREATE INDEX sites_docket_line ON sites (docket_line_id) WHERE docket_line_id IS NOT NULL;

            -- What was last seen wrong at a host.
            CREATE TABLE site_faults (
                site_id bigint NOT NULL REFERENCES sites ON DELETE CASCADE,
                finding text NOT NULL,
                said jsonb NOT NULL,
                cost smallint NOT NULL,
                first_seen timestamptz NOT NULL,
                PRIMARY KEY (site_id, finding)
            );
            CREATE INDEX site_faults_finding ON site_faults (finding, site_id);
            SQL);
    }
};
