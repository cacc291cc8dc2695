<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Letters to clients around the end of their names. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            -- Whether a client is written to before names of theirs end that nobody renews by itself.
            ALTER TABLE clients ADD end_letters boolean NOT NULL DEFAULT false;

            ALTER TABLE letters ADD client_id bigint REFERENCES clients ON DELETE CASCADE;
            ALTER TABLE letters DROP CONSTRAINT letters_belong, ADD CONSTRAINT letters_belong
                CHECK (num_nonnulls(user_id, docket_id, mailbox_id, ask_id, client_id) > 0);
            ALTER TABLE letters DROP CONSTRAINT letters_kind_check, ADD CONSTRAINT letters_kind_check
                CHECK (kind IN ('morning', 'alarm', 'acceptance', 'verification', 'yearly', 'confirmation', 'invitation',
                    'password', 'way_in', 'codes', 'renewals', 'ending'));
            CREATE INDEX letters_client ON letters (client_id, id) WHERE client_id IS NOT NULL;
            ALTER TABLE letter_texts DROP CONSTRAINT letter_texts_kind_check, ADD CONSTRAINT letter_texts_kind_check
                CHECK (kind IN ('verification_first', 'verification_reminder', 'confirmation_prior', 'confirmation_new', 'acceptance',
                    'yearly', 'codes', 'renewals_first', 'renewals_reminder', 'ending_month', 'ending_week', 'ending_today',
                    'ending_over'));

            -- Each name, of each end, is told of once at each stage.
            CREATE TABLE end_letters (
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                ends_on date NOT NULL,
                stage text NOT NULL CHECK (stage IN ('ending_month', 'ending_week', 'ending_today', 'ending_over')),
                letter_id bigint NOT NULL REFERENCES letters ON DELETE CASCADE,
                PRIMARY KEY (name_id, ends_on, stage)
            );
            CREATE INDEX end_letters_letter ON end_letters (letter_id);
            SQL);
    }
};
