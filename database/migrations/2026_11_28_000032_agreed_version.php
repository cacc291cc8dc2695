<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A new registrant says yes to data as they stand; which, is known, so that they are asked again when these become others before anybody
 * outside is told.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared('ALTER TABLE confirmations ADD version_id bigint REFERENCES contact_versions ON DELETE SET NULL');
    }
};
