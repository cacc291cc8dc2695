<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The board of verification asks of many names whether they are due, and few are: it need not read the others' rows to know. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared("CREATE INDEX standings_verify_name ON standings (name_id) WHERE verify_by < 'infinity'");
    }
};
