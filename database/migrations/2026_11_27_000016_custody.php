<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Who can get into an account, who holds what opens it, whose card pays, and the way back in. */
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
    created_at timestamptz NOT NULL DEFAULT clock_timestamp(), updated_at timestamptz
);
CREATE UNIQUE INDEX custodians_name ON custodians (lower(name));

CREATE TABLE custodies (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    account_id bigint NOT NULL REFERENCES accounts ON DELETE CASCADE,
    custodian_id bigint NOT NULL REFERENCES custodians ON DELETE RESTRICT,
    part text NOT NULL CHECK (part IN ('signs_in', 'second_factor', 'card', 'way_back')),
    -- Of a card, the last day on which it pays.
    good_until timestamptz CHECK (good_until IS NULL OR part = 'card'),
    span tstzrange NOT NULL CHECK (NOT isempty(span)),
    created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
    EXCLUDE USING gist (account_id WITH =, custodian_id WITH =, part WITH =, span WITH &&)
);
CREATE INDEX custodies_account ON custodies (account_id) WHERE upper_inf(span);
CREATE INDEX custodies_custodian ON custodies (custodian_id) WHERE upper_inf(span);

ALTER TABLE accounts
    -- Where the registrar's letters go, where that is not the login mailbox.
    ADD letters_to text CHECK (length(letters_to) <= 320),
    -- How one gets in again once nobody can: recovery codes in the safe, a form, a telephone number.
    ADD way_back text CHECK (length(way_back) <= 1000),
    -- The web host's panel is behind the same login.
    ADD hosts_too boolean NOT NULL DEFAULT false;
SQL);
    }
};
