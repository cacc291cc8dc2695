<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** An apostrophe of another kind, a capital or a second blank makes no other client: `App\Support\Folded` says the same. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared("
            CREATE OR REPLACE FUNCTION folded(given text) RETURNS text LANGUAGE sql IMMUTABLE STRICT PARALLEL SAFE
                RETURN lower(translate(regexp_replace(btrim(given), '\\s+', ' ', 'g'), '’‘ʼ´`', ''''''''''''));
            DROP INDEX clients_name;
            CREATE UNIQUE INDEX clients_name ON clients (folded(name));
        ");
    }
};
