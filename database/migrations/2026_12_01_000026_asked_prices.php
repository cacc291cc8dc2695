<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What registrars say that a year of a name costs. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE asked_prices (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE CASCADE,
                suffix text NOT NULL,
                -- Before tax; null: it was asked, and not said.
                renew numeric CHECK (renew >= 0 AND scale(renew) <= 4 AND renew < 10000000000),
                currency char(3) CHECK (currency ~ '^[A-Z]{3}$'),
                is_standard boolean,
                asked_on date NOT NULL,
                CHECK (num_nulls(renew, currency, is_standard) IN (0, 3))
            );
            CREATE INDEX asked_prices_account ON asked_prices (account_id, asked_on);
            CREATE INDEX asked_prices_listed ON asked_prices (account_id, suffix) WHERE is_standard;
            SQL);
    }
};
