<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Why a list is right where it says otherwise than a registry gave. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared("ALTER TABLE imports ADD because text CHECK (length(because) <= 500 AND btrim(because) <> '')");
    }
};
