<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A second factor, its recovery codes, and from where what the log tells was done. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
-- Encrypted; otp_step is the last step of which a code was taken.
ALTER TABLE users ADD otp_secret text, ADD otp_step bigint;
CREATE TABLE recovery_codes (
    user_id bigint NOT NULL REFERENCES users ON DELETE CASCADE,
    digest text NOT NULL CHECK (digest ~ '^[0-9a-f]{64}$'),
    PRIMARY KEY (user_id, digest)
);
ALTER TABLE log ADD from_address text CHECK (length(from_address) <= 45);
CREATE INDEX log_user ON log (user_id, id);
SQL);
    }
};
