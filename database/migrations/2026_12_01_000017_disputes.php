<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What is disputed about a name: reasons for which its registrar must, or may, refuse a transfer. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE disputes (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                kind text NOT NULL CHECK (
                    kind IN ('proceeding', 'court_order', 'transfer_dispute', 'fraud', 'identity', 'unpaid', 'objection')
                ),
                since timestamptz NOT NULL,
                remarks text CHECK (length(remarks) BETWEEN 1 AND 500),
                ended_on timestamptz,
                created_at timestamptz,
                updated_at timestamptz,
                CHECK (ended_on >= since)
            );
            CREATE INDEX disputes_name ON disputes (name_id);
            CREATE UNIQUE INDEX disputes_one_open ON disputes (name_id, kind) WHERE ended_on IS NULL;
            SQL);
    }
};
