<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Dockets with their lines, how names move, and who has to say yes. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE dockets (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                token uuid NOT NULL UNIQUE,
                deed text NOT NULL,
                state text NOT NULL CHECK (state IN ('prepared', 'settled', 'closed', 'called_off')),
                terms jsonb NOT NULL CHECK (jsonb_typeof(terms) = 'object'),
                digest text NOT NULL,
                prepared_by bigint NOT NULL REFERENCES users,
                prepared_on timestamptz NOT NULL,
                settled_by bigint REFERENCES users,
                settled_on timestamptz,
                closed_on timestamptz,
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz,
                updated_at timestamptz,
                CHECK (state NOT IN ('settled', 'closed') OR settled_on IS NOT NULL),
                CHECK (state NOT IN ('closed', 'called_off') OR closed_on IS NOT NULL)
            );
            ALTER TABLE holdings ADD CONSTRAINT holdings_docket FOREIGN KEY (docket_id) REFERENCES dockets;
            ALTER TABLE roles ADD FOREIGN KEY (docket_id) REFERENCES dockets ON DELETE SET NULL;
            CREATE INDEX dockets_state ON dockets (state, id);

            CREATE TABLE docket_lines (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE CASCADE,
                name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
                giving_account_id bigint REFERENCES accounts,
                position integer NOT NULL,
                lot integer NOT NULL DEFAULT 0,
                -- prepared: waits for a Steward; waiting: settled, not yet begun; begun: out on its slip; the rest are ends.
                state text NOT NULL CHECK (state IN ('prepared', 'waiting', 'begun', 'done', 'stopped', 'refused', 'called_off')),
                findings jsonb NOT NULL DEFAULT '[]',
                reason text CHECK (length(reason) <= 1000),
                done_on timestamptz,
                done_is_day boolean NOT NULL DEFAULT true,
                done_by bigint REFERENCES users,
                before jsonb,
                after jsonb,
                created_at timestamptz,
                updated_at timestamptz,
                was jsonb CHECK (jsonb_typeof(was) = 'object' OR was = '[]'),
                -- When the public record was first seen to show what a line did.
                seen_on timestamptz,
                CHECK (state <> 'done' OR done_on IS NOT NULL),
                UNIQUE (docket_id, name_id)
            );
            CREATE INDEX docket_lines_open ON docket_lines (docket_id, state, position);
            CREATE INDEX docket_lines_name ON docket_lines (name_id, docket_id);
            CREATE INDEX docket_lines_unseen ON docket_lines (name_id) WHERE state = 'done' AND seen_on IS NULL;
            CREATE INDEX docket_lines_unended ON docket_lines (name_id, docket_id) INCLUDE (state) WHERE state IN ('begun',
                'prepared');

            CREATE TABLE endings (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE CASCADE,
                user_id bigint NOT NULL REFERENCES users,
                how text NOT NULL CHECK (how IN ('done', 'refused', 'called_off', 'waiting_called_off')),
                -- The day on which the registrar's page showed it.
                done_on date,
                reason text CHECK (length(reason) <= 1000),
                -- Null: whatever is open.
                lines bigint[],
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                ended_at timestamptz,
                -- Why it could not go on, for whoever asked.
                failure text CHECK (length(failure) <= 1000),
                CHECK ((how = 'done') = (done_on IS NOT NULL)),
                CHECK ((how = 'refused') = (reason IS NOT NULL))
            );
            CREATE INDEX endings_open ON endings (docket_id) WHERE ended_at IS NULL;

            CREATE TABLE movements (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE CASCADE,
                kind text NOT NULL CHECK (kind IN ('handover', 'transfer', 'registrant')),
                opened_on timestamptz NOT NULL,
                expected_by timestamptz,
                closed_on timestamptz,
                created_at timestamptz,
                updated_at timestamptz
            );
            -- One open movement a name: of two at once, one is refused here.
            CREATE UNIQUE INDEX movements_one_open ON movements (name_id) WHERE closed_on IS NULL;
            CREATE INDEX movements_docket ON movements (docket_id);

            -- One side's word on a docket: its new registrant's once, a prior one's for all names that they held.
            CREATE TABLE confirmations (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE CASCADE,
                side text NOT NULL CHECK (side IN ('prior', 'new')),
                contact_id bigint NOT NULL REFERENCES contacts ON DELETE RESTRICT,
                mailbox text NOT NULL,
                asked_on timestamptz NOT NULL,
                answered_on timestamptz,
                confirmed boolean,
                words text CHECK (length(words) <= 1000),
                -- Once every name that waited for it goes on, or has ended.
                carried_at timestamptz,
                created_at timestamptz,
                updated_at timestamptz,
                version_id bigint REFERENCES contact_versions ON DELETE SET NULL,
                CHECK ((answered_on IS NULL) = (confirmed IS NULL)),
                UNIQUE (docket_id, side, contact_id)
            );
            CREATE INDEX confirmations_to_carry ON confirmations (id) WHERE answered_on IS NOT NULL AND carried_at IS NULL;

            CREATE TABLE legs (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                movement_id bigint NOT NULL REFERENCES movements ON DELETE CASCADE,
                position smallint NOT NULL,
                kind text NOT NULL
                    CHECK (kind IN ('unlock_account', 'lift_lock', 'offer', 'confirm', 'accept', 'lock_account', 'set_lock',
                        'confirm_prior', 'confirm_new', 'registrant', 'renew_off', 'code', 'hand_out', 'tag', 'order', 'answer',
                        'arrive', 'verify', 'renew_on', 'compare')),
                actor text NOT NULL
                    CHECK (actor IN ('house', 'client', 'giver', 'receiver', 'registrar', 'registry', 'host', 'time')),
                due_by timestamptz,
                -- When it usually is over; null: nobody knows better.
                likely_by timestamptz,
                done_on timestamptz,
                created_at timestamptz,
                updated_at timestamptz,
                -- Whose word a leg waits for.
                confirmation_id bigint REFERENCES confirmations ON DELETE RESTRICT,
                UNIQUE (movement_id, position)
            );
            CREATE INDEX legs_waiting ON legs (confirmation_id, movement_id) WHERE confirmation_id IS NOT NULL AND done_on IS NULL;
            CREATE INDEX legs_locks ON legs (movement_id) WHERE kind = 'set_lock' AND done_on IS NULL;
            CREATE INDEX legs_accounts_locked ON legs (movement_id) WHERE kind = 'lock_account' AND done_on IS NULL;

            -- The receiver's word on a docket, where a letter asks for it.
            CREATE TABLE acceptances (
                docket_id bigint PRIMARY KEY REFERENCES dockets ON DELETE CASCADE,
                account_id bigint NOT NULL REFERENCES accounts,
                mailbox text NOT NULL,
                asked_on timestamptz NOT NULL,
                answered_on timestamptz,
                accepted boolean,
                words text CHECK (length(words) <= 1000),
                -- Once what it lets begin has begun for every name.
                carried_at timestamptz,
                created_at timestamptz,
                updated_at timestamptz,
                CHECK ((answered_on IS NULL) = (accepted IS NULL))
            );
            CREATE INDEX acceptances_to_carry ON acceptances (docket_id) WHERE answered_on IS NOT NULL AND carried_at IS NULL;

            CREATE TABLE agreements (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE RESTRICT,
                contact_id bigint NOT NULL REFERENCES contacts ON DELETE RESTRICT,
                words text NOT NULL CHECK (btrim(words) <> '' AND length(words) <= 2000),
                authority text NOT NULL CHECK (btrim(authority) <> '' AND length(authority) <= 1000),
                accepted_on timestamptz NOT NULL,
                user_id bigint REFERENCES users ON DELETE SET NULL,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                UNIQUE (docket_id, contact_id)
            );

            -- On whose word more is shown: kept for good.
            CREATE TABLE consents (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                contact_id bigint NOT NULL REFERENCES contacts ON DELETE RESTRICT,
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE RESTRICT,
                fields jsonb NOT NULL CHECK (jsonb_typeof(fields) = 'array'),
                words text NOT NULL CHECK (btrim(words) <> '' AND length(words) <= 2000),
                given_on timestamptz NOT NULL,
                user_id bigint REFERENCES users ON DELETE SET NULL,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                UNIQUE (docket_id, contact_id)
            );
            CREATE INDEX consents_contact ON consents (contact_id);
            SQL);
    }
};
