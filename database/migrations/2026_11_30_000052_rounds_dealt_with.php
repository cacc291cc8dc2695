<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What somebody said of a thing in Rounds: what it was, what they did, or why it waits. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared("
            ALTER TABLE rounds_marks ADD title text NOT NULL DEFAULT '' CHECK (length(title) <= 300),
            ADD says text NOT NULL DEFAULT '' CHECK (length(says) <= 1000),
                ADD address text NOT NULL DEFAULT '' CHECK (length(address) <= 1000),
                ADD because text NOT NULL DEFAULT '' CHECK (length(because) <= 500);
            CREATE INDEX rounds_marks_said ON rounds_marks (updated_at DESC, thing DESC) WHERE done_on IS NOT NULL OR off_until IS NOT NULL;
        ");
    }
};
