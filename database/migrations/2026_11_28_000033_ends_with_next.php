<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What ends within some days is mostly wanted in the order of what is due next: the index that finds it knows that too. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
DROP INDEX standings_ends;
CREATE INDEX standings_ends ON standings (ends_on, name_id) INCLUDE (next_at);
SQL);
    }
};
