<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** An answer that came after its day changes nothing: it is kept, and a person decides. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared('
            ALTER TABLE links ADD late_on timestamptz, ADD late_says boolean, ADD late_words text CHECK (length(late_words) <= 900),
            ADD CHECK ((late_on IS NULL) = (late_says IS NULL));
            CREATE INDEX links_late ON links (docket_id) WHERE late_on IS NOT NULL;
        ');
    }
};
