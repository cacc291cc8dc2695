<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Money at registrars that pays only for some things. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE credits (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                -- What it held on the day on which somebody said so: what was charged since is taken from it when it is read.
                amount numeric NOT NULL CHECK (amount > 0 AND scale(amount) <= 4 AND amount < 10000000000),
                currency char(3) NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
                -- Null: it pays for all of them.
                action text CHECK (action IN ('add', 'renew', 'transfer', 'restore')),
                -- Empty: it pays for every suffix.
                suffixes jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(suffixes) = 'array'),
                -- From this day it is lost.
                lost_on date,
                said_on timestamptz NOT NULL,
                said_by bigint NOT NULL REFERENCES users,
                withdrawn_on timestamptz,
                withdrawn_by bigint REFERENCES users,
                CHECK ((withdrawn_on IS NULL) = (withdrawn_by IS NULL))
            );
            CREATE INDEX credits_account ON credits (account_id) WHERE withdrawn_on IS NULL;
            SQL);
    }
};
