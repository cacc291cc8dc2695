<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Contacts whose values were erased because the person asked for it, and the proof that they were. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE erasures (
                contact_id bigint PRIMARY KEY REFERENCES contacts ON DELETE RESTRICT,
                asked_on timestamptz NOT NULL,
                erased_on timestamptz NOT NULL,
                -- How it was asked for, without saying by whom: the contact's number is enough.
                words text NOT NULL CHECK (btrim(words) <> '' AND length(words) <= 1000),
                -- What went, by kind: {"versions": 3, "letters": 2, …}
                counts jsonb NOT NULL CHECK (jsonb_typeof(counts) = 'object'),
                -- Of the values as they stood, with a salt that was thrown away: whoever still has both can show that these were erased, nobody can find them by it.
                digest char(64) NOT NULL CHECK (digest ~ '^[0-9a-f]{64}$'),
                user_id bigint REFERENCES users ON DELETE SET NULL
            );
            SQL
            ,
        );
    }
};
