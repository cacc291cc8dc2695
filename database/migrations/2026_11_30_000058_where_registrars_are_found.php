<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Where a person goes to do what a slip says, and whom they ring up when the page doesn't do it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            "ALTER TABLE registrars ADD page text CHECK (length(page) <= 300 AND page LIKE 'https://%'),
                ADD telephone text CHECK (length(telephone) <= 60)",
        );
    }
};
