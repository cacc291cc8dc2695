<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What the rules say of each name, kept so that a page of the Roll costs the same at any size. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            -- One flat row a name, made by the core; the Roll reads nothing else. No date is infinity, never NULL.
            CREATE TABLE standings (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                ascii text NOT NULL,
                unicode text NOT NULL,
                suffix text NOT NULL,
                client_id bigint NOT NULL,
                client_name text NOT NULL,
                account_id bigint NOT NULL,
                account_number text NOT NULL,
                registrar_id bigint NOT NULL,
                registrar_name text NOT NULL,
                phase text NOT NULL
                    CHECK (phase IN ('in_term', 'grace', 'suspended', 'redemption', 'quarantine', 'pending_delete', 'released',
                        'not_known')),
                intent text NOT NULL CHECK (intent IN ('', 'by_itself', 'when_told', 'ask_client', 'lapse')),
                lock text NOT NULL CHECK (lock IN ('on', 'off', 'unknown')),
                registrant text NOT NULL DEFAULT '',
                created_on timestamptz NOT NULL DEFAULT 'infinity',
                ends_on timestamptz NOT NULL DEFAULT 'infinity',
                next_at timestamptz NOT NULL DEFAULT 'infinity',
                next_kind text NOT NULL
                    CHECK (next_kind IN ('charge', 'charge_unconfirmed', 'ends', 'ask_client', 'asked_too_late', 'lapses', 'lapsing',
                        'presumed', 'renewed', 'late_plain', 'late_dear', 'suspended', 'redemption', 'pending_delete', 'released',
                        'gone', 'handover', 'not_known', 'watched')),
                sum numeric,
                currency char(3),
                severity smallint NOT NULL CHECK (severity IN (0, 1, 2, 3)),
                facts jsonb NOT NULL,
                disclosure text NOT NULL DEFAULT 'unknown'
                    CHECK (disclosure IN ('', 'shown', 'withheld', 'replaced', 'redacted', 'unknown')),
                servers text NOT NULL DEFAULT '',
                mailbox text NOT NULL DEFAULT '',
                reference text NOT NULL DEFAULT '',
                -- What a name can have several of: 'word:7', 'server:wire.example', 'finding:lifecycle.on_hold'.
                marks text[] NOT NULL DEFAULT '{}',
                -- From when a name may go to another registrar, where something holds it; infinity: nothing does.
                held_until timestamptz NOT NULL DEFAULT 'infinity',
                verify_by timestamptz NOT NULL DEFAULT 'infinity',
                sought text GENERATED ALWAYS AS (lower(ascii || CASE WHEN unicode = ascii THEN '' ELSE ' ' || unicode END
                    || ' ' || client_name || ' ' || account_number || ' ' || registrant || ' ' || mailbox || ' ' || reference)) STORED,
                later boolean NOT NULL DEFAULT true
            ) WITH (
                fillfactor = 80,
                autovacuum_vacuum_scale_factor = 0.02,
                autovacuum_vacuum_insert_scale_factor = 0.05,
                autovacuum_analyze_scale_factor = 0.5
            );
            -- Nobody asks by facts; of marks, the rare ones matter.
            ALTER TABLE standings ALTER facts SET STATISTICS 0, ALTER marks SET STATISTICS 500;
            CREATE INDEX standings_client_ends ON standings (client_id, ends_on, name_id);
            CREATE INDEX standings_registrar_ends ON standings (registrar_id, ends_on, name_id);
            CREATE INDEX standings_account_ends ON standings (account_id, ends_on, name_id);
            CREATE INDEX standings_ascii ON standings (ascii, name_id);
            CREATE INDEX standings_client_ascii ON standings (client_id, ascii, name_id);
            CREATE INDEX standings_registrar_ascii ON standings (registrar_id, ascii, name_id);
            CREATE INDEX standings_account_ascii ON standings (account_id, ascii, name_id);
            CREATE INDEX standings_marks ON standings USING gin (marks);
            CREATE INDEX standings_phase_ends ON standings (phase, ends_on, name_id);
            CREATE INDEX standings_registrant ON standings (lower(registrant));
            CREATE INDEX standings_created ON standings (created_on, name_id);
            -- What falls due is counted from these alone, without the rows.
            CREATE INDEX standings_held ON standings (held_until) INCLUDE (client_id, name_id) WHERE held_until < 'infinity';
            CREATE INDEX standings_on_hold ON standings (client_id) INCLUDE (name_id)
                WHERE marks @> ARRAY['finding:lifecycle.on_hold'];
            CREATE INDEX standings_not_in_list ON standings (account_id) INCLUDE (name_id)
                WHERE marks @> ARRAY['finding:lifecycle.not_in_list'];
            CREATE INDEX standings_sought ON standings USING gin (sought gin_trgm_ops);
            CREATE INDEX standings_verify ON standings (verify_by, name_id) INCLUDE (mailbox) WHERE verify_by < 'infinity';
            CREATE INDEX standings_verify_mailbox ON standings (mailbox, verify_by, name_id) WHERE verify_by < 'infinity';
            CREATE INDEX standings_unicode ON standings (unicode, name_id) WHERE unicode <> ascii;
            CREATE INDEX standings_next ON standings (later, next_at, name_id);
            CREATE INDEX standings_client_next ON standings (client_id, later, next_at, name_id);
            CREATE INDEX standings_registrar_next ON standings (registrar_id, later, next_at, name_id);
            CREATE INDEX standings_account_next ON standings (account_id, later, next_at, name_id);
            CREATE INDEX standings_phase_next ON standings (phase, later, next_at, name_id);
            CREATE INDEX standings_suffix_next ON standings (suffix, later, next_at, name_id);
            CREATE INDEX standings_intent_next ON standings (intent, later, next_at, name_id);
            CREATE INDEX standings_lock_next ON standings (lock, later, next_at, name_id);
            CREATE INDEX standings_disclosure_next ON standings (disclosure, later, next_at, name_id);
            CREATE INDEX standings_ends ON standings (ends_on, name_id) INCLUDE (later, next_at);
            CREATE INDEX standings_kind_next ON standings (next_kind, next_at)
                INCLUDE (client_id, account_id, name_id, sum, currency,
                later);

            -- Every name that comes onto the Roll is looked at, whichever way it came.
            CREATE OR REPLACE FUNCTION look_at_new_names() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                INSERT INTO observing (name_id, due_at) SELECT name_id, '-infinity' FROM new_rows
                ON CONFLICT (name_id) DO UPDATE SET due_at = '-infinity' WHERE observing.due_at = 'infinity';
                RETURN NULL;
            END $$;
            CREATE TRIGGER standings_looked_at AFTER INSERT ON standings
                REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT
                EXECUTE FUNCTION look_at_new_names();

            -- When each standing was made, by which rules, until when it holds, and what it came to.
            CREATE TABLE standing_ages (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                stands_from timestamptz NOT NULL,
                stands_until timestamptz NOT NULL,
                rulebook text NOT NULL,
                digest text NOT NULL
            ) WITH (fillfactor=60);
            CREATE INDEX standing_ages_due ON standing_ages (stands_until);

            -- Names whose standing is to be made again. Marks are only added and taken, so that nobody who makes one stale waits for
            -- anybody.
            CREATE TABLE standings_stale (
                name_id bigint NOT NULL,
                marked_at timestamptz NOT NULL DEFAULT clock_timestamp()
            );
            CREATE INDEX standings_stale_of ON standings_stale (name_id);

            -- All names of a client, an account or a registrar at once: marked by whoever makes them, and not by who changed it.
            CREATE TABLE standings_stale_groups (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                whose text NOT NULL CHECK (whose IN ('client_id', 'account_id', 'registrar_id')),
                whose_id bigint NOT NULL
            );

            -- Names whose mailboxes lie in one another, round and round; written anew by FindRings.
            CREATE TABLE ring_members (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                ring integer NOT NULL,
                place integer NOT NULL,
                size integer NOT NULL
            );
            CREATE INDEX ring_members_ring ON ring_members (ring, place);

            -- Each mailbox that must be verified, once, at the name that goes dark first, and by when.
            CREATE VIEW verifying AS
            SELECT s.mailbox, s.verify_by AS by FROM standings s
            WHERE s.verify_by < 'infinity' AND s.mailbox <> '' AND NOT EXISTS (
                SELECT 1 FROM standings e
                WHERE e.mailbox = s.mailbox AND e.verify_by < 'infinity' AND (e.verify_by, e.name_id) < (s.verify_by, s.name_id)
            );
            SQL);
    }
};
