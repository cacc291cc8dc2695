<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Who can sign in at which account, and how that is handed on. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE custodians (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name text NOT NULL CHECK (btrim(name) <> '' AND length(name) <= 200),
                mailbox text CHECK (length(mailbox) <= 320),
                -- The one of the house who signs in here too, if it is one.
                user_id bigint UNIQUE REFERENCES users ON DELETE SET NULL,
                -- Whoever has left keeps what they hold until it is handed to somebody.
                left_on timestamptz,
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                updated_at timestamptz
            );
            CREATE UNIQUE INDEX custodians_name ON custodians (lower(name));

            CREATE TABLE custodies (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE CASCADE,
                custodian_id bigint NOT NULL REFERENCES custodians ON DELETE RESTRICT,
                part text NOT NULL CHECK (part IN ('signs_in', 'second_factor', 'card', 'way_back')),
                -- Of a card, the last day on which it pays.
                good_until timestamptz,
                span tstzrange NOT NULL CHECK (NOT isempty(span)),
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                CHECK (good_until IS NULL OR part = 'card'),
                EXCLUDE USING gist (account_id WITH =, custodian_id WITH =, part WITH =, span WITH &&)
            );
            CREATE INDEX custodies_account ON custodies (account_id) WHERE upper_inf(span);
            CREATE INDEX custodies_custodian ON custodies (custodian_id) WHERE upper_inf(span);

            CREATE TABLE handings (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                from_id bigint NOT NULL REFERENCES custodians ON DELETE RESTRICT,
                to_id bigint NOT NULL REFERENCES custodians ON DELETE RESTRICT,
                opened_on timestamptz NOT NULL,
                opened_by bigint NOT NULL REFERENCES users,
                closed_on timestamptz,
                CHECK (closed_on >= opened_on),
                CHECK (from_id <> to_id)
            );
            -- What one has is handed to one person at a time.
            CREATE UNIQUE INDEX handings_open ON handings (from_id) WHERE closed_on IS NULL;

            CREATE TABLE handing_lines (
                handing_id bigint NOT NULL REFERENCES handings ON DELETE CASCADE,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                -- What they had of it as it began.
                parts jsonb NOT NULL CHECK (jsonb_typeof(parts) = 'array'),
                state text NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'done', 'left')),
                ended_on timestamptz,
                ended_by bigint REFERENCES users,
                -- Why it was left as it is.
                words text CHECK (btrim(words) <> '' AND length(words) <= 1000),
                CHECK ((state = 'open') = (ended_on IS NULL) AND (state = 'open') = (ended_by IS NULL)),
                CHECK ((state = 'left') = (words IS NOT NULL)),
                PRIMARY KEY (handing_id, account_id)
            );
            SQL);
    }
};
