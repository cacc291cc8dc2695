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
    /** @var array<string, array{string, string}> by table: whose spans they are, and of which rows the rule speaks */
    private const RULES = [
        'registrations' => ['name_id', 'true'], 'holdings' => ['name_id', 'true'],
        'roles' => ['name_id', "role = 'registrant'"], 'contact_versions' => ['contact_id', 'true'],
    ];

    public function up(): void
    {
        DB::unprepared(<<<'SQL'
CREATE OR REPLACE FUNCTION today_follows_the_past() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
    twice bigint;
BEGIN
    EXECUTE format('SELECT n.%1$I FROM (SELECT * FROM new_rows WHERE %3$s) n JOIN (SELECT * FROM %2$I WHERE %3$s) o ON o.%1$I = n.%1$I AND o.id <> n.id AND o.span && n.span LIMIT 1', TG_ARGV[0], TG_TABLE_NAME, TG_ARGV[1]) INTO twice;
    IF twice IS NOT NULL THEN
        RAISE EXCEPTION '%_one_at_a_time: two spans of % % overlap', TG_TABLE_NAME, TG_ARGV[0], twice USING ERRCODE = 'exclusion_violation';
    END IF;
    RETURN NULL;
END $$;
ALTER TABLE registrations DROP CONSTRAINT registrations_one_at_a_time;
ALTER TABLE holdings DROP CONSTRAINT holdings_one_at_a_time;
ALTER TABLE roles DROP CONSTRAINT roles_one_registrant;
ALTER TABLE contact_versions DROP CONSTRAINT contact_versions_one_at_a_time;
DROP INDEX contact_versions_today;
SQL);
        foreach (self::RULES as $table => [$whose, $which]) {
            $argument = DB::getPdo()->quote($which);
            DB::unprepared(<<<SQL
CREATE UNIQUE INDEX {$table}_today ON {$table} ({$whose}) WHERE upper_inf(span) AND {$which};
ALTER TABLE {$table} ADD CONSTRAINT {$table}_past EXCLUDE USING gist ({$whose} WITH =, span WITH &&) WHERE (NOT upper_inf(span) AND {$which});
CREATE TRIGGER {$table}_begun AFTER INSERT ON {$table} REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION today_follows_the_past('{$whose}', {$argument});
CREATE TRIGGER {$table}_moved AFTER UPDATE ON {$table} REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION today_follows_the_past('{$whose}', {$argument});
SQL);
        }
    }
};
