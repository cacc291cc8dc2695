<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** People are let in by letter and set their own password; a forgotten one is set anew in the same way. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE links DROP CONSTRAINT links_purpose_check,
            ADD CONSTRAINT links_purpose_check CHECK (purpose IN ('accept_handover', 'verify_mailbox', 'confirm_registrant',
            'set_password')),
                ADD user_id bigint REFERENCES users ON DELETE CASCADE,
                DROP CONSTRAINT links_of, ADD CONSTRAINT links_of CHECK (num_nonnulls(docket_id, mailbox_id, user_id) = 1
                AND (docket_id IS NULL) = (docket_version IS NULL) AND (purpose = 'set_password') = (user_id IS NOT NULL));
            CREATE UNIQUE INDEX links_one_password ON links (user_id)
            WHERE used_at IS NULL AND withdrawn_at IS NULL AND user_id IS NOT NULL;
            ALTER TABLE letters DROP CONSTRAINT letters_kind_check,
            ADD CONSTRAINT letters_kind_check CHECK (kind IN ('morning', 'alarm', 'acceptance', 'verification', 'yearly', 'confirmation',
            'invitation', 'password'));
            -- Null: nobody has set one yet, and nobody signs in.
            ALTER TABLE users ALTER password DROP NOT NULL, ADD password_set_at timestamptz;
            SQL
            ,
        );
    }
};
