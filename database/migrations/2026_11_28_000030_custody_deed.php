<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Handing somebody's custody to another is a deed with a slip an account; it and erasing somebody are proven in the same chain as dockets.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE handings (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                from_id bigint NOT NULL REFERENCES custodians ON DELETE RESTRICT,
                to_id bigint NOT NULL REFERENCES custodians ON DELETE RESTRICT,
                opened_on timestamptz NOT NULL,
                opened_by bigint NOT NULL REFERENCES users,
                closed_on timestamptz CHECK (closed_on >= opened_on),
                CHECK (from_id <> to_id)
            );
            -- What one has is handed to one person at a time.
            CREATE UNIQUE INDEX handings_open ON handings (from_id) WHERE closed_on IS NULL;
            CREATE TABLE handing_lines (
                handing_id bigint NOT NULL REFERENCES handings ON DELETE CASCADE,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                -- What they had of it as it began.
                parts jsonb NOT NULL CHECK (jsonb_typeof(parts) = 'array'),
                state text NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'done', 'left')),
                ended_on timestamptz,
                ended_by bigint REFERENCES users,
                -- Why it was left as it is.
                words text CHECK (btrim(words) <> '' AND length(words) <= 1000),
                PRIMARY KEY (handing_id, account_id),
                CHECK ((state = 'open') = (ended_on IS NULL) AND (state = 'open') = (ended_by IS NULL)),
                CHECK ((state = 'left') = (words IS NOT NULL))
            );

            ALTER TABLE proofs DROP CONSTRAINT proofs_pkey;
            ALTER TABLE proofs DROP CONSTRAINT proofs_position_key;
            ALTER TABLE proofs ADD PRIMARY KEY (position);
            ALTER TABLE proofs ALTER docket_id DROP NOT NULL, ADD UNIQUE (docket_id);
            ALTER TABLE proofs ADD handing_id bigint UNIQUE REFERENCES handings,
            ADD erasure_id bigint UNIQUE REFERENCES erasures (contact_id);
            ALTER TABLE proofs ADD CHECK (num_nonnulls(docket_id, handing_id, erasure_id) = 1);
            SQL
            ,
        );
    }
};
