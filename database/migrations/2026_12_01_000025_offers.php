<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What registrars ask for a while, or to whoever has a code, instead of their list prices. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE offers (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                registrar_id bigint NOT NULL REFERENCES registrars ON DELETE RESTRICT,
                -- Null: of every suffix.
                suffix text CHECK (suffix = lower(suffix) AND length(suffix) BETWEEN 1 AND 100),
                action text NOT NULL CHECK (action IN ('add', 'renew', 'transfer')),
                -- A share of the list price that is taken off, or a price of its own, before tax.
                percent numeric(5, 2) CHECK (percent > 0 AND percent <= 100),
                amount numeric CHECK (amount >= 0 AND scale(amount) <= 4 AND amount < 10000000000),
                currency char(3) CHECK (currency ~ '^[A-Z]{3}$'),
                first_only boolean NOT NULL DEFAULT false,
                code text CHECK (length(code) BETWEEN 1 AND 60),
                span tstzrange NOT NULL CHECK (NOT isempty(span)),
                entered_by bigint NOT NULL REFERENCES users,
                withdrawn_at timestamptz,
                created_at timestamptz,
                updated_at timestamptz,
                CHECK (num_nonnulls(percent, amount) = 1),
                CHECK ((amount IS NULL) = (currency IS NULL))
            );
            CREATE INDEX offers_registrar ON offers (registrar_id) WHERE withdrawn_at IS NULL;
            SQL);
    }
};
