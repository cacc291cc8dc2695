<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Letters that come from registries, registrars or complainants; the yearly sending of registration data. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE received (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                kind text NOT NULL CHECK (kind IN ('dispute', 'notice', 'data_request', 'other')),
                sender text NOT NULL CHECK (btrim(sender) <> '' AND length(sender) <= 300),
                about text NOT NULL CHECK (btrim(about) <> '' AND length(about) <= 4000),
                received_on timestamptz NOT NULL,
                -- By when it must be answered; null: it need not be.
                answer_by timestamptz,
                answered_on timestamptz,
                answer text CHECK (length(answer) <= 4000),
                file text CHECK (length(file) <= 200),
                path text,
                user_id bigint REFERENCES users ON DELETE SET NULL,
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(), updated_at timestamptz,
                CHECK ((file IS NULL) = (path IS NULL)),
                CHECK (answer_by IS NULL OR answer_by >= received_on)
            );
            CREATE INDEX received_open ON received (answer_by, id) WHERE answered_on IS NULL;
            CREATE TABLE received_names (
                received_id bigint NOT NULL REFERENCES received ON DELETE CASCADE,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                PRIMARY KEY (received_id, name_id)
            );
            CREATE INDEX received_names_name ON received_names (name_id);

            ALTER TABLE letters DROP CONSTRAINT letters_kind_check,
            ADD CONSTRAINT letters_kind_check CHECK (kind IN ('morning', 'alarm', 'acceptance', 'verification', 'yearly'));
            CREATE UNIQUE INDEX letters_yearly ON letters (mailbox_id, about) WHERE kind = 'yearly';
            SQL
            ,
        );
    }
};
