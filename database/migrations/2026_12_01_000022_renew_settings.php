<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What registrars say themselves of auto-renew. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            -- Whether a name is set to auto-renew at its registrar, in the account in which it was asked; null: it doesn't say.
            CREATE TABLE renew_settings (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE CASCADE,
                renews boolean,
                said_at timestamptz,
                asked_at timestamptz NOT NULL,
                CHECK (renews IS NULL OR said_at IS NOT NULL)
            );
            CREATE INDEX renew_settings_account ON renew_settings (account_id);
            SQL);
    }
};
