<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** People are written to when their way in has changed. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared("ALTER TABLE letters DROP CONSTRAINT letters_kind_check,
            ADD CONSTRAINT letters_kind_check CHECK (kind IN ('morning', 'alarm', 'acceptance', 'verification', 'yearly', 'confirmation',
            'invitation', 'password', 'way_in'))");
    }
};
