<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * No two spans of a name overlap: a GiST index sees to that, and PostgreSQL then looks names up in it too, which takes it
 * six times as long as in a B-tree. Written with an expression it is of use to the rule only. That one span is open at a
 * time follows from the rule, so the B-tree needn't say it again and can serve the past as well.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE registrations DROP CONSTRAINT registrations_name_id_span_excl,
            ADD CONSTRAINT registrations_one_at_a_time EXCLUDE USING gist ((name_id + 0) WITH =, span WITH &&);
            DROP INDEX registrations_today;
            CREATE INDEX registrations_name ON registrations (name_id);
            ALTER TABLE holdings DROP CONSTRAINT holdings_name_id_span_excl,
            ADD CONSTRAINT holdings_one_at_a_time EXCLUDE USING gist ((name_id + 0) WITH =, span WITH &&);
            DROP INDEX holdings_today;
            CREATE INDEX holdings_name ON holdings (name_id);
            ALTER TABLE roles DROP CONSTRAINT roles_name_id_span_excl,
            ADD CONSTRAINT roles_one_registrant EXCLUDE USING gist ((name_id + 0) WITH =, span WITH &&) WHERE (role = 'registrant');
            ALTER TABLE roles DROP CONSTRAINT roles_name_id_contact_id_role_span_excl,
            ADD CONSTRAINT roles_once EXCLUDE USING gist ((name_id + 0) WITH =, contact_id WITH =, role WITH =, span WITH &&)
            WHERE (role <> 'registrant');
            DROP INDEX roles_registrant_today;
            CREATE INDEX roles_name ON roles (name_id);
            ALTER TABLE contact_versions DROP CONSTRAINT contact_versions_contact_id_span_excl,
            ADD CONSTRAINT contact_versions_one_at_a_time EXCLUDE USING gist ((contact_id + 0) WITH =, span WITH &&);
            SQL
            ,
        );
    }
};
