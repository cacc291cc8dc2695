<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is asked of registrars by wire or bridge, and what they say. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            -- What the outside is told is written down before it is told. By the machine's clock.
            CREATE TABLE orders (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
                docket_line_id bigint REFERENCES docket_lines ON DELETE SET NULL,
                kind text NOT NULL
                    CHECK (kind IN ('hand_over', 'cancel_handover', 'lock_on', 'lock_off', 'auto_renew_on', 'auto_renew_off',
                        'auth_code', 'servers', 'keys', 'records', 'disclose', 'registrant', 'transfer', 'cancel_transfer',
                        'approve_transfer', 'refuse_transfer')),
                -- Whether its end is the line's; else it is a step before.
                ends_line boolean NOT NULL DEFAULT true,
                -- Not told before this one is done; it may be another account's.
                after_id bigint REFERENCES orders ON DELETE CASCADE CHECK (after_id < id),
                -- Or, where that is enough, before it is under way.
                after_pending boolean NOT NULL DEFAULT false,
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
            CREATE INDEX orders_after ON orders (after_id) WHERE after_id IS NOT NULL;
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
                kind text CHECK (kind IN ('handover', 'transfer', 'action')),
                state text,
                receiver text,
                taken_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                applied_at timestamptz,
                -- The id that we told it with.
                transaction text,
                UNIQUE (account_id, message)
            );
            CREATE INDEX gate_messages_new ON gate_messages (account_id, id) WHERE applied_at IS NULL;

            CREATE TABLE setbacks (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                kind text NOT NULL
                    CHECK (kind IN ('docket', 'docket_line', 'acceptance', 'confirmation', 'order', 'message', 'letter', 'mailbox',
                        'look', 'import', 'standing')),
                subject_id bigint NOT NULL,
                -- Where it is said, beside the page of all.
                account_id bigint REFERENCES accounts ON DELETE CASCADE,
                docket_id bigint REFERENCES dockets ON DELETE CASCADE,
                name_id bigint REFERENCES names ON DELETE CASCADE,
                error text NOT NULL CHECK (length(error) BETWEEN 1 AND 1000),
                failures integer NOT NULL DEFAULT 1 CHECK (failures > 0),
                first_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                last_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                retry_at timestamptz NOT NULL,
                UNIQUE (kind, subject_id)
            );
            CREATE INDEX setbacks_of_account ON setbacks (account_id) WHERE account_id IS NOT NULL;
            CREATE INDEX setbacks_of_docket ON setbacks (docket_id) WHERE docket_id IS NOT NULL;
            CREATE INDEX setbacks_of_name ON setbacks (name_id) WHERE name_id IS NOT NULL;
            SQL);
    }
};
