<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Private addresses of calendars; what opens one is kept as its digest only. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("CREATE TABLE calendar_addresses (
            id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
            user_id bigint NOT NULL REFERENCES users ON DELETE CASCADE,
            sentence jsonb NOT NULL CHECK (jsonb_typeof(sentence) IN ('object', 'array')),
            digest text NOT NULL UNIQUE CHECK (digest ~ '^[0-9a-f]{64}$'),
            asked_at timestamptz,
            created_at timestamptz, updated_at timestamptz
        )");
    }
};
