<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What currencies are worth in each other, for comparing; and what privacy costs. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE exchange_rates (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                currency char(3) NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
                to_currency char(3) NOT NULL CHECK (to_currency ~ '^[A-Z]{3}$' AND to_currency <> currency),
                rate numeric NOT NULL CHECK (rate > 0 AND rate < 100000000 AND scale(rate) <= 8),
                on_day date NOT NULL,
                entered_by bigint NOT NULL REFERENCES users,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp()
            );
            CREATE INDEX exchange_rates_latest ON exchange_rates (currency, to_currency, on_day DESC, id DESC);

            ALTER TABLE prices DROP CONSTRAINT prices_action_check, ADD CONSTRAINT prices_action_check
                CHECK (action IN ('add', 'renew', 'transfer', 'restore', 'late', 'handover', 'privacy'));
            SQL);
    }
};
