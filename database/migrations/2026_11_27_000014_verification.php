<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Whether registrants' mailboxes are verified, by when they must be, and the letters that ask. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            -- When its registrant last became another one, or another name,
            organisation or mailbox of the same; null: never as far as is known.
            ALTER TABLE registrations ADD registrant_changed_on timestamptz;

            -- One answer serves every name that carries it.
            ALTER TABLE mailboxes ADD verified_on timestamptz,
                ADD verified_by text CHECK (verified_by IN ('letter', 'call', 'registrar')),
                ADD verified_words text CHECK (length(verified_words) <= 1000),
                ADD verified_user_id bigint REFERENCES users ON DELETE SET NULL,
                ADD CONSTRAINT mailboxes_verified CHECK ((verified_on IS NULL) = (verified_by IS NULL));

            -- Who asks a registrant to verify: the registrar with letters of its own, or the house.
            ALTER TABLE registrars ADD verifies_by text NOT NULL DEFAULT 'registrar' CHECK (verifies_by IN ('registrar', 'house')),
                ADD verification_sender text CHECK (length(verification_sender) <= 300);

            ALTER TABLE standings ADD verify_by timestamptz NOT NULL DEFAULT 'infinity';
            CREATE INDEX standings_verify ON standings (verify_by, name_id) WHERE verify_by < 'infinity';

            -- What somebody said is wrong of the data that they were asked to confirm.
            CREATE TABLE objections (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                mailbox_id bigint NOT NULL REFERENCES mailboxes ON DELETE CASCADE,
                words text NOT NULL CHECK (btrim(words) <> '' AND length(words) <= 1000),
                said_on timestamptz NOT NULL,
                settled_on timestamptz,
                settled_by bigint REFERENCES users ON DELETE SET NULL,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp()
            );
            CREATE INDEX objections_open ON objections (mailbox_id) WHERE settled_on IS NULL;

            ALTER TABLE letters DROP CONSTRAINT letters_kind_check,
            ADD CONSTRAINT letters_kind_check CHECK (kind IN ('morning', 'alarm', 'acceptance', 'verification')),
                ADD mailbox_id bigint REFERENCES mailboxes ON DELETE CASCADE,
                DROP CONSTRAINT letters_belong, ADD CONSTRAINT letters_belong CHECK (user_id IS NOT NULL OR docket_id IS NOT NULL
                OR mailbox_id IS NOT NULL);
            -- Each asking once: at first, and as the day nears.
            CREATE UNIQUE INDEX letters_asking ON letters (mailbox_id, about) WHERE kind = 'verification';

            DROP INDEX links_one_open;
            ALTER TABLE links DROP CONSTRAINT links_purpose_check,
            ADD CONSTRAINT links_purpose_check CHECK (purpose IN ('accept_handover', 'verify_mailbox')),
                ALTER docket_id DROP NOT NULL, ALTER docket_version DROP NOT NULL,
                ADD mailbox_id bigint REFERENCES mailboxes ON DELETE CASCADE,
                ADD CONSTRAINT links_of CHECK (num_nonnulls(docket_id, mailbox_id) = 1 AND (docket_id IS NULL) = (docket_version IS NULL));
            CREATE UNIQUE INDEX links_one_docket ON links (purpose, docket_id)
            WHERE used_at IS NULL AND withdrawn_at IS NULL AND docket_id IS NOT NULL;
            CREATE UNIQUE INDEX links_one_mailbox ON links (purpose, mailbox_id)
            WHERE used_at IS NULL AND withdrawn_at IS NULL AND mailbox_id IS NOT NULL;
            SQL
            ,
        );
    }
};
