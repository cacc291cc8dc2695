<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is sought in is the costliest index of a standing: a name that is the same in both forms stands in it once. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE standings DROP COLUMN sought;
            ALTER TABLE standings ADD sought text GENERATED ALWAYS AS (
                lower(ascii || CASE WHEN unicode = ascii THEN '' ELSE ' ' || unicode END || ' ' || client_name || ' ' || account_number
                || ' ' || registrant || ' ' || mailbox || ' ' || reference)
            ) STORED;
            CREATE INDEX standings_sought ON standings USING gin (sought gin_trgm_ops);
            SQL
            ,
        );
    }
};
