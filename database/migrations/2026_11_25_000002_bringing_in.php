<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A name's own price, names that a whole list doesn't have, columns remembered, and a list taken back. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
ALTER TABLE registrations
    ADD own_renewal numeric(12, 2) CHECK (own_renewal >= 0),
    ADD own_currency char(3) CHECK (own_currency ~ '^[A-Z]{3}$'),
    ADD CHECK ((own_renewal IS NULL) = (own_currency IS NULL));

-- Since when a list of everything in the account has been without the name; seen in one again, it is NULL.
ALTER TABLE holdings ADD missing_since timestamptz, ADD missing_import_id bigint REFERENCES imports ON DELETE SET NULL,
    ADD CHECK ((missing_since IS NOT NULL) OR (missing_import_id IS NULL));
CREATE INDEX holdings_registration ON holdings (registration_id);
CREATE INDEX holdings_missing ON holdings (missing_import_id) WHERE missing_import_id IS NOT NULL;

ALTER TABLE imports
    ADD whole boolean NOT NULL DEFAULT false,
    ADD made jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(made) = 'object'),
    DROP CONSTRAINT imports_state_check,
    ADD CONSTRAINT imports_state_check CHECK (state IN ('uploaded', 'reading', 'read', 'writing', 'done', 'undoing', 'undone', 'failed')),
    ADD CHECK (NOT whole OR account_id IS NOT NULL);
ALTER TABLE import_rows
    -- Of which name and which version of its facts a written line is, to be taken back while nothing else touched them.
    ADD name_id bigint REFERENCES names ON DELETE SET NULL,
    ADD version integer,
    DROP CONSTRAINT import_rows_verdict_check,
    ADD CONSTRAINT import_rows_verdict_check CHECK (verdict IN ('new', 'changed', 'same', 'refused', 'missing'));
CREATE INDEX import_rows_of_name ON import_rows (name_id) WHERE name_id IS NOT NULL;

-- What each column was, by registrar and headings.
CREATE TABLE import_habits (
    registrar_id bigint NOT NULL REFERENCES registrars ON DELETE CASCADE,
    headings text NOT NULL,
    matched jsonb NOT NULL CHECK (jsonb_typeof(matched) = 'object'),
    updated_at timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY (registrar_id, headings)
);
SQL);
    }
};
