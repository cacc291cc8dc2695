<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What registrars and registries want accepted before they take a name, and who accepted it, when, and on whose authority. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            ALTER TABLE registrars ADD agreements jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(agreements) = 'array');

            -- Only added to: what was accepted stays as it was named then.
            CREATE TABLE agreements_accepted (
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE RESTRICT,
                position smallint NOT NULL,
                name text NOT NULL CHECK (length(name) BETWEEN 1 AND 200),
                address text NOT NULL CHECK (address LIKE 'https://%' AND length(address) <= 300),
                authority text NOT NULL CHECK (authority IN ('order', 'contract', 'own')),
                accepted_by bigint NOT NULL REFERENCES users,
                accepted_on timestamptz NOT NULL,
                PRIMARY KEY (docket_id, position)
            );
            SQL);
    }
};
