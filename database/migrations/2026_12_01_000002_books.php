<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Whom we serve, registrars and their prices, accounts, the names, and who held them when. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            -- A name of somebody as it is compared: whatever its case, blanks and apostrophes.
            CREATE OR REPLACE FUNCTION folded(given text) RETURNS text LANGUAGE sql IMMUTABLE PARALLEL SAFE STRICT
                RETURN lower(translate(regexp_replace(btrim(given), '\s+', ' ', 'g'), '’‘ʼ´`', ''''''''''''));

            CREATE TABLE patterns (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name text NOT NULL CHECK (btrim(name) = name AND name <> '' AND length(name) <= 80),
                -- The fields of the holder that the world may read, as far as suffix and registrar let it.
                fields jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(fields) = 'array'),
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                updated_at timestamptz
            );
            CREATE UNIQUE INDEX patterns_name ON patterns (lower(name));
            INSERT INTO patterns (name, fields) VALUES
                ('nothing of ours', '[]'),
                ('the organisation, not the person', '["organisation", "town", "region", "country"]'),
                ('open to be found',
                    '["name", "organisation", "street", "town", "region", "postcode", "country", "voice", "mailbox"]');

            CREATE TABLE clients (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name text NOT NULL CHECK (btrim(name) <> '' AND length(name) <= 200),
                is_house boolean NOT NULL DEFAULT false,
                mailbox text CHECK (length(mailbox) <= 320),
                remarks text CHECK (length(remarks) <= 4000),
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz,
                updated_at timestamptz,
                -- Which pattern the names of a client are to follow, and, where none is said, the house's.
                pattern_id bigint REFERENCES patterns ON DELETE SET NULL,
                merged_into bigint REFERENCES clients ON DELETE RESTRICT,
                CHECK (merged_into IS NULL OR merged_into <> id AND NOT is_house)
            );
            CREATE UNIQUE INDEX clients_one_house ON clients (is_house) WHERE is_house;
            CREATE INDEX clients_like ON clients USING gin (lower(name) gin_trgm_ops);
            CREATE UNIQUE INDEX clients_name ON clients (folded(name));
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
                FOR EACH ROW WHEN (NEW.merged_into IS NOT NULL)
                EXECUTE FUNCTION clients_are_merged_flat();

            CREATE TABLE registrars (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name text NOT NULL CHECK (btrim(name) <> '' AND length(name) <= 200),
                link text NOT NULL DEFAULT 'slip' CHECK (link IN ('slip', 'wire', 'bridge')),
                receiver_by text NOT NULL DEFAULT 'number_login'
                    CHECK (receiver_by IN ('number_login', 'mailbox_number', 'mailbox', 'handle')),
                confirms text NOT NULL DEFAULT 'receiver'
                    CHECK (confirms IN ('nobody', 'receiver', 'giver_then_receiver', 'receiver_then_giver')),
                names_giver boolean NOT NULL DEFAULT false,
                lock_first boolean NOT NULL DEFAULT false,
                unlock_account_first boolean NOT NULL DEFAULT false,
                accept_days smallint NOT NULL DEFAULT 14 CHECK (accept_days BETWEEN 1 AND 90),
                lot_size integer NOT NULL DEFAULT 1000 CHECK (lot_size BETWEEN 1 AND 10000),
                handover_hold_days smallint NOT NULL DEFAULT 0 CHECK (handover_hold_days BETWEEN 0 AND 365),
                charge_lead_days smallint NOT NULL DEFAULT 0 CHECK (charge_lead_days BETWEEN 0 AND 90),
                dark_after_days smallint CHECK (dark_after_days BETWEEN 0 AND 90),
                plain_after_days smallint CHECK (plain_after_days BETWEEN 0 AND 90),
                late_until_days smallint CHECK (late_until_days BETWEEN 0 AND 90),
                extras jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(extras) = 'object'),
                remarks text CHECK (length(remarks) <= 4000),
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz,
                updated_at timestamptz,
                -- The accredited registrars, numbers and tags that stand behind a shop.
                behind jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(behind) = 'array'),
                -- Where a registrar by wire takes EPP: `host:port`, a host that is listed.
                gate text CHECK (gate ~ '^[a-z0-9.-]+:[0-9]{1,5}$'),
                -- How many commands a minute a registrar takes at its gate; null: it has not said.
                gate_a_minute integer CHECK (gate_a_minute BETWEEN 1 AND 60000),
                -- Where a receiver says yes: on the registrar's own page, or in answer to a letter of ours, before anything moves.
                accepts_by text NOT NULL DEFAULT 'page' CHECK (accepts_by IN ('page', 'letter')),
                -- The steps that a registrar sells, each a list of fields; null: it takes them field by field.
                disclosure_steps jsonb CHECK (jsonb_typeof(disclosure_steps) = 'array'),
                -- Who asks a registrant to verify: the registrar with letters of its own, or the house.
                verifies_by text NOT NULL DEFAULT 'registrar' CHECK (verifies_by IN ('registrar', 'house')),
                verification_sender text CHECK (length(verification_sender) <= 300),
                -- Whether a registrar lets the hold after a change of registrant be declined beforehand.
                hold_declinable boolean NOT NULL DEFAULT false,
                -- Of names that come from another registrar: whether it passes on a DS (null: not known), takes no name servers but
                -- its own, and asks the holder by letter first.
                takes_keys boolean,
                own_servers_only boolean NOT NULL DEFAULT false,
                transfers_by_letter boolean NOT NULL DEFAULT false,
                -- SHA-256 of the public key that the gate shows, in base64 (as RFC 7858 §A writes a pin).
                gate_key text CHECK (gate_key ~ '^[A-Za-z0-9+/]{43}=$'),
                page text CHECK (length(page) <= 300 AND page LIKE 'https://%'),
                telephone text CHECK (length(telephone) <= 60),
                CHECK (plain_after_days IS NULL OR late_until_days IS NULL OR plain_after_days <= late_until_days),
                CONSTRAINT registrars_gate CHECK (link = 'slip' OR gate IS NOT NULL)
            );
            CREATE UNIQUE INDEX registrars_name ON registrars (lower(name));

            CREATE TABLE prices (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                registrar_id bigint NOT NULL REFERENCES registrars ON DELETE RESTRICT,
                suffix text NOT NULL CHECK (suffix = lower(suffix) AND suffix <> ''),
                action text NOT NULL CHECK (action IN ('add', 'renew', 'transfer', 'restore', 'late', 'handover')),
                amount numeric NOT NULL CHECK (amount >= 0) CHECK (scale(amount) <= 4 AND amount < 10000000000),
                currency char(3) NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
                tax_percent numeric(5, 2) NOT NULL DEFAULT 0 CHECK (tax_percent BETWEEN 0 AND 100),
                span tstzrange NOT NULL CHECK (NOT isempty(span)),
                created_at timestamptz,
                updated_at timestamptz,
                EXCLUDE USING gist (registrar_id WITH =, suffix WITH =, action WITH =, span WITH &&)
            );

            CREATE TABLE accounts (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                registrar_id bigint NOT NULL REFERENCES registrars ON DELETE RESTRICT,
                number text NOT NULL CHECK (btrim(number) <> '' AND length(number) <= 100),
                login text CHECK (length(login) <= 200),
                mailbox text CHECK (length(mailbox) <= 320),
                handle text CHECK (length(handle) <= 100),
                owner_id bigint REFERENCES clients ON DELETE RESTRICT,
                access text NOT NULL DEFAULT 'ours' CHECK (access IN ('ours', 'theirs')),
                -- The identifiers are known to belong together since then; NULL: unproven.
                proven_at timestamptz,
                remarks text CHECK (length(remarks) <= 4000),
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz,
                updated_at timestamptz,
                gate_secret_id bigint REFERENCES secrets ON DELETE SET NULL,
                -- Where the registrar's letters go, where that is not the login mailbox.
                letters_to text CHECK (length(letters_to) <= 320),
                -- How one gets in again once nobody can: recovery codes in the safe, a form, a telephone number.
                way_back text CHECK (length(way_back) <= 1000),
                -- The web host's panel is behind the same login.
                hosts_too boolean NOT NULL DEFAULT false,
                -- Link, gate and key when the password was given; where the registrar's are others, it is not used.
                gate_for text CHECK (length(gate_for) <= 500)
            );
            CREATE UNIQUE INDEX accounts_number ON accounts (registrar_id, lower(number));
            CREATE INDEX accounts_like ON accounts USING gin (lower(number || ' ' || coalesce(login, '') || ' '
                || coalesce(mailbox, '') || ' ' || coalesce(handle, '')) gin_trgm_ops);
            CREATE INDEX accounts_owner ON accounts (owner_id);

            CREATE OR REPLACE FUNCTION of_the_kept_owner() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                NEW.owner_id := coalesce((SELECT merged_into FROM clients WHERE id = NEW.owner_id FOR KEY SHARE), NEW.owner_id);
                RETURN NEW;
            END $$;
            CREATE TRIGGER accounts_kept_owner BEFORE INSERT OR UPDATE OF owner_id ON accounts FOR EACH ROW WHEN (NEW.owner_id IS NOT NULL)
                EXECUTE FUNCTION of_the_kept_owner();

            CREATE TABLE names (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                ascii text NOT NULL UNIQUE CHECK (ascii = lower(ascii) AND length(ascii) BETWEEN 1 AND 253),
                unicode text NOT NULL,
                suffix text NOT NULL,
                created_at timestamptz,
                updated_at timestamptz
            );

            CREATE TABLE registrations (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL REFERENCES names ON DELETE RESTRICT,
                span tstzrange NOT NULL CHECK (NOT isempty(span)),
                -- Facts of time: the instant, and whether only the day was said.
                created_on timestamptz,
                created_is_day boolean NOT NULL DEFAULT true,
                ends_on timestamptz,
                ends_is_day boolean NOT NULL DEFAULT true,
                moved_on timestamptz,
                moved_is_day boolean NOT NULL DEFAULT true,
                statuses jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(statuses) = 'array'),
                lock text NOT NULL DEFAULT 'unknown' CHECK (lock IN ('on', 'off', 'unknown')),
                intent text NOT NULL DEFAULT 'when_told' CHECK (intent IN ('by_itself', 'when_told', 'ask_client', 'lapse')),
                reference text CHECK (length(reference) <= 200),
                raw jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(raw) = 'object'),
                -- Where each fact came from and when: {"ends": {"from": "brought in", "import": 3, "at": "…"}}
                sources jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(sources) = 'object'),
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz,
                updated_at timestamptz,
                servers jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(servers) = 'array'),
                -- DS records that it is to have at its registry; null: nobody has said.
                delegates jsonb CHECK (jsonb_typeof(delegates) = 'array'),
                disclosure text NOT NULL DEFAULT 'unknown'
                    CHECK (disclosure IN ('shown', 'withheld', 'replaced', 'redacted', 'unknown')),
                own_renewal numeric CHECK (own_renewal >= 0) CHECK (scale(own_renewal) <= 4 AND own_renewal < 10000000000),
                own_currency char(3) CHECK (own_currency ~ '^[A-Z]{3}$'),
                -- What the registrar was told to show; null: not known.
                shown jsonb CHECK (jsonb_typeof(shown) = 'array'),
                pattern_id bigint REFERENCES patterns ON DELETE SET NULL,
                -- When its registrant last became another one, or another name, organisation or mailbox of the same; null: never as
                -- far as is known.
                registrant_changed_on timestamptz,
                deleted_since timestamptz,
                CHECK (ends_on IS NULL OR created_on IS NULL OR ends_on > created_on),
                CONSTRAINT registrations_of_name UNIQUE (name_id, id),
                CONSTRAINT registrations_past EXCLUDE USING gist (name_id WITH =, span WITH &&) WHERE (NOT upper_inf(span)),
                CONSTRAINT registrations_deleted CHECK (deleted_since IS NULL OR jsonb_exists_any(statuses, ARRAY['redemptionPeriod',
                    'pendingRestore', 'pendingDelete'])),
                CHECK ((own_renewal IS NULL) = (own_currency IS NULL))
            ) WITH (autovacuum_analyze_scale_factor = 0.3);
            ALTER TABLE registrations ALTER raw SET STATISTICS 0, ALTER sources SET STATISTICS 0;
            -- What holds today is asked for by name far more often than any span.
            CREATE UNIQUE INDEX registrations_today ON registrations (name_id) WHERE upper_inf(span);

            CREATE TABLE holdings (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL,
                registration_id bigint NOT NULL,
                account_id bigint NOT NULL REFERENCES accounts ON DELETE RESTRICT,
                client_id bigint NOT NULL REFERENCES clients ON DELETE RESTRICT,
                span tstzrange NOT NULL CHECK (NOT isempty(span)),
                docket_id bigint,
                created_at timestamptz,
                updated_at timestamptz,
                -- Since when a list of everything in the account has been without the name; seen in one again, it is NULL.
                missing_since timestamptz,
                missing_import_id bigint,
                CHECK (missing_since IS NOT NULL OR missing_import_id IS NULL),
                CONSTRAINT holdings_of_registration FOREIGN KEY (name_id, registration_id) REFERENCES registrations(name_id,
                    id) ON DELETE RESTRICT,
                CONSTRAINT holdings_past EXCLUDE USING gist (name_id WITH =, span WITH &&) WHERE (NOT upper_inf(span))
            );
            CREATE INDEX holdings_account ON holdings (account_id) WHERE upper_inf(span);
            CREATE INDEX holdings_client ON holdings (client_id) WHERE upper_inf(span);
            CREATE INDEX holdings_registration ON holdings (registration_id);
            CREATE INDEX holdings_missing ON holdings (missing_import_id) WHERE missing_import_id IS NOT NULL;
            CREATE INDEX holdings_name ON holdings (name_id);
            CREATE UNIQUE INDEX holdings_today ON holdings (name_id) WHERE upper_inf(span);

            -- A name that arrives in an account is held, and watched no more.
            CREATE OR REPLACE FUNCTION held_is_not_watched() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                DELETE FROM watchings w USING new_rows n WHERE w.name_id = n.name_id AND upper_inf(n.span);
                UPDATE observing o SET due_at = '-infinity' FROM new_rows n WHERE o.name_id = n.name_id AND o.due_at = 'infinity';
                RETURN NULL;
            END $$;
            CREATE TRIGGER holdings_not_watched AFTER INSERT ON holdings
                REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT
                EXECUTE FUNCTION held_is_not_watched();

            -- The lock is the one that the reference takes anyway: whoever merges the two waits for it, and moves what was written.
            CREATE OR REPLACE FUNCTION of_the_kept_client() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                IF NEW.client_id IS NOT NULL THEN
                    NEW.client_id := coalesce((SELECT merged_into FROM clients WHERE id = NEW.client_id FOR KEY SHARE), NEW.client_id);
                END IF;
                RETURN NEW;
            END $$;
            CREATE TRIGGER holdings_kept_client BEFORE INSERT OR UPDATE OF client_id ON holdings FOR EACH ROW
                EXECUTE FUNCTION of_the_kept_client();

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
                servers jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(servers) = 'array'),
                deleted_since timestamptz,
                CONSTRAINT watchings_deleted CHECK (deleted_since IS NULL OR jsonb_exists_any(statuses, ARRAY['redemptionPeriod',
                    'pendingRestore', 'pendingDelete']))
            );
            CREATE INDEX watchings_client ON watchings (client_id);

            -- And what is held can't be watched.
            CREATE OR REPLACE FUNCTION watched_is_not_held() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                IF EXISTS (SELECT FROM holdings WHERE name_id = NEW.name_id AND upper_inf(span)) THEN
                    RAISE EXCEPTION 'name % is held', NEW.name_id USING ERRCODE = 'check_violation';
                END IF;
                RETURN NEW;
            END $$;
            CREATE TRIGGER watchings_not_held BEFORE INSERT ON watchings FOR EACH ROW
                EXECUTE FUNCTION watched_is_not_held();
            CREATE TRIGGER watchings_kept_client BEFORE INSERT OR UPDATE OF client_id ON watchings FOR EACH ROW
                EXECUTE FUNCTION of_the_kept_client();

            CREATE TABLE extras (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                registration_id bigint NOT NULL REFERENCES registrations ON DELETE CASCADE,
                kind text NOT NULL CHECK (kind IN ('privacy', 'mail', 'redirects', 'zone', 'certificate', 'hosting')),
                ends_on timestamptz,
                ended_on timestamptz,
                amount numeric(12, 2) CHECK (amount >= 0),
                currency char(3) CHECK (currency ~ '^[A-Z]{3}$'),
                remarks text CHECK (length(remarks) <= 500),
                created_at timestamptz,
                updated_at timestamptz,
                renews boolean NOT NULL DEFAULT false
            );
            CREATE INDEX extras_registration ON extras (registration_id);
            CREATE UNIQUE INDEX extras_one_open ON extras (registration_id, kind) WHERE ended_on IS NULL;
            CREATE INDEX extras_ending ON extras (ends_on) WHERE kind = 'privacy' AND ended_on IS NULL AND NOT renews
                AND ends_on IS NOT NULL;

            -- Labels that people give.
            CREATE TABLE words (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                label text NOT NULL CHECK (btrim(label) = label AND label <> '' AND length(label) <= 60),
                created_at timestamptz,
                updated_at timestamptz
            );
            CREATE UNIQUE INDEX words_label ON words (lower(label));

            CREATE TABLE name_words (
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                word_id bigint NOT NULL REFERENCES words ON DELETE CASCADE,
                PRIMARY KEY (name_id, word_id)
            );
            CREATE INDEX name_words_word ON name_words (word_id);

            CREATE TABLE notes (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint REFERENCES names ON DELETE CASCADE,
                account_id bigint REFERENCES accounts ON DELETE CASCADE,
                client_id bigint REFERENCES clients ON DELETE CASCADE,
                user_id bigint NOT NULL REFERENCES users,
                text text NOT NULL DEFAULT '' CHECK (length(text) <= 10000),
                file text CHECK (length(file) <= 200),
                path text,
                size bigint,
                created_at timestamptz,
                updated_at timestamptz,
                CHECK (num_nonnulls(name_id, account_id, client_id) = 1),
                CHECK ((file IS NULL) = (path IS NULL)),
                CHECK (btrim(text) <> '' OR file IS NOT NULL)
            );
            CREATE INDEX notes_name ON notes (name_id, id);
            CREATE INDEX notes_account ON notes (account_id, id);
            CREATE INDEX notes_client ON notes (client_id, id);
            CREATE TRIGGER notes_kept_client BEFORE INSERT OR UPDATE OF client_id ON notes FOR EACH ROW
                EXECUTE FUNCTION of_the_kept_client();

            -- The code with which a name goes to another registrar: where it is kept, and since when.
            CREATE TABLE auth_codes (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                secret_id bigint NOT NULL UNIQUE REFERENCES secrets,
                got_on timestamptz NOT NULL,
                got_from text NOT NULL CHECK (got_from IN ('registrar', 'typed')),
                -- Whether its registry took it, when it was tried; null: nobody has.
                fits boolean,
                created_at timestamptz,
                updated_at timestamptz
            );
            SQL);
    }
};
