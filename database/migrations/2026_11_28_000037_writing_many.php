<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What writing many names costs beside the writing. PostgreSQL counts again, each time a tenth has changed, what stands in
 * every column: of the flat rows that takes a core for as long as ten thousand of them take to write. What no question
 * narrows by it needn't count, and the rest not so often. A name that is written as it is spelt is found by its one
 * spelling. And that a holding, or a role, is of its registration's own name is one rule, which says more than two did.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE standings ALTER facts SET STATISTICS 0, SET (autovacuum_analyze_scale_factor = 0.5);
            ALTER TABLE registrations ALTER sources SET STATISTICS 0, ALTER raw SET STATISTICS 0,
            SET (autovacuum_analyze_scale_factor = 0.3);
            ALTER TABLE import_rows ALTER facts SET STATISTICS 0, ALTER changes SET STATISTICS 0, ALTER reason SET STATISTICS 0,
            SET (autovacuum_analyze_scale_factor = 0.3);
            DROP INDEX standings_unicode;
            CREATE INDEX standings_unicode ON standings (unicode, name_id) WHERE unicode <> ascii;
            ALTER TABLE registrations ADD CONSTRAINT registrations_of_name UNIQUE (name_id, id);
            DROP INDEX registrations_name;
            ALTER TABLE holdings DROP CONSTRAINT holdings_name_id_fkey, DROP CONSTRAINT holdings_registration_id_fkey,
                ADD CONSTRAINT holdings_of_registration FOREIGN KEY (name_id, registration_id) REFERENCES registrations (name_id, id)
                ON DELETE RESTRICT;
            ALTER TABLE roles DROP CONSTRAINT roles_name_id_fkey, DROP CONSTRAINT roles_registration_id_fkey,
                ADD CONSTRAINT roles_of_registration FOREIGN KEY (name_id, registration_id) REFERENCES registrations (name_id, id)
                ON DELETE CASCADE;
            SQL
            ,
        );
    }
};
