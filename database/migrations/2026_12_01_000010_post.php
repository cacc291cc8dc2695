<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Letters sent and received, and the links in them. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE letter_texts (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                kind text NOT NULL UNIQUE
                    CHECK (kind IN ('verification_first', 'verification_reminder', 'confirmation_prior', 'confirmation_new',
                        'acceptance', 'yearly', 'codes')),
                -- Null: as it ships.
                subject text CHECK (btrim(subject) <> '' AND length(subject) <= 200 AND subject !~ '[\r\n]'),
                body text CHECK (btrim(body) <> '' AND length(body) <= 10000),
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz,
                updated_at timestamptz,
                CHECK ((subject IS NULL) = (body IS NULL))
            );

            -- The shipped stand-in for mail: every letter can be read here.
            CREATE TABLE letters (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                user_id bigint REFERENCES users ON DELETE CASCADE,
                mailbox text NOT NULL,
                subject text NOT NULL,
                body text NOT NULL,
                written_on timestamptz NOT NULL,
                day date NOT NULL,
                sent_at timestamptz,
                created_at timestamptz NOT NULL DEFAULT now(),
                -- Letters of other kinds than the morning's, each once to each reader.
                kind text NOT NULL DEFAULT 'morning'
                    CHECK (kind IN ('morning', 'alarm', 'acceptance', 'verification', 'yearly', 'confirmation', 'invitation',
                        'password', 'way_in', 'codes')),
                about text NOT NULL DEFAULT '',
                docket_id bigint REFERENCES dockets ON DELETE CASCADE,
                -- waiting: to be sent; sending: marked, and not answered yet; sent: taken by the post; refused: the post would not
                -- take it; doubtful: the post fell silent after all of it was said; returned: taken, and sent back; kept: there is no
                -- post.
                state text NOT NULL DEFAULT 'waiting'
                    CHECK (state IN ('waiting', 'sending', 'sent', 'refused', 'doubtful', 'returned', 'kept', 'called_off')),
                -- The same at every try, so that whoever gets it twice knows it for the same (RFC 5322 §3.6.4).
                message_id text UNIQUE CHECK (length(message_id) <= 200),
                attempts smallint NOT NULL DEFAULT 0,
                doubts smallint NOT NULL DEFAULT 0,
                not_before timestamptz NOT NULL DEFAULT clock_timestamp(),
                answer text CHECK (length(answer) <= 1000),
                -- The link that belongs where the body says so, until it was sent.
                secret_id bigint REFERENCES secrets ON DELETE SET NULL,
                mailbox_id bigint REFERENCES mailboxes ON DELETE CASCADE,
                confirmation_id bigint REFERENCES confirmations ON DELETE CASCADE,
                CONSTRAINT letters_belong CHECK (user_id IS NOT NULL OR docket_id IS NOT NULL OR mailbox_id IS NOT NULL)
            );
            CREATE INDEX letters_to_send ON letters (not_before, id) WHERE state IN ('waiting', 'sending', 'doubtful');
            CREATE INDEX letters_docket ON letters (docket_id, id) WHERE docket_id IS NOT NULL;
            -- What became of letters to a mailbox.
            CREATE INDEX letters_mailbox ON letters (lower(mailbox), id);
            -- Each asking once: at first, and as the day nears.
            CREATE UNIQUE INDEX letters_asking ON letters (mailbox_id, about) WHERE kind = 'verification';
            CREATE UNIQUE INDEX letters_yearly ON letters (mailbox_id, about) WHERE kind = 'yearly';
            CREATE UNIQUE INDEX letters_once ON letters (user_id, kind, day, about) WHERE kind <> 'way_in';

            -- Links in letters: only a digest stands here. By the machine's clock.
            CREATE TABLE links (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                purpose text NOT NULL
                    CHECK (purpose IN ('accept_handover', 'verify_mailbox', 'confirm_registrant', 'set_password', 'receive_codes')),
                digest char(64) NOT NULL UNIQUE CHECK (digest ~ '^[0-9a-f]{64}$'),
                mailbox text NOT NULL,
                docket_id bigint REFERENCES dockets ON DELETE CASCADE,
                docket_version integer,
                misses smallint NOT NULL DEFAULT 0,
                expires_at timestamptz NOT NULL,
                used_at timestamptz,
                withdrawn_at timestamptz,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                mailbox_id bigint REFERENCES mailboxes ON DELETE CASCADE,
                confirmation_id bigint REFERENCES confirmations ON DELETE CASCADE,
                user_id bigint REFERENCES users ON DELETE CASCADE,
                late_on timestamptz,
                late_says boolean,
                late_words text CHECK (length(late_words) <= 900),
                CONSTRAINT links_confirm CHECK ((purpose = 'confirm_registrant') = (confirmation_id IS NOT NULL)),
                CONSTRAINT links_of CHECK (num_nonnulls(docket_id, mailbox_id, user_id) = 1
                    AND (docket_id IS NULL) = (docket_version IS NULL) AND (purpose = 'set_password') = (user_id IS NOT NULL)),
                CHECK ((late_on IS NULL) = (late_says IS NULL))
            );
            CREATE UNIQUE INDEX links_one_mailbox ON links (purpose, mailbox_id) WHERE used_at IS NULL AND withdrawn_at IS NULL
                AND mailbox_id IS NOT NULL;
            CREATE UNIQUE INDEX links_one_docket ON links (purpose, docket_id) WHERE used_at IS NULL AND withdrawn_at IS NULL
                AND docket_id IS NOT NULL AND confirmation_id IS NULL;
            CREATE UNIQUE INDEX links_one_confirmation ON links (confirmation_id) WHERE used_at IS NULL AND withdrawn_at IS NULL
                AND confirmation_id IS NOT NULL;
            CREATE UNIQUE INDEX links_one_password ON links (user_id) WHERE used_at IS NULL AND withdrawn_at IS NULL
                AND user_id IS NOT NULL;
            CREATE INDEX links_late ON links (docket_id) WHERE late_on IS NOT NULL;

            -- To whom the auth codes of a docket were given: asked by letter, and shown once.
            CREATE TABLE code_handouts (
                docket_id bigint PRIMARY KEY REFERENCES dockets ON DELETE CASCADE,
                mailbox text NOT NULL CHECK (btrim(mailbox) <> '' AND length(mailbox) <= 320),
                written_on timestamptz NOT NULL,
                shown_on timestamptz
            );

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
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                updated_at timestamptz,
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
            SQL);
    }
};
