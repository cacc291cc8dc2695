<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Sets of name servers, what servers said before a change, zones as they were, and changes that are watched until caches agree. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE server_sets (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name text NOT NULL CHECK (btrim(name) <> '' AND length(name) <= 80),
                -- Whose servers they are: a registrar's own service, a web host's, or our own.
                kind text NOT NULL CHECK (kind IN ('registrar', 'host', 'ours')),
                registrar_id bigint REFERENCES registrars,
                operator text NOT NULL DEFAULT '' CHECK (length(operator) <= 120),
                -- [{"host": "ns1.example", "addresses": ["192.0.2.1"]}], in the operator's order
                servers jsonb NOT NULL CHECK (jsonb_typeof(servers) = 'array' AND jsonb_array_length(servers) BETWEEN 1 AND 13),
                -- Whether they give us whole zones (AXFR).
                gives_zones boolean NOT NULL DEFAULT false,
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz,
                updated_at timestamptz,
                CHECK ((kind = 'registrar') = (registrar_id IS NOT NULL))
            );
            CREATE UNIQUE INDEX server_sets_name ON server_sets (lower(name));
            CREATE INDEX server_sets_registrar ON server_sets (registrar_id) WHERE registrar_id IS NOT NULL;

            -- A name, and servers that it may get: wanted, then asked. What they are is a digest, so that a set may change.
            CREATE TABLE server_checks (
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                servers_digest text NOT NULL,
                servers jsonb NOT NULL CHECK (jsonb_typeof(servers) = 'array'),
                wanted_at timestamptz NOT NULL,
                asked_at timestamptz,
                body bytea,
                PRIMARY KEY (name_id, servers_digest),
                CHECK ((asked_at IS NULL) = (body IS NULL))
            );
            CREATE INDEX server_checks_open ON server_checks (wanted_at) WHERE asked_at IS NULL OR asked_at < wanted_at;

            -- What was last seen wrong with where a name points, one a finding and host.
            CREATE TABLE pointing_faults (
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                finding text NOT NULL,
                host text NOT NULL DEFAULT '',
                said jsonb NOT NULL,
                cost smallint NOT NULL,
                first_seen timestamptz NOT NULL,
                PRIMARY KEY (name_id, finding, host)
            );
            CREATE INDEX pointing_faults_host ON pointing_faults (host, finding) WHERE host <> '';
            CREATE INDEX pointing_faults_finding ON pointing_faults (finding, name_id);

            -- DS records that the registry was last seen to have, and the last ones before that, which resolvers may still keep.
            CREATE TABLE delegates_seen (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                -- ["60485 13 2 AB…"], in order
                delegates jsonb NOT NULL CHECK (jsonb_typeof(delegates) = 'array'),
                ttl integer CHECK (ttl >= 0),
                gone jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(gone) = 'array'),
                gone_ttl integer CHECK (gone_ttl >= 0),
                gone_at timestamptz,
                CHECK ((gone = '[]') = (gone_at IS NULL))
            );

            CREATE TABLE zone_copies (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                source text NOT NULL CHECK (source IN ('asked', 'transferred', 'pasted', 'uploaded')),
                told_by text NOT NULL DEFAULT '' CHECK (length(told_by) <= 300),
                taken_at timestamptz NOT NULL,
                docket_id bigint REFERENCES dockets ON DELETE SET NULL,
                digest text NOT NULL,
                records integer NOT NULL CHECK (records >= 0),
                body bytea NOT NULL
            );
            CREATE INDEX zone_copies_newest ON zone_copies (name_id, taken_at DESC, id DESC);
            CREATE INDEX zone_copies_docket ON zone_copies (docket_id) WHERE docket_id IS NOT NULL;

            -- Whose zone is asked for when, and for which docket; what its SPF record leads to.
            CREATE TABLE zone_looks (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                next_look timestamptz NOT NULL DEFAULT '-infinity',
                asked_at timestamptz,
                docket_id bigint REFERENCES dockets ON DELETE SET NULL,
                -- {"host": ["v=spf1 …"]}; as text, as not all that is sent is one
                elsewhere json NOT NULL DEFAULT '{}'
            );
            CREATE INDEX zone_looks_next ON zone_looks (next_look, name_id);
            CREATE INDEX zone_looks_docket ON zone_looks (docket_id) WHERE docket_id IS NOT NULL;

            -- What was last seen wrong with what a name says about mail.
            CREATE TABLE mail_faults (
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                finding text NOT NULL,
                said jsonb NOT NULL,
                cost smallint NOT NULL,
                first_seen timestamptz NOT NULL,
                PRIMARY KEY (name_id, finding)
            );
            CREATE INDEX mail_faults_finding ON mail_faults (finding, name_id);

            -- One a line of a docket that had records changed.
            CREATE TABLE record_watches (
                docket_line_id bigint PRIMARY KEY REFERENCES docket_lines ON DELETE CASCADE,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                -- [{"host": "www", "type": "A", "data": ["192.0.2.1"]}]
                wanted jsonb NOT NULL CHECK (jsonb_typeof(wanted) = 'array'),
                -- Which servers say so: {"ns1.a.example": true}
                says jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(says) = 'object'),
                began_at timestamptz NOT NULL,
                asked_at timestamptz,
                agreed_at timestamptz
            );
            CREATE INDEX record_watches_open ON record_watches (asked_at NULLS FIRST) WHERE agreed_at IS NULL;
            CREATE INDEX record_watches_name ON record_watches (name_id);

            -- One a line of a docket that changed name servers.
            CREATE TABLE server_watches (
                docket_line_id bigint PRIMARY KEY REFERENCES docket_lines ON DELETE CASCADE,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                wanted jsonb NOT NULL CHECK (jsonb_typeof(wanted) = 'array'),
                -- Seconds, as they were before the change.
                parent_ttl integer CHECK (parent_ttl >= 0),
                zone_ttl integer CHECK (zone_ttl >= 0),
                record_ttl integer NOT NULL CHECK (record_ttl >= 0),
                began_at timestamptz NOT NULL,
                parent_at timestamptz,
                servers_at timestamptz,
                cached_until timestamptz,
                ended_at timestamptz,
                CHECK ((parent_at IS NULL) = (cached_until IS NULL))
            );
            CREATE INDEX server_watches_open ON server_watches (name_id) WHERE ended_at IS NULL;
            CREATE INDEX server_watches_name ON server_watches (name_id, began_at DESC);
            SQL);
    }
};
