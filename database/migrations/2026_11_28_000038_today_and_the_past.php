<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * That no two spans of a name overlap took one GiST entry a span, twenty times the cost of a B-tree's, and a list writes
 * four spans a name. Nearly all of them are open, and of those a unique index says all there is to say. So the rule stands
 * in three parts now: one span is open at a time; what is over overlaps nothing that is over; and what is open began when
 * what is over had ended, which a trigger looks at for all the rows of a statement at once. Two who write at the same
 * moment wait for each other at the open row, which is closed where it stands.
 */
return new class extends Migration
{
    /** Whose spans they are, by table. Of roles the rule speaks of the registrant's. */
    private const WHOSE = ['registrations' => 'name_id', 'holdings' => 'name_id', 'roles' => 'name_id', 'contact_versions' => 'contact_id'];

    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE registrations DROP CONSTRAINT registrations_one_at_a_time;
            ALTER TABLE holdings DROP CONSTRAINT holdings_one_at_a_time;
            ALTER TABLE roles DROP CONSTRAINT roles_one_registrant;
            ALTER TABLE contact_versions DROP CONSTRAINT contact_versions_one_at_a_time;
            DROP INDEX contact_versions_today;
            SQL
            ,
        );
        foreach (self::WHOSE as $table => $whose) {
            $which = fn (string $row): string => $table === 'roles' ? "{$row}role = 'registrant'" : 'true';
            // Written are many at once, moved is one.
            DB::unprepared(
                <<<SQL
                CREATE UNIQUE INDEX {$table}_today ON {$table} ({$whose}) WHERE upper_inf(span) AND {$which('')};
                ALTER TABLE {$table} ADD CONSTRAINT {$table}_past EXCLUDE USING gist ({$whose} WITH =, span WITH &&)
                    WHERE (NOT upper_inf(span) AND {$which(
                    '',
                )});
                CREATE OR REPLACE FUNCTION {$table}_begun() RETURNS trigger LANGUAGE plpgsql AS \$\$
                BEGIN
                    IF EXISTS (SELECT FROM new_rows n JOIN {$table} o ON o.{$whose} = n.{$whose} AND o.id <> n.id AND o.span && n.span AND {$which(
                    'o.',
                )} WHERE {$which('n.')}) THEN
                        RAISE EXCEPTION '{$table}_one_at_a_time: two spans of one {$whose} overlap' USING ERRCODE = 'exclusion_violation';
                    END IF;
                    RETURN NULL;
                END \$\$;
                CREATE TRIGGER {$table}_begun AFTER INSERT ON {$table} REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION {$table}_begun();
                CREATE OR REPLACE FUNCTION {$table}_moved() RETURNS trigger LANGUAGE plpgsql AS \$\$
                BEGIN
                    IF EXISTS (SELECT FROM {$table} o WHERE o.{$whose} = NEW.{$whose} AND o.id <> NEW.id AND o.span && NEW.span AND {$which(
                    'o.',
                )}) THEN
                        RAISE EXCEPTION '{$table}_one_at_a_time: two spans of {$whose} % overlap', NEW.{$whose} USING ERRCODE = 'exclusion_violation';
                    END IF;
                    RETURN NULL;
                END \$\$;
                CREATE TRIGGER {$table}_moved AFTER UPDATE OF span ON {$table} FOR EACH ROW WHEN (OLD.span IS DISTINCT FROM NEW.span AND {$which(
                    'NEW.',
                )}) EXECUTE FUNCTION {$table}_moved();
                SQL
                ,
            );
        }
    }
};
