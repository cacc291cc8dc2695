<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The first few of a kind are read without reading all of it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared("CREATE INDEX drifts_newest ON drifts (finding, first_seen DESC, id) WHERE state = 'open'");
    }

    public function down(): void
    {
        DB::unprepared('DROP INDEX drifts_newest');
    }
};
