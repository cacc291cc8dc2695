<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What people keep of the Roll: views, the sheaf, what was dealt with in Rounds, calendars. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE views (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                user_id bigint NOT NULL REFERENCES users ON DELETE CASCADE,
                name text NOT NULL CHECK (btrim(name) = name AND name <> '' AND length(name) <= 80),
                sentence jsonb NOT NULL CHECK (jsonb_typeof(sentence) = 'object'),
                shared boolean NOT NULL DEFAULT false,
                created_at timestamptz,
                updated_at timestamptz
            );
            CREATE UNIQUE INDEX views_name ON views (user_id, lower(name));

            CREATE TABLE selections (
                id uuid PRIMARY KEY,
                user_id bigint NOT NULL REFERENCES users ON DELETE CASCADE,
                kind text NOT NULL CHECK (kind IN ('sheaf', 'list')),
                created_at timestamptz,
                updated_at timestamptz
            );
            CREATE UNIQUE INDEX selections_one_sheaf ON selections (user_id) WHERE kind = 'sheaf';

            CREATE TABLE selection_sentences (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                selection_id uuid NOT NULL REFERENCES selections ON DELETE CASCADE,
                words jsonb NOT NULL CHECK (jsonb_typeof(words) IN ('object', 'array')),
                gathered_on timestamptz NOT NULL,
                UNIQUE (selection_id, words)
            );

            CREATE TABLE selection_names (
                selection_id uuid NOT NULL REFERENCES selections ON DELETE CASCADE,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                -- A name that a sentence gave and somebody took out stays as an exception, so that it doesn't come back with the
                -- sentence.
                sentence_id bigint REFERENCES selection_sentences ON DELETE SET NULL,
                left_out boolean NOT NULL DEFAULT false,
                PRIMARY KEY (selection_id, name_id)
            );
            CREATE INDEX selection_names_sentence ON selection_names (sentence_id) WHERE sentence_id IS NOT NULL;

            -- A thing of Rounds is computed afresh each time; what stands here is only what somebody said of it.
            CREATE TABLE rounds_marks (
                thing text PRIMARY KEY CHECK (length(thing) <= 200),
                done_on timestamptz,
                off_until timestamptz,
                given_to bigint REFERENCES users ON DELETE SET NULL,
                by_id bigint NOT NULL REFERENCES users,
                created_at timestamptz,
                updated_at timestamptz,
                title text NOT NULL DEFAULT '' CHECK (length(title) <= 300),
                says text NOT NULL DEFAULT '' CHECK (length(says) <= 1000),
                address text NOT NULL DEFAULT '' CHECK (length(address) <= 1000),
                because text NOT NULL DEFAULT '' CHECK (length(because) <= 500)
            );
            CREATE INDEX rounds_marks_said ON rounds_marks (updated_at DESC, thing DESC) WHERE done_on IS NOT NULL
                OR off_until IS NOT NULL;

            CREATE TABLE calendar_addresses (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                user_id bigint NOT NULL REFERENCES users ON DELETE CASCADE,
                sentence jsonb NOT NULL CHECK (jsonb_typeof(sentence) IN ('object', 'array')),
                digest text NOT NULL UNIQUE CHECK (digest ~ '^[0-9a-f]{64}$'),
                asked_at timestamptz,
                created_at timestamptz,
                updated_at timestamptz
            );
            SQL);
    }
};
