<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Two clients that are one: the other stays as another spelling of it, for the lists that go on using it and the dockets that name it. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE clients ADD merged_into bigint REFERENCES clients
            ON DELETE RESTRICT, ADD CHECK (merged_into IS NULL OR merged_into <> id AND NOT is_house);
            CREATE INDEX clients_merged ON clients (merged_into) WHERE merged_into IS NOT NULL;
            CREATE OR REPLACE FUNCTION clients_are_merged_flat() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                IF EXISTS (SELECT FROM clients c WHERE c.id = NEW.merged_into AND c.merged_into IS NOT NULL)
                OR EXISTS (SELECT FROM clients c WHERE c.merged_into = NEW.id) THEN
                    RAISE EXCEPTION 'client % would be part of one that is part of another', NEW.id USING ERRCODE = 'check_violation';
                END IF;
                RETURN NEW;
            END $$;
            CREATE TRIGGER clients_merged_flat BEFORE INSERT OR UPDATE OF merged_into ON clients
            FOR EACH ROW WHEN (NEW.merged_into IS NOT NULL) EXECUTE FUNCTION clients_are_merged_flat();
            SQL
            ,
        );
    }
};
