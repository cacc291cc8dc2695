<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Whom we serve, where names are kept, the names themselves, and who held them when. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
CREATE TABLE clients (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    name text NOT NULL CHECK (btrim(name) <> '' AND length(name) <= 200),
    is_house boolean NOT NULL DEFAULT false,
    mailbox text CHECK (length(mailbox) <= 320),
    remarks text CHECK (length(remarks) <= 4000),
    version integer NOT NULL DEFAULT 1,
    created_at timestamptz, updated_at timestamptz
);
CREATE UNIQUE INDEX clients_name ON clients (lower(name));
CREATE UNIQUE INDEX clients_one_house ON clients (is_house) WHERE is_house;
CREATE INDEX clients_like ON clients USING gin (lower(name) gin_trgm_ops);

CREATE TABLE registrars (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    name text NOT NULL CHECK (btrim(name) <> '' AND length(name) <= 200),
    link text NOT NULL DEFAULT 'slip' CHECK (link IN ('slip', 'wire', 'bridge')),
    receiver_by text NOT NULL DEFAULT 'number_login' CHECK (receiver_by IN ('number_login', 'mailbox_number', 'mailbox', 'handle')),
    confirms text NOT NULL DEFAULT 'receiver' CHECK (confirms IN ('nobody', 'receiver', 'giver_then_receiver', 'receiver_then_giver')),
    names_giver boolean NOT NULL DEFAULT false,
    lock_first boolean NOT NULL DEFAULT false,
    unlock_account_first boolean NOT NULL DEFAULT false,
    accept_days smallint NOT NULL DEFAULT 14 CHECK (accept_days BETWEEN 1 AND 90),
    lot_size integer NOT NULL DEFAULT 1000 CHECK (lot_size BETWEEN 1 AND 10000),
    handover_hold_days smallint NOT NULL DEFAULT 0 CHECK (handover_hold_days BETWEEN 0 AND 365),
    charge_lead_days smallint NOT NULL DEFAULT 0 CHECK (charge_lead_days BETWEEN 0 AND 90),
    dark_after_days smallint CHECK (dark_after_days BETWEEN 0 AND 90),
    plain_after_days smallint CHECK (plain_after_days BETWEEN 0 AND 90),
    late_until_days smallint CHECK (late_until_days BETWEEN 0 AND 90),
    extras jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(extras) = 'object'),
    remarks text CHECK (length(remarks) <= 4000),
    version integer NOT NULL DEFAULT 1,
    created_at timestamptz, updated_at timestamptz,
    CHECK (plain_after_days IS NULL OR late_until_days IS NULL OR plain_after_days <= late_until_days)
);
CREATE UNIQUE INDEX registrars_name ON registrars (lower(name));

CREATE TABLE prices (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    registrar_id bigint NOT NULL REFERENCES registrars ON DELETE RESTRICT,
    suffix text NOT NULL CHECK (suffix = lower(suffix) AND suffix <> ''),
    action text NOT NULL CHECK (action IN ('add', 'renew', 'transfer', 'restore', 'late', 'handover')),
    amount numeric(12, 2) NOT NULL CHECK (amount >= 0),
    currency char(3) NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
    tax_percent numeric(5, 2) NOT NULL DEFAULT 0 CHECK (tax_percent BETWEEN 0 AND 100),
    span tstzrange NOT NULL CHECK (NOT isempty(span)),
    created_at timestamptz, updated_at timestamptz,
    EXCLUDE USING gist (registrar_id WITH =, suffix WITH =, action WITH =, span WITH &&)
);

CREATE TABLE accounts (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    registrar_id bigint NOT NULL REFERENCES registrars ON DELETE RESTRICT,
    number text NOT NULL CHECK (btrim(number) <> '' AND length(number) <= 100),
    login text CHECK (length(login) <= 200),
    mailbox text CHECK (length(mailbox) <= 320),
    handle text CHECK (length(handle) <= 100),
    owner_id bigint REFERENCES clients ON DELETE RESTRICT,
    access text NOT NULL DEFAULT 'ours' CHECK (access IN ('ours', 'theirs')),
    -- The identifiers are known to belong together since then; NULL: unproven.
    proven_at timestamptz,
    remarks text CHECK (length(remarks) <= 4000),
    version integer NOT NULL DEFAULT 1,
    created_at timestamptz, updated_at timestamptz
);
CREATE UNIQUE INDEX accounts_number ON accounts (registrar_id, lower(number));
CREATE INDEX accounts_like ON accounts USING gin (
    (lower(number || ' ' || coalesce(login, '') || ' ' || coalesce(mailbox, '') || ' ' || coalesce(handle, ''))) gin_trgm_ops);
CREATE INDEX accounts_owner ON accounts (owner_id);

