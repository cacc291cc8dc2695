<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Patterns of disclosure, what each name's registrar was told to show, and the consents on which more is shown. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE patterns (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name text NOT NULL CHECK (btrim(name) = name AND name <> '' AND length(name) <= 80),
                -- The fields of the holder that the world may read, as far as suffix and registrar let it.
                fields jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(fields) = 'array'),
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(), updated_at timestamptz
            );
            CREATE UNIQUE INDEX patterns_name ON patterns (lower(name));
            INSERT INTO patterns (name, fields) VALUES
                ('nothing of ours', '[]'),
                ('the organisation, not the person', '["organisation", "town", "region", "country"]'),
                ('open to be found', '["name", "organisation", "street", "town", "region", "postcode", "country", "voice", "mailbox"]');

            -- What the registrar was told to show; null: not known.
            ALTER TABLE registrations ADD shown jsonb CHECK (jsonb_typeof(shown) = 'array'), ADD pattern_id bigint REFERENCES patterns
            ON DELETE SET NULL;

            -- The steps that a registrar sells, each a list of fields; null: it takes them field by field.
            ALTER TABLE registrars ADD disclosure_steps jsonb CHECK (jsonb_typeof(disclosure_steps) = 'array');

            -- Which pattern the names of a client are to follow, and, where none is said, the house's.
            ALTER TABLE clients ADD pattern_id bigint REFERENCES patterns ON DELETE SET NULL;

            -- On whose word more is shown: kept for good.
            CREATE TABLE consents (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                contact_id bigint NOT NULL REFERENCES contacts ON DELETE RESTRICT,
                docket_id bigint NOT NULL REFERENCES dockets ON DELETE RESTRICT,
                fields jsonb NOT NULL CHECK (jsonb_typeof(fields) = 'array'),
                words text NOT NULL CHECK (btrim(words) <> '' AND length(words) <= 2000),
                given_on timestamptz NOT NULL,
                user_id bigint REFERENCES users ON DELETE SET NULL,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                UNIQUE (docket_id, contact_id)
            );
            CREATE INDEX consents_contact ON consents (contact_id);
            SQL
            ,
        );
    }
};
