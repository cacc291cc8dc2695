<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Names that are registered elsewhere and only looked at, in the same Roll. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE watchings (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                client_id bigint NOT NULL REFERENCES clients ON DELETE RESTRICT,
                why text NOT NULL CHECK (btrim(why) <> '' AND length(why) <= 300),
                since timestamptz NOT NULL,
                by_id bigint REFERENCES users ON DELETE SET NULL,
                -- What its registry last said; our books have nothing of their own to say of it.
                registrar text NOT NULL DEFAULT '',
                registrant text NOT NULL DEFAULT '',
                created_on timestamptz,
                ends_on timestamptz,
                moved_on timestamptz,
                statuses jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(statuses) = 'array'),
                servers jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(servers) = 'array')
            );
            CREATE INDEX watchings_client ON watchings (client_id);

            -- A name that arrives in an account is held, and watched no more.
            CREATE OR REPLACE FUNCTION held_is_not_watched() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                DELETE FROM watchings w USING new_rows n WHERE w.name_id = n.name_id AND upper_inf(n.span);
                UPDATE observing o SET due_at = '-infinity' FROM new_rows n WHERE o.name_id = n.name_id AND o.due_at = 'infinity';
                RETURN NULL;
            END $$;
            CREATE TRIGGER holdings_not_watched AFTER INSERT ON holdings REFERENCING NEW TABLE AS new_rows
            FOR EACH STATEMENT EXECUTE FUNCTION held_is_not_watched();
            -- And what is held can't be watched.
            CREATE OR REPLACE FUNCTION watched_is_not_held() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                IF EXISTS (SELECT FROM holdings WHERE name_id = NEW.name_id AND upper_inf(span)) THEN
                    RAISE EXCEPTION 'name % is held', NEW.name_id USING ERRCODE = 'check_violation';
                END IF;
                RETURN NEW;
            END $$;
            CREATE TRIGGER watchings_not_held BEFORE INSERT ON watchings FOR EACH ROW EXECUTE FUNCTION watched_is_not_held();
            SQL
            ,
        );
    }
};
