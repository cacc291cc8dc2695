<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Whatever is written for a client that has become part of another is the other's, whoever began to write it before. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            -- The lock is the one that the reference takes anyway: whoever merges the two waits for it, and moves what was written.
            CREATE OR REPLACE FUNCTION of_the_kept_client() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                IF NEW.client_id IS NOT NULL THEN
                    NEW.client_id := coalesce((SELECT merged_into FROM clients WHERE id = NEW.client_id FOR KEY SHARE), NEW.client_id);
                END IF;
                RETURN NEW;
            END $$;
            CREATE OR REPLACE FUNCTION of_the_kept_owner() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                NEW.owner_id := coalesce((SELECT merged_into FROM clients WHERE id = NEW.owner_id FOR KEY SHARE), NEW.owner_id);
                RETURN NEW;
            END $$;
            SQL
            ,
        );
        foreach (['holdings', 'contacts', 'watchings', 'notes', 'imports'] as $table) {
            DB::unprepared(
                "CREATE TRIGGER {$table}_kept_client BEFORE INSERT OR UPDATE OF client_id
                    ON {$table} FOR EACH ROW EXECUTE FUNCTION of_the_kept_client()",
            );
        }
        DB::unprepared(
            'CREATE TRIGGER accounts_kept_owner BEFORE INSERT OR UPDATE OF owner_id ON accounts
                FOR EACH ROW WHEN (NEW.owner_id IS NOT NULL) EXECUTE FUNCTION of_the_kept_owner()',
        );
    }
};
