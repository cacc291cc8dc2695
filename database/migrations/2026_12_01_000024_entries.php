<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Registrars tell an account's entries, and that it holds little. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            ALTER TABLE accounts
                -- The registrar's own id of the last entry that was entered here.
                ADD entries_after text CHECK (length(entries_after) BETWEEN 1 AND 100),
                ADD entries_asked_on date;

            ALTER TABLE gate_messages DROP CONSTRAINT gate_messages_kind_check, ADD CONSTRAINT gate_messages_kind_check
                CHECK (kind IN ('handover', 'transfer', 'action', 'charge', 'balance'));
            SQL);
    }
};
