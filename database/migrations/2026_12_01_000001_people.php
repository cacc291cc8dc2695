<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Who signs in, their settings, what is kept secret, and what the framework keeps for itself. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE users (
                id bigserial PRIMARY KEY,
                name text NOT NULL,
                email text NOT NULL,
                password text,
                role text NOT NULL,
                may_sign_in boolean NOT NULL DEFAULT true,
                created_at timestamptz(0),
                updated_at timestamptz(0),
                -- A person's way of looking at the Roll, and sentences kept by name.
                looks jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(looks) = 'object'),
                morning boolean NOT NULL DEFAULT false,
                -- Encrypted; otp_step is the last step of which a code was taken.
                otp_secret text,
                otp_step bigint,
                -- Null: nobody has set one yet, and nobody signs in.
                password_set_at timestamptz,
                CONSTRAINT users_role CHECK (role IN ('owner', 'steward', 'clerk', 'reader'))
            );
            CREATE UNIQUE INDEX users_email ON users (lower(email));

            CREATE OR REPLACE FUNCTION users_owner_left() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                -- Whoever takes the last but one away at the same moment waits here, and then finds it taken.
                PERFORM pg_advisory_xact_lock(7306, 0);
                IF EXISTS (SELECT FROM users) AND NOT EXISTS (SELECT FROM users WHERE role = 'owner' AND may_sign_in) THEN
                    RAISE EXCEPTION 'users_owner_left: nobody is left who runs the house' USING ERRCODE = 'check_violation';
                END IF;
                RETURN NULL;
            END $$;
            CREATE CONSTRAINT TRIGGER users_owner_left AFTER DELETE OR UPDATE ON users
                DEFERRABLE INITIALLY DEFERRED FOR EACH ROW WHEN (OLD.role = 'owner' AND OLD.may_sign_in)
                EXECUTE FUNCTION users_owner_left();

            CREATE TABLE sessions (
                id varchar(255) PRIMARY KEY,
                user_id bigint,
                ip_address varchar(45),
                user_agent text,
                payload text NOT NULL,
                last_activity integer NOT NULL
            );
            CREATE INDEX sessions_user_id_index ON sessions (user_id);
            CREATE INDEX sessions_last_activity_index ON sessions (last_activity);

            CREATE TABLE recovery_codes (
                user_id bigint NOT NULL REFERENCES users ON DELETE CASCADE,
                digest text NOT NULL CHECK (digest ~ '^[0-9a-f]{64}$'),
                PRIMARY KEY (user_id, digest)
            );

            -- Codes and passwords, encrypted; everything else refers to them by id.
            CREATE TABLE secrets (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                kind text NOT NULL CHECK (kind IN ('gate_password', 'auth_code', 'link')),
                about text NOT NULL CHECK (length(about) <= 300),
                value text NOT NULL,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                replaced_at timestamptz
            );

            CREATE TABLE settings (
                key text PRIMARY KEY,
                value jsonb NOT NULL
            );

            CREATE TABLE cache (
                key varchar(255) PRIMARY KEY,
                value text NOT NULL,
                expiration integer NOT NULL
            );

            CREATE TABLE cache_locks (
                key varchar(255) PRIMARY KEY,
                owner varchar(255) NOT NULL,
                expiration integer NOT NULL
            );

            CREATE TABLE jobs (
                id bigserial PRIMARY KEY,
                queue varchar(255) NOT NULL,
                payload text NOT NULL,
                attempts smallint NOT NULL,
                reserved_at integer,
                available_at integer NOT NULL,
                created_at integer NOT NULL
            );
            CREATE INDEX jobs_queue_index ON jobs (queue);

            CREATE TABLE failed_jobs (
                id bigserial PRIMARY KEY,
                uuid varchar(255) NOT NULL,
                connection text NOT NULL,
                queue text NOT NULL,
                payload text NOT NULL,
                exception text NOT NULL,
                failed_at timestamptz(0) NOT NULL DEFAULT CURRENT_TIMESTAMP,
                CONSTRAINT failed_jobs_uuid_unique UNIQUE (uuid)
            );
            SQL);
    }
};
