<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * No two spans of one name, or of one contact, overlap. A GiST entry a span would cost twenty times a B-tree's, and nearly
 * all spans are open. So one span is open at a time, by a unique index; what is over overlaps nothing that is over, by
 * exclusion; and what is open began when what is over had ended, which a trigger looks at. Two who write at the same moment
 * wait for each other at the row whose spans they are.
 */
return new class extends Migration
{
    /** Whose spans they are, by table, and the table of those. Of roles the rule speaks of the registrant's. */
    private const WHOSE = [
        'registrations' => ['name_id', 'names'],
        'holdings' => ['name_id', 'names'],
        'roles' => ['name_id', 'names'],
        'contact_versions' => ['contact_id', 'contacts'],
    ];

    public function up(): void
    {
        foreach (self::WHOSE as $table => [$whose, $of]) {
            $which = fn (string $row): string => $table === 'roles' ? "{$row}role = 'registrant'" : 'true';
            // Written are many at once, moved is one.
            DB::unprepared(<<<SQL
                CREATE OR REPLACE FUNCTION {$table}_begun() RETURNS trigger LANGUAGE plpgsql AS \$\$
                BEGIN
                    PERFORM FROM {$of} w
                    WHERE w.id IN (SELECT n.{$whose} FROM new_rows n WHERE {$which('n.')})
                    ORDER BY w.id FOR NO KEY UPDATE;
                    IF EXISTS (
                        SELECT FROM new_rows n
                        JOIN {$table} o ON o.{$whose} = n.{$whose} AND o.id <> n.id AND o.span && n.span AND {$which('o.')}
                        WHERE {$which('n.')}
                    ) THEN
                        RAISE EXCEPTION '{$table}_one_at_a_time: two spans of one {$whose} overlap'
                            USING ERRCODE = 'exclusion_violation';
                    END IF;
                    RETURN NULL;
                END \$\$;
                CREATE TRIGGER {$table}_begun AFTER INSERT ON {$table}
                    REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION {$table}_begun();

                CREATE OR REPLACE FUNCTION {$table}_moved() RETURNS trigger LANGUAGE plpgsql AS \$\$
                BEGIN
                    PERFORM FROM {$of} w WHERE w.id = NEW.{$whose} FOR NO KEY UPDATE;
                    IF EXISTS (
                        SELECT FROM {$table} o
                        WHERE o.{$whose} = NEW.{$whose} AND o.id <> NEW.id AND o.span && NEW.span AND {$which('o.')}
                    ) THEN
                        RAISE EXCEPTION '{$table}_one_at_a_time: two spans of {$whose} % overlap', NEW.{$whose}
                            USING ERRCODE = 'exclusion_violation';
                    END IF;
                    RETURN NULL;
                END \$\$;
                CREATE TRIGGER {$table}_moved AFTER UPDATE OF span ON {$table}
                    FOR EACH ROW WHEN (OLD.span IS DISTINCT FROM NEW.span AND {$which('NEW.')})
                    EXECUTE FUNCTION {$table}_moved();
                SQL);
        }
    }
};
