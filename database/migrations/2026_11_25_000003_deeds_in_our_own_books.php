<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What a name was before a deed in our own books, so that it can be undone. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("ALTER TABLE docket_lines ADD was jsonb CHECK (jsonb_typeof(was) = 'object' OR was = '[]')");
    }
};
