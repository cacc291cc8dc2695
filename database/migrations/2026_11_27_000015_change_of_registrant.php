<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What was agreed to when a name got another registrant: which text, when, by whom, on whose authority. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
CREATE TABLE agreements (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    docket_id bigint NOT NULL REFERENCES dockets ON DELETE RESTRICT,
    contact_id bigint NOT NULL REFERENCES contacts ON DELETE RESTRICT,
    words text NOT NULL CHECK (btrim(words) <> '' AND length(words) <= 2000),
    authority text NOT NULL CHECK (btrim(authority) <> '' AND length(authority) <= 1000),
    accepted_on timestamptz NOT NULL,
    user_id bigint REFERENCES users ON DELETE SET NULL,
    created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
    UNIQUE (docket_id, contact_id)
);
-- Whether a registrar lets the hold after a change of registrant be declined beforehand.
ALTER TABLE registrars ADD hold_declinable boolean NOT NULL DEFAULT false;
SQL);
    }
};
