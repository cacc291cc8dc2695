<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Both sides say yes to another registrant by letter, before anybody outside is told. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
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
                created_at timestamptz, updated_at timestamptz,
                UNIQUE (docket_id, side, contact_id),
                CHECK ((answered_on IS NULL) = (confirmed IS NULL))
            );
            CREATE INDEX confirmations_to_carry ON confirmations (id) WHERE answered_on IS NOT NULL AND carried_at IS NULL;

            ALTER TABLE movements DROP CONSTRAINT movements_kind_check, ADD CONSTRAINT movements_kind_check CHECK (kind IN ('handover', 'transfer', 'registrant'));
            -- Whose word a leg waits for.
            ALTER TABLE legs ADD confirmation_id bigint REFERENCES confirmations ON DELETE RESTRICT;
            CREATE INDEX legs_waiting ON legs (confirmation_id, movement_id) WHERE confirmation_id IS NOT NULL AND done_on IS NULL;

            ALTER TABLE letters DROP CONSTRAINT letters_kind_check, ADD CONSTRAINT letters_kind_check CHECK (kind IN ('morning', 'alarm', 'acceptance', 'verification', 'yearly', 'confirmation')),
                ADD confirmation_id bigint REFERENCES confirmations ON DELETE CASCADE;

            DROP INDEX links_one_docket;
            ALTER TABLE links DROP CONSTRAINT links_purpose_check, ADD CONSTRAINT links_purpose_check CHECK (purpose IN ('accept_handover', 'verify_mailbox', 'confirm_registrant')),
                ADD confirmation_id bigint REFERENCES confirmations ON DELETE CASCADE,
                ADD CONSTRAINT links_confirm CHECK ((purpose = 'confirm_registrant') = (confirmation_id IS NOT NULL));
            CREATE UNIQUE INDEX links_one_docket ON links (purpose, docket_id) WHERE used_at IS NULL AND withdrawn_at IS NULL AND docket_id IS NOT NULL AND confirmation_id IS NULL;
            CREATE UNIQUE INDEX links_one_confirmation ON links (confirmation_id) WHERE used_at IS NULL AND withdrawn_at IS NULL AND confirmation_id IS NOT NULL;
            SQL
            ,
        );
    }
};
