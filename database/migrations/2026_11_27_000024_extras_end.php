<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is bought with a name has an end of its own. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
ALTER TABLE extras ADD renews boolean NOT NULL DEFAULT false;
CREATE UNIQUE INDEX extras_one_open ON extras (registration_id, kind) WHERE ended_on IS NULL;
CREATE INDEX extras_ending ON extras (ends_on) WHERE kind = 'privacy' AND ended_on IS NULL AND NOT renews AND ends_on IS NOT NULL;
SQL);
    }
};
