<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Rules that two at one moment could get past: an Owner is left, and spans of one name don't overlap however they are written. */
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
        DB::unprepared(
            <<<'SQL'
            CREATE OR REPLACE FUNCTION users_owner_left() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                -- Whoever takes the last but one away at the same moment waits here, and then finds it taken.
                PERFORM pg_advisory_xact_lock(7306, 0);
                IF EXISTS (SELECT FROM users) AND NOT EXISTS (SELECT FROM users WHERE role = 'owner' AND may_sign_in) THEN
                    RAISE EXCEPTION 'users_owner_left: nobody is left who runs the house' USING ERRCODE = 'check_violation';
                END IF;
                RETURN NULL;
            END $$;
            CREATE CONSTRAINT TRIGGER users_owner_left AFTER UPDATE OR DELETE ON users DEFERRABLE INITIALLY DEFERRED FOR EACH ROW
                WHEN (OLD.role = 'owner' AND OLD.may_sign_in) EXECUTE FUNCTION users_owner_left();
            SQL
            ,
        );
        foreach (self::WHOSE as $table => [$whose, $of]) {
            $which = fn (string $row): string => $table === 'roles' ? "{$row}role = 'registrant'" : 'true';
            // One that is over and one that is open may be written at once, where no index has both: who comes second waits at the name.
            DB::unprepared(
                <<<SQL
                CREATE OR REPLACE FUNCTION {$table}_begun() RETURNS trigger LANGUAGE plpgsql AS \$\$
                BEGIN
                    PERFORM FROM {$of} w WHERE w.id IN (SELECT n.{$whose} FROM new_rows n WHERE {$which(
                    'n.',
                )}) ORDER BY w.id FOR NO KEY UPDATE;
                    IF EXISTS (SELECT FROM new_rows n JOIN {$table} o ON o.{$whose} = n.{$whose} AND o.id <> n.id AND o.span && n.span AND {$which(
                    'o.',
                )} WHERE {$which('n.')}) THEN
                        RAISE EXCEPTION '{$table}_one_at_a_time: two spans of one {$whose} overlap' USING ERRCODE = 'exclusion_violation';
                    END IF;
                    RETURN NULL;
                END \$\$;
                CREATE OR REPLACE FUNCTION {$table}_moved() RETURNS trigger LANGUAGE plpgsql AS \$\$
                BEGIN
                    PERFORM FROM {$of} w WHERE w.id = NEW.{$whose} FOR NO KEY UPDATE;
                    IF EXISTS (SELECT FROM {$table} o WHERE o.{$whose} = NEW.{$whose} AND o.id <> NEW.id AND o.span && NEW.span AND {$which(
                    'o.',
                )}) THEN
                        RAISE EXCEPTION '{$table}_one_at_a_time: two spans of {$whose} % overlap', NEW.{$whose} USING ERRCODE = 'exclusion_violation';
                    END IF;
                    RETURN NULL;
                END \$\$;
                SQL
                ,
            );
        }
    }
};
