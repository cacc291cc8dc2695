<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Every held name is looked at each day, at its registry and its name servers; the registrar's own directory is asked as well once a week.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared('ALTER TABLE observing ADD deep_at timestamptz');
    }
};
