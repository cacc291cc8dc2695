<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The log is closed day by day, each day with the digest of the one before it; its times are the database's, whoever writes. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
CREATE TABLE days_of_log (
    -- In UTC; none is left out.
    day date PRIMARY KEY,
    rows bigint NOT NULL CHECK (rows >= 0),
    -- The last row's number: its own, or of the day before where it has none.
    to_row bigint NOT NULL,
    rows_sha256 char(64) NOT NULL CHECK (rows_sha256 ~ '^[0-9a-f]{64}$'),
    sha256 char(64) NOT NULL CHECK (sha256 ~ '^[0-9a-f]{64}$'),
    previous_sha256 char(64)
);
DO $$
BEGIN
    IF EXISTS (SELECT FROM pg_roles WHERE rolname = 'acre_app') THEN
        REVOKE UPDATE, DELETE ON days_of_log FROM acre_app;
        REVOKE INSERT ON log FROM acre_app;
        GRANT INSERT (trade_at, user_id, from_address, event, subject, subject_id, data) ON log TO acre_app;
    END IF;
END $$;
SQL);
    }
};
