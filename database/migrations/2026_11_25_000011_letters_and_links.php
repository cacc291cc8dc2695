<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Letters to those outside the house, what became of each, and the links in them. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE secrets DROP CONSTRAINT secrets_kind_check,
            ADD CONSTRAINT secrets_kind_check CHECK (kind IN ('gate_password', 'auth_code', 'link'));

            ALTER TABLE registrars DROP CONSTRAINT registrars_gate,
            ADD CONSTRAINT registrars_gate CHECK (link = 'slip' OR gate IS NOT NULL);

            -- How many commands a minute a registrar takes at its gate; null: it has not said.
            ALTER TABLE registrars ADD gate_a_minute integer CHECK (gate_a_minute BETWEEN 1 AND 60000);

            -- The code with which a name goes to another registrar: where it is kept, and since when.
            CREATE TABLE auth_codes (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                secret_id bigint NOT NULL UNIQUE REFERENCES secrets,
                got_on timestamptz NOT NULL,
                got_from text NOT NULL CHECK (got_from IN ('registrar', 'typed')),
                created_at timestamptz, updated_at timestamptz
            );

            -- Where a receiver says yes: on the registrar's own page, or in answer to a letter of ours, before anything moves.
            ALTER TABLE registrars ADD accepts_by text NOT NULL DEFAULT 'page' CHECK (accepts_by IN ('page', 'letter'));

            -- Written before they are sent, like orders. By the machine's clock, but for the day on which a letter was written.
            ALTER TABLE letters ALTER user_id DROP NOT NULL, DROP CONSTRAINT letters_kind_check,
                ADD CONSTRAINT letters_kind_check CHECK (kind IN ('morning', 'alarm', 'acceptance')),
                ADD docket_id bigint REFERENCES dockets ON DELETE CASCADE,
                -- waiting: to be sent; sending: marked, and not answered yet; sent: taken by the post; refused: the post would not take it;
                -- doubtful: the post fell silent after all of it was said; returned: taken, and sent back; kept: there is no post.
                ADD state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'sending', 'sent', 'refused', 'doubtful',
                'returned', 'kept')),
                -- The same at every try, so that whoever gets it twice knows it for the same (RFC 5322 §3.6.4).
                ADD message_id text UNIQUE CHECK (length(message_id) <= 200),
                ADD attempts smallint NOT NULL DEFAULT 0,
                ADD doubts smallint NOT NULL DEFAULT 0,
                ADD not_before timestamptz NOT NULL DEFAULT clock_timestamp(),
                ADD answer text CHECK (length(answer) <= 1000),
                -- The link that belongs where the body says so, until it was sent.
                ADD secret_id bigint REFERENCES secrets ON DELETE SET NULL,
                ADD CONSTRAINT letters_belong CHECK (user_id IS NOT NULL OR docket_id IS NOT NULL);
            UPDATE letters SET state = 'sent' WHERE sent_at IS NOT NULL;
            CREATE INDEX letters_to_send ON letters (not_before, id) WHERE state IN ('waiting', 'sending', 'doubtful');
            CREATE INDEX letters_docket ON letters (docket_id, id) WHERE docket_id IS NOT NULL;

            -- Links in letters: only a digest stands here. By the machine's clock.
            CREATE TABLE links (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                purpose text NOT NULL CHECK (purpose IN ('accept_handover')),
                digest char(64) NOT NULL UNIQUE CHECK (digest ~ '^[0-9a-f]{64}$'),
                mailbox text NOT NULL,
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE CASCADE,
                docket_version integer NOT NULL,
                misses smallint NOT NULL DEFAULT 0,
                expires_at timestamptz NOT NULL,
                used_at timestamptz,
                withdrawn_at timestamptz,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp()
            );
            CREATE UNIQUE INDEX links_one_open ON links (purpose, docket_id) WHERE used_at IS NULL AND withdrawn_at IS NULL;

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
                created_at timestamptz, updated_at timestamptz,
                CHECK ((answered_on IS NULL) = (accepted IS NULL))
            );
            CREATE INDEX acceptances_to_carry ON acceptances (docket_id) WHERE answered_on IS NOT NULL AND carried_at IS NULL;
            SQL
            ,
        );
    }
};
