<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A registrar may put a command off (RFC 5730 §3, code 1001) and say later by message how it ended. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
ALTER TABLE gate_messages DROP CONSTRAINT gate_messages_kind_check;
ALTER TABLE gate_messages ADD CHECK (kind IN ('handover', 'transfer', 'action'));
-- The id that we told it with.
ALTER TABLE gate_messages ADD transaction text;
SQL);
    }
};
