<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Of a list that is being read PostgreSQL has no statistics, only of those before it: it takes this one to have no line at
 * all, and any index that begins with the list's number to be as good as another. Picking the wrong one it read the whole
 * list for each of its lines. Now only the lines' own index begins with it.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
DROP INDEX import_rows_name, import_rows_verdict;
CREATE UNIQUE INDEX import_rows_name ON import_rows (ascii, import_id) WHERE verdict <> 'refused';
CREATE INDEX import_rows_verdict ON import_rows (verdict, import_id, line);
SQL);
    }
};
