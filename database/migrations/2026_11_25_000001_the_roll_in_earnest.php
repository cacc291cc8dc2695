<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** More to filter by, and a standing's age apart from it, so that making it again writes only what came out otherwise. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE registrations
                ADD servers jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(servers) = 'array'),
                ADD disclosure text NOT NULL DEFAULT 'unknown' CHECK (disclosure IN ('shown', 'withheld', 'replaced', 'redacted',
                'unknown'));

            -- Labels that people give.
            CREATE TABLE words (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                label text NOT NULL CHECK (btrim(label) = label AND label <> '' AND length(label) <= 60),
                created_at timestamptz, updated_at timestamptz
            );
            CREATE UNIQUE INDEX words_label ON words (lower(label));
            CREATE TABLE name_words (
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                word_id bigint NOT NULL REFERENCES words ON DELETE CASCADE,
                PRIMARY KEY (name_id, word_id)
            );
            CREATE INDEX name_words_word ON name_words (word_id);

            -- When each standing was made, by which rules, until when it holds, and what it came to.
            CREATE TABLE standing_ages (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                stands_from timestamptz NOT NULL,
                stands_until timestamptz NOT NULL,
                rulebook text NOT NULL,
                digest text NOT NULL
            ) WITH (fillfactor = 60);
            INSERT INTO standing_ages SELECT name_id, stands_from, '-infinity', rulebook, '' FROM standings;
            CREATE INDEX standing_ages_due ON standing_ages (stands_until);

            DROP INDEX standings_like;
            ALTER TABLE standings
                DROP COLUMN stands_from, DROP COLUMN stands_until, DROP COLUMN rulebook, DROP COLUMN findings,
                ADD disclosure text NOT NULL DEFAULT 'unknown',
                ADD servers text NOT NULL DEFAULT '',
                ADD mailbox text NOT NULL DEFAULT '',
                ADD reference text NOT NULL DEFAULT '',
                -- What a name can have several of: 'word:7', 'server:wire.example', 'finding:lifecycle.on_hold'.
                ADD marks text[] NOT NULL DEFAULT '{}',
                ADD sought text GENERATED ALWAYS AS
                (lower(ascii || ' ' || unicode || ' ' || client_name || ' ' || account_number || ' ' || registrant || ' ' || mailbox ||
                ' ' || reference)) STORED,
                SET (fillfactor = 80, autovacuum_vacuum_scale_factor = 0.02, autovacuum_analyze_scale_factor = 0.02,
                autovacuum_vacuum_insert_scale_factor = 0.05);
            CREATE INDEX standings_sought ON standings USING gin (sought gin_trgm_ops);
            CREATE INDEX standings_marks ON standings USING gin (marks);
            CREATE INDEX standings_phase_next ON standings (phase, next_at, name_id);
            CREATE INDEX standings_phase_ends ON standings (phase, ends_on, name_id);
            CREATE INDEX standings_suffix_next ON standings (suffix, next_at, name_id);
            CREATE INDEX standings_intent_next ON standings (intent, next_at, name_id);
            CREATE INDEX standings_lock_next ON standings (lock, next_at, name_id);
            CREATE INDEX standings_disclosure_next ON standings (disclosure, next_at, name_id);
            CREATE INDEX standings_registrant ON standings (lower(registrant));
            CREATE INDEX standings_unicode ON standings (unicode, name_id);
            CREATE INDEX standings_created ON standings (created_on, name_id);
            ALTER TABLE standings ALTER marks SET STATISTICS 500;

            -- What holds today is asked for by name far more often than any span.
            CREATE UNIQUE INDEX registrations_today ON registrations (name_id) WHERE upper_inf(span);
            CREATE UNIQUE INDEX holdings_today ON holdings (name_id) WHERE upper_inf(span);
            CREATE INDEX registrations_reference ON registrations USING gin (lower(reference) gin_trgm_ops);

            -- A person's way of looking at the Roll, and sentences kept by name.
            ALTER TABLE users ADD looks jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(looks) = 'object');
            CREATE TABLE views (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                user_id bigint NOT NULL REFERENCES users ON DELETE CASCADE,
                name text NOT NULL CHECK (btrim(name) = name AND name <> '' AND length(name) <= 80),
                sentence jsonb NOT NULL CHECK (jsonb_typeof(sentence) = 'object'),
                shared boolean NOT NULL DEFAULT false,
                created_at timestamptz, updated_at timestamptz
            );
            CREATE UNIQUE INDEX views_name ON views (user_id, lower(name));

            CREATE TABLE notes (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint REFERENCES names ON DELETE CASCADE,
                account_id bigint REFERENCES accounts ON DELETE CASCADE,
                client_id bigint REFERENCES clients ON DELETE CASCADE,
                user_id bigint NOT NULL REFERENCES users,
                text text NOT NULL DEFAULT '' CHECK (length(text) <= 10000),
                file text CHECK (length(file) <= 200),
                path text,
                size bigint,
                created_at timestamptz, updated_at timestamptz,
                CHECK (num_nonnulls(name_id, account_id, client_id) = 1),
                CHECK ((file IS NULL) = (path IS NULL)),
                CHECK (btrim(text) <> '' OR file IS NOT NULL)
            );
            CREATE INDEX notes_name ON notes (name_id, id);
            CREATE INDEX notes_account ON notes (account_id, id);
            CREATE INDEX notes_client ON notes (client_id, id);
            SQL
            ,
        );
    }
};