CREATE TABLE names (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    ascii text NOT NULL UNIQUE CHECK (ascii = lower(ascii) AND length(ascii) BETWEEN 1 AND 253),
    unicode text NOT NULL,
    suffix text NOT NULL,
    created_at timestamptz, updated_at timestamptz
);

CREATE TABLE registrations (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
    span tstzrange NOT NULL CHECK (NOT isempty(span)),
    -- Facts of time: the instant, and whether only the day was said.
    created_on timestamptz, created_is_day boolean NOT NULL DEFAULT true,
    ends_on timestamptz, ends_is_day boolean NOT NULL DEFAULT true,
    moved_on timestamptz, moved_is_day boolean NOT NULL DEFAULT true,
    statuses jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(statuses) = 'array'),
    lock text NOT NULL DEFAULT 'unknown' CHECK (lock IN ('on', 'off', 'unknown')),
    intent text NOT NULL DEFAULT 'when_told' CHECK (intent IN ('by_itself', 'when_told', 'ask_client', 'lapse')),
    registrant text CHECK (length(registrant) <= 300),
    registrant_mailbox text CHECK (length(registrant_mailbox) <= 320),
    reference text CHECK (length(reference) <= 200),
    raw jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(raw) = 'object'),
    -- Where each fact came from and when: {"ends": {"from": "brought in", "import": 3, "at": "…"}}
    sources jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(sources) = 'object'),
    version integer NOT NULL DEFAULT 1,
    created_at timestamptz, updated_at timestamptz,
    CHECK (ends_on IS NULL OR created_on IS NULL OR ends_on > created_on),
    EXCLUDE USING gist (name_id WITH =, span WITH &&)
);

CREATE TABLE holdings (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
    registration_id bigint NOT NULL REFERENCES registrations ON DELETE RESTRICT,
    account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
    client_id bigint NOT NULL REFERENCES clients ON DELETE RESTRICT,
    span tstzrange NOT NULL CHECK (NOT isempty(span)),
    docket_id bigint,
    created_at timestamptz, updated_at timestamptz,
    EXCLUDE USING gist (name_id WITH =, span WITH &&)
);
CREATE INDEX holdings_account ON holdings (account_id) WHERE upper_inf(span);
CREATE INDEX holdings_client ON holdings (client_id) WHERE upper_inf(span);

CREATE TABLE extras (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    registration_id bigint NOT NULL REFERENCES registrations ON DELETE CASCADE,
    kind text NOT NULL CHECK (kind IN ('privacy', 'mail', 'redirects', 'zone', 'certificate', 'hosting')),
    ends_on timestamptz,
    ended_on timestamptz,
    amount numeric(12, 2) CHECK (amount >= 0),
    currency char(3) CHECK (currency ~ '^[A-Z]{3}$'),
    remarks text CHECK (length(remarks) <= 500),
    created_at timestamptz, updated_at timestamptz
);
CREATE INDEX extras_registration ON extras (registration_id);

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
    phase text NOT NULL,
    intent text NOT NULL,
    lock text NOT NULL,
    registrant text NOT NULL DEFAULT '',
    created_on timestamptz NOT NULL DEFAULT 'infinity',
    ends_on timestamptz NOT NULL DEFAULT 'infinity',
    next_at timestamptz NOT NULL DEFAULT 'infinity',
    next_kind text NOT NULL,
    sum numeric(12, 2),
    currency char(3),
    severity smallint NOT NULL,
    findings jsonb NOT NULL,
    facts jsonb NOT NULL,
    stands_from timestamptz NOT NULL,
    stands_until timestamptz NOT NULL,
    rulebook text NOT NULL
);
CREATE INDEX standings_next ON standings (next_at, name_id);
CREATE INDEX standings_client_next ON standings (client_id, next_at, name_id);
CREATE INDEX standings_registrar_next ON standings (registrar_id, next_at, name_id);
CREATE INDEX standings_account_next ON standings (account_id, next_at, name_id);
CREATE INDEX standings_ends ON standings (ends_on, name_id);
CREATE INDEX standings_client_ends ON standings (client_id, ends_on, name_id);
CREATE INDEX standings_registrar_ends ON standings (registrar_id, ends_on, name_id);
CREATE INDEX standings_account_ends ON standings (account_id, ends_on, name_id);
CREATE INDEX standings_ascii ON standings (ascii, name_id);
CREATE INDEX standings_client_ascii ON standings (client_id, ascii, name_id);
CREATE INDEX standings_registrar_ascii ON standings (registrar_id, ascii, name_id);
CREATE INDEX standings_account_ascii ON standings (account_id, ascii, name_id);
CREATE INDEX standings_like ON standings USING gin (
    (lower(ascii || ' ' || unicode || ' ' || client_name || ' ' || account_number || ' ' || registrant)) gin_trgm_ops);
CREATE INDEX standings_due ON standings (stands_until);
SQL);
    }
};
