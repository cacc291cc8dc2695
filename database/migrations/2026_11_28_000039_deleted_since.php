<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** By when a deleted name can be restored counts from the day of its deletion, which needn't be the one that its end leads to. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['registrations', 'watchings'] as $table) {
            DB::unprepared(
                <<<SQL
                ALTER TABLE {$table} ADD deleted_since timestamptz,
                    ADD CONSTRAINT {$table}_deleted CHECK (deleted_since IS NULL
                    OR jsonb_exists_any(statuses, ARRAY['redemptionPeriod', 'pendingRestore', 'pendingDelete']));
                SQL
                ,
            );
        }
    }
};
