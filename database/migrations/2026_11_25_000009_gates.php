<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Registrars that take commands: their gates, what is to be told them, what they told, and the passwords for it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
-- Codes and passwords, encrypted; everything else refers to them by id.
CREATE TABLE secrets (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    kind text NOT NULL CHECK (kind IN ('gate_password', 'auth_code')),
    about text NOT NULL CHECK (length(about) <= 300),
    value text NOT NULL,
    created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
    replaced_at timestamptz
);

-- Where a registrar by wire takes EPP: `host:port`, a host that is listed.
ALTER TABLE registrars ADD gate text CHECK (gate ~ '^[a-z0-9.-]+:[0-9]{1,5}$');
ALTER TABLE registrars ADD CONSTRAINT registrars_gate CHECK (link <> 'wire' OR gate IS NOT NULL);
ALTER TABLE accounts ADD gate_secret_id bigint REFERENCES secrets ON DELETE SET NULL;

-- What the outside is told is written down before it is told. By the machine's clock.
CREATE TABLE orders (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
    name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
    docket_line_id bigint REFERENCES docket_lines ON DELETE SET NULL,
    kind text NOT NULL,
    -- Whether its end is the line's; else it is a step before.
    ends_line boolean NOT NULL DEFAULT true,
    terms jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(terms) = 'object' OR terms = '[]'),
    transaction text NOT NULL UNIQUE CHECK (length(transaction) BETWEEN 3 AND 64),
    -- waiting: not told yet; sent: told, and not answered yet; pending: taken, and waits for somebody; the rest are ends.
    state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'sent', 'pending', 'done', 'refused', 'called_off')),
    attempts smallint NOT NULL DEFAULT 0,
    not_before timestamptz NOT NULL DEFAULT clock_timestamp(),
    sent_at timestamptz,
    answered_at timestamptz,
    code smallint,
    answer text CHECK (length(answer) <= 2000),
    created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
    CHECK (state = 'waiting' OR state = 'called_off' OR sent_at IS NOT NULL)
);
CREATE INDEX orders_to_tell ON orders (account_id, id) WHERE state IN ('waiting', 'sent');
CREATE INDEX orders_pending ON orders (name_id) WHERE state = 'pending';
CREATE INDEX orders_line ON orders (docket_line_id);

-- What a gate had waiting for an account; acknowledged once it stands here.
CREATE TABLE gate_messages (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    account_id bigint NOT NULL REFERENCES accounts ON DELETE CASCADE,
    message text NOT NULL,
    said_at timestamptz,
    text text NOT NULL DEFAULT '',
    body text NOT NULL DEFAULT '',
    name_id bigint REFERENCES names ON DELETE SET NULL,
    -- Of a handover or a transfer: how it stands, and to which account.
    kind text CHECK (kind IN ('handover', 'transfer')),
    state text,
    receiver text,
    taken_at timestamptz NOT NULL DEFAULT clock_timestamp(),
    applied_at timestamptz,
    UNIQUE (account_id, message)
);
-- When the public record was first seen to show what a line did.
ALTER TABLE docket_lines ADD seen_on timestamptz;
CREATE INDEX docket_lines_unseen ON docket_lines (name_id) WHERE state = 'done' AND seen_on IS NULL;
CREATE INDEX gate_messages_new ON gate_messages (account_id, id) WHERE applied_at IS NULL;
SQL);
    }
};
