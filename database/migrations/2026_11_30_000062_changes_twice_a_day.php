<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Once a day is what Rounds and alarms are written; somebody's way in may change twice, and each time they hear of it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            "DROP INDEX letters_once; CREATE UNIQUE INDEX letters_once ON letters (user_id, kind, day, about) WHERE kind <> 'way_in'",
        );
    }
};
