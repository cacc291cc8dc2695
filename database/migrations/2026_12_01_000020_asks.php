<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What clients are asked before their names end, and what they say. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE asks (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                client_id bigint NOT NULL REFERENCES clients ON DELETE RESTRICT,
                mailbox text NOT NULL CHECK (btrim(mailbox) <> '' AND length(mailbox) <= 320),
                asked_by bigint NOT NULL REFERENCES users,
                asked_on timestamptz NOT NULL,
                answer_by date NOT NULL,
                reminded_on date,
                -- open; answered; silent: its day is past, and the house's rule was applied; withdrawn.
                state text NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'answered', 'silent', 'withdrawn')),
                ended_on timestamptz,
                CHECK ((state = 'open') = (ended_on IS NULL))
            );
            -- One letter for all of a client's names.
            CREATE UNIQUE INDEX asks_open ON asks (client_id) WHERE state = 'open';
            CREATE INDEX asks_client ON asks (client_id, id);

            CREATE TABLE ask_lines (
                ask_id bigint NOT NULL REFERENCES asks ON DELETE CASCADE,
                name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
                position smallint NOT NULL,
                -- As the client was told.
                ends_on date NOT NULL,
                price numeric CHECK (price >= 0 AND scale(price) <= 4 AND price < 10000000000),
                currency char(3) CHECK (currency ~ '^[A-Z]{3}$'),
                answer text CHECK (answer IN ('keep', 'lapse')),
                years smallint CHECK (years BETWEEN 1 AND 10),
                -- The docket that renews it.
                docket_id bigint REFERENCES dockets ON DELETE SET NULL,
                PRIMARY KEY (ask_id, name_id),
                CHECK ((price IS NULL) = (currency IS NULL)),
                CHECK ((answer IS NOT DISTINCT FROM 'keep') = (years IS NOT NULL))
            );
            CREATE INDEX ask_lines_name ON ask_lines (name_id, ask_id);

            ALTER TABLE links ADD ask_id bigint REFERENCES asks ON DELETE CASCADE;
            ALTER TABLE links DROP CONSTRAINT links_purpose_check, ADD CONSTRAINT links_purpose_check
                CHECK (purpose IN ('accept_handover', 'verify_mailbox', 'confirm_registrant', 'set_password', 'receive_codes',
                    'answer_renewals'));
            ALTER TABLE links DROP CONSTRAINT links_of, ADD CONSTRAINT links_of
                CHECK (num_nonnulls(docket_id, mailbox_id, user_id, ask_id) = 1 AND (docket_id IS NULL) = (docket_version IS NULL)
                    AND (purpose = 'set_password') = (user_id IS NOT NULL) AND (purpose = 'answer_renewals') = (ask_id IS NOT NULL));
            CREATE UNIQUE INDEX links_one_ask ON links (ask_id) WHERE used_at IS NULL AND withdrawn_at IS NULL AND ask_id IS NOT NULL;

            ALTER TABLE letter_texts DROP CONSTRAINT letter_texts_kind_check, ADD CONSTRAINT letter_texts_kind_check
                CHECK (kind IN ('verification_first', 'verification_reminder', 'confirmation_prior', 'confirmation_new', 'acceptance',
                    'yearly', 'codes', 'renewals_first', 'renewals_reminder'));

            ALTER TABLE letters ADD ask_id bigint REFERENCES asks ON DELETE CASCADE;
            ALTER TABLE letters DROP CONSTRAINT letters_kind_check, ADD CONSTRAINT letters_kind_check
                CHECK (kind IN ('morning', 'alarm', 'acceptance', 'verification', 'yearly', 'confirmation', 'invitation',
                    'password', 'way_in', 'codes', 'renewals'));
            ALTER TABLE letters DROP CONSTRAINT letters_belong, ADD CONSTRAINT letters_belong
                CHECK (num_nonnulls(user_id, docket_id, mailbox_id, ask_id) > 0);
            CREATE UNIQUE INDEX letters_ask ON letters (ask_id, about) WHERE ask_id IS NOT NULL;
            SQL);
    }
};
