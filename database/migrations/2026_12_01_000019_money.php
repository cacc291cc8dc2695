<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What accounts pay from, what they hold, what was charged there, and what is planned to be paid in. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            -- In which order a registrar charges what falls on one day, and on which days after the first attempt it tries again.
            ALTER TABLE registrars
                ADD charge_order text NOT NULL DEFAULT 'ends' CHECK (charge_order IN ('ends', 'name', 'dearest_first', 'cheapest_first')),
                ADD charge_retries jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(charge_retries) = 'array');

            -- What is asked of a client on top of what was laid out for them.
            ALTER TABLE clients
                ADD surcharge_percent numeric(5, 2) NOT NULL DEFAULT 0 CHECK (surcharge_percent BETWEEN 0 AND 500),
                ADD surcharge_each numeric CHECK (surcharge_each >= 0 AND scale(surcharge_each) <= 4 AND surcharge_each < 1000000),
                ADD surcharge_currency char(3) CHECK (surcharge_currency ~ '^[A-Z]{3}$'),
                ADD CHECK ((surcharge_each IS NULL) = (surcharge_currency IS NULL));

            ALTER TABLE accounts
                ADD paid_from text NOT NULL DEFAULT 'balance' CHECK (paid_from IN ('balance', 'card', 'invoice')),
                -- From this day its card is no longer good.
                ADD card_ends_on date;

            ALTER TABLE orders DROP CONSTRAINT orders_kind_check, ADD CONSTRAINT orders_kind_check
                CHECK (kind IN ('hand_over', 'cancel_handover', 'lock_on', 'lock_off', 'auto_renew_on', 'auto_renew_off', 'auth_code',
                    'servers', 'keys', 'records', 'disclose', 'registrant', 'transfer', 'cancel_transfer', 'approve_transfer',
                    'refuse_transfer', 'renew')),
                -- What its registrar says beside yes: the end that it has now, what was charged, what is left of the balance.
                ADD told jsonb CHECK (jsonb_typeof(told) = 'object');

            ALTER TABLE gate_messages DROP CONSTRAINT gate_messages_kind_check, ADD CONSTRAINT gate_messages_kind_check
                CHECK (kind IN ('handover', 'transfer', 'action', 'charge')),
                -- Of a charge: what was charged, or could not be, and what is left.
                ADD told jsonb CHECK (jsonb_typeof(told) = 'object');

            CREATE INDEX gate_messages_charge ON gate_messages (name_id, id) WHERE kind = 'charge';

            -- What an account held, each time somebody said so. Only added to; the latest counts.
            CREATE TABLE balances (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                amount numeric NOT NULL CHECK (scale(amount) <= 4 AND abs(amount) < 10000000000),
                currency char(3) NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
                said_on timestamptz NOT NULL,
                source text NOT NULL CHECK (source IN ('hand', 'registrar')),
                said_by bigint REFERENCES users,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                CHECK ((source = 'hand') = (said_by IS NOT NULL))
            );
            CREATE INDEX balances_latest ON balances (account_id, id);

            -- What was charged, paid in or paid back, at an account. Only added to: what was wrong is put right by another entry.
            CREATE TABLE ledger (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                name_id bigint REFERENCES names ON DELETE RESTRICT,
                kind text NOT NULL CHECK (kind IN ('add', 'renew', 'transfer', 'restore', 'late', 'top_up', 'refund', 'other')),
                -- Below nothing: charged. Above: paid in, or paid back.
                amount numeric NOT NULL CHECK (scale(amount) <= 4 AND abs(amount) < 10000000000),
                currency char(3) NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
                charged_on timestamptz NOT NULL,
                -- Who says so: the registrar in its answer or in a message, a statement of it, or we, who ordered it.
                source text NOT NULL CHECK (source IN ('answer', 'message', 'statement', 'docket', 'hand')),
                docket_line_id bigint REFERENCES docket_lines ON DELETE RESTRICT,
                -- The registrar's own number of it.
                reference text CHECK (length(reference) BETWEEN 1 AND 200),
                words text NOT NULL DEFAULT '' CHECK (length(words) <= 500),
                entered_by bigint REFERENCES users,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp()
            );
            CREATE INDEX ledger_account ON ledger (account_id, charged_on DESC, id DESC);
            CREATE INDEX ledger_name ON ledger (name_id) WHERE name_id IS NOT NULL;
            CREATE INDEX ledger_line ON ledger (docket_line_id) WHERE docket_line_id IS NOT NULL;
            CREATE UNIQUE INDEX ledger_reference ON ledger (account_id, reference) WHERE reference IS NOT NULL;

            -- What was about to be charged, as it was worked out beforehand; compared with the ledger afterwards.
            CREATE TABLE expected_charges (
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
                due_on date NOT NULL,
                until_on date NOT NULL CHECK (until_on >= due_on),
                ends_on date NOT NULL,
                amount numeric NOT NULL CHECK (amount >= 0 AND scale(amount) <= 4 AND amount < 10000000000),
                currency char(3) NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
                kept_on timestamptz NOT NULL,
                PRIMARY KEY (name_id, ends_on)
            );
            CREATE INDEX expected_charges_account ON expected_charges (account_id, due_on);

            -- Lines of registrars' statements, and the entry that each is, so that none counts twice.
            CREATE TABLE statement_lines (
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                reference text NOT NULL CHECK (length(reference) BETWEEN 1 AND 200),
                ledger_id bigint NOT NULL UNIQUE REFERENCES ledger ON DELETE RESTRICT,
                PRIMARY KEY (account_id, reference)
            );

            -- What a line costs with tax, and which account pays it: so that two deeds don't spend the same money.
            ALTER TABLE docket_lines
                ADD costs numeric CHECK (costs >= 0 AND scale(costs) <= 4 AND costs < 10000000000),
                ADD costs_currency char(3) CHECK (costs_currency ~ '^[A-Z]{3}$'),
                ADD paying_account_id bigint REFERENCES accounts ON DELETE RESTRICT,
                ADD CHECK (num_nulls(costs, costs_currency, paying_account_id) IN (0, 3));
            CREATE INDEX docket_lines_to_pay ON docket_lines (paying_account_id)
                WHERE paying_account_id IS NOT NULL AND state IN ('waiting', 'begun');

            CREATE TABLE top_ups (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                planned_for date NOT NULL,
                amount numeric NOT NULL CHECK (amount > 0 AND scale(amount) <= 4 AND amount < 10000000000),
                currency char(3) NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
                planned_by bigint NOT NULL REFERENCES users,
                planned_on timestamptz NOT NULL,
                -- planned, or how it ended.
                state text NOT NULL DEFAULT 'planned' CHECK (state IN ('planned', 'paid', 'withdrawn')),
                ended_on timestamptz,
                ended_by bigint REFERENCES users,
                CHECK ((state = 'planned') = (ended_on IS NULL))
            );
            CREATE INDEX top_ups_planned ON top_ups (account_id, planned_for) WHERE state = 'planned';

            -- Accounts whose money doesn't reach, as they were last run forward: what Rounds reads.
            CREATE TABLE shortages (
                account_id bigint NOT NULL REFERENCES accounts ON DELETE CASCADE,
                currency char(3) NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
                first_on date NOT NULL,
                refused integer NOT NULL CHECK (refused > 0),
                charged integer NOT NULL CHECK (charged >= refused),
                -- Null: it pays by card, which expires.
                missing numeric CHECK (missing > 0),
                ascii text NOT NULL,
                made_on timestamptz NOT NULL,
                PRIMARY KEY (account_id, currency)
            );
            CREATE INDEX shortages_first ON shortages (first_on);

            CREATE OR REPLACE FUNCTION only_added_to() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                RAISE EXCEPTION '% is only added to', TG_TABLE_NAME USING ERRCODE = 'check_violation';
            END $$;
            CREATE TRIGGER ledger_stays BEFORE UPDATE OR DELETE ON ledger FOR EACH ROW EXECUTE FUNCTION only_added_to();
            CREATE TRIGGER balances_stay BEFORE UPDATE OR DELETE ON balances FOR EACH ROW EXECUTE FUNCTION only_added_to();
            DO $$ BEGIN
                IF EXISTS (SELECT FROM pg_roles WHERE rolname = 'acre_app') THEN
                    REVOKE UPDATE, DELETE ON ledger, balances FROM acre_app;
                END IF;
            END $$;
            SQL);
    }
};
