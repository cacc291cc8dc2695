<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What a Steward writes in place of a letter's own text. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
CREATE TABLE letter_texts (
    id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    kind text NOT NULL UNIQUE,
    -- Null: as it ships.
    subject text CHECK (btrim(subject) <> '' AND length(subject) <= 200 AND subject !~ '[\r\n]'),
    body text CHECK (btrim(body) <> '' AND length(body) <= 10000),
    version integer NOT NULL DEFAULT 1,
    created_at timestamptz, updated_at timestamptz,
    CHECK ((subject IS NULL) = (body IS NULL))
);
SQL);
    }
};
