<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What has begun something with a name is asked of every name that is judged; few have any. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared("CREATE INDEX docket_lines_begun ON docket_lines (name_id, docket_id) WHERE state = 'begun'");
    }
};
