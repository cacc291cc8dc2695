<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Lists brought in, row by row, until they are written or discarded. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE imports (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                user_id bigint NOT NULL REFERENCES users,
                file text NOT NULL,
                path text NOT NULL,
                registrar_id bigint NOT NULL REFERENCES registrars,
                account_id bigint REFERENCES accounts,
                client_id bigint REFERENCES clients,
                shape jsonb NOT NULL,
                matched jsonb NOT NULL DEFAULT '{}',
                state text NOT NULL CHECK (state IN ('uploaded', 'reading', 'read', 'writing', 'done', 'undoing', 'undone', 'failed')),
                rows_total integer NOT NULL DEFAULT 0,
                rows_seen integer NOT NULL DEFAULT 0,
                rows_written integer NOT NULL DEFAULT 0,
                failure text,
                created_at timestamptz,
                updated_at timestamptz,
                whole boolean NOT NULL DEFAULT false,
                made jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(made) = 'object'),
                because text CHECK (length(because) <= 500 AND btrim(because) <> ''),
                CHECK (NOT whole OR account_id IS NOT NULL)
            );
            ALTER TABLE holdings ADD FOREIGN KEY (missing_import_id) REFERENCES imports ON DELETE SET NULL;
            CREATE TRIGGER imports_kept_client BEFORE INSERT OR UPDATE OF client_id ON imports FOR EACH ROW
                EXECUTE FUNCTION of_the_kept_client();

            CREATE TABLE import_rows (
                import_id bigint NOT NULL REFERENCES imports ON DELETE CASCADE,
                line integer NOT NULL,
                verdict text NOT NULL CHECK (verdict IN ('new', 'changed', 'same', 'refused', 'missing')),
                ascii text,
                facts jsonb NOT NULL DEFAULT '{}',
                changes jsonb NOT NULL DEFAULT '[]',
                reason jsonb,
                written boolean NOT NULL DEFAULT false,
                -- Of the name's facts as the line wrote them: it is taken back while nothing else touched them.
                version integer,
                PRIMARY KEY (import_id, line)
            ) WITH (autovacuum_analyze_scale_factor=0.3, fillfactor=50);
            -- Nobody asks by these: what a list writes needn't be counted for the planner.
            ALTER TABLE import_rows
                ALTER facts SET STATISTICS 0, ALTER changes SET STATISTICS 0, ALTER reason SET STATISTICS 0;
            CREATE UNIQUE INDEX import_rows_name ON import_rows (ascii, import_id) WHERE verdict <> 'refused';
            CREATE INDEX import_rows_verdict ON import_rows (verdict, import_id, line);

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
