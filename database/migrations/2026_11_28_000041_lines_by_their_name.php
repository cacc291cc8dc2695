<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A line's name is known by what it is called; its number beside that was a foreign key and an index entry for each line
 * written. Without them, and with room on its page, the mark that a line is written touches no index at all. And an index
 * of references that no page asks: the Roll has them in what is sought.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
ALTER TABLE import_rows DROP COLUMN name_id;
ALTER TABLE import_rows SET (fillfactor = 50);
DROP INDEX registrations_reference;
SQL);
    }
};
