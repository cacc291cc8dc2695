<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is prepared for a name, and waits to be settled, counts in what others are told of it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            "DROP INDEX docket_lines_begun; CREATE INDEX docket_lines_unended ON docket_lines (name_id, docket_id) INCLUDE (state)
                WHERE state IN ('begun', 'prepared')",
        );
    }
};
