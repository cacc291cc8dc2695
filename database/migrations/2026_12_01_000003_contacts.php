<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Contacts, their mailboxes, what they are to which name, and what they agreed to. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE TABLE mailboxes (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                address text NOT NULL CHECK (length(address) BETWEEN 3 AND 320),
                -- The name that its host lies in, as it would stand on the Roll; '': it lies in none that could. NULL: not worked out
                -- yet.
                site text CHECK (length(site) <= 253),
                -- Whether its host takes mail at all, as DNS said.
                takes_mail text NOT NULL DEFAULT 'unknown' CHECK (takes_mail IN ('yes', 'no', 'unknown')),
                looked_on timestamptz,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                updated_at timestamptz,
                -- One answer serves every name that carries it.
                verified_on timestamptz,
                verified_by text CHECK (verified_by IN ('letter', 'call', 'registrar')),
                verified_words text CHECK (length(verified_words) <= 1000),
                verified_user_id bigint REFERENCES users ON DELETE SET NULL,
                -- From where a letter to it was answered last, where that was another mailbox: it only forwards.
                forwards_to text CHECK (length(forwards_to) <= 320),
                CONSTRAINT mailboxes_verified CHECK ((verified_on IS NULL) = (verified_by IS NULL))
            );
            CREATE UNIQUE INDEX mailboxes_address ON mailboxes (lower(address));
            CREATE INDEX mailboxes_site ON mailboxes (site) WHERE site <> '';
            CREATE INDEX mailboxes_unplaced ON mailboxes (id) WHERE site IS NULL;
            -- Of another expression than the one above: this one would be taken for equality too, at a thousand times the cost.
            CREATE INDEX mailboxes_sought ON mailboxes USING gin (address gin_trgm_ops);

            CREATE TABLE contacts (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                -- Who knows this contact as theirs; null: nobody has said.
                client_id bigint REFERENCES clients ON DELETE RESTRICT,
                kind text NOT NULL DEFAULT 'unknown' CHECK (kind IN ('organisation', 'person', 'unknown')),
                merged_into bigint REFERENCES contacts,
                -- The number of the version of today.
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                updated_at timestamptz,
                CHECK (merged_into <> id)
            );
            CREATE INDEX contacts_client ON contacts (client_id) WHERE merged_into IS NULL;
            CREATE INDEX contacts_unknown ON contacts (id) WHERE merged_into IS NULL AND client_id IS NULL;
            CREATE TRIGGER contacts_kept_client BEFORE INSERT OR UPDATE OF client_id ON contacts FOR EACH ROW
                EXECUTE FUNCTION of_the_kept_client();

            -- What a contact says, from when to when. These values, and no others, are erased when a person asks for it.
            CREATE TABLE contact_versions (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                contact_id bigint NOT NULL REFERENCES contacts ON DELETE CASCADE,
                number integer NOT NULL,
                span tstzrange NOT NULL CHECK (NOT isempty(span)),
                organisation text CHECK (organisation <> '' AND length(organisation) <= 255),
                person text CHECK (person <> '' AND length(person) <= 255),
                -- Three lines at most (RFC 5733 §2.4).
                street jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(street) = 'array' AND jsonb_array_length(street) <= 3),
                town text CHECK (town <> '' AND length(town) <= 255),
                region text CHECK (region <> '' AND length(region) <= 255),
                postcode text CHECK (postcode <> '' AND length(postcode) <= 16),
                country char(2) CHECK (country ~ '^[A-Z]{2}$'),
                -- As RFC 5733 §2.5 writes it.
                voice text CHECK (voice ~ '^\+[0-9]{1,3}\.[0-9]{1,14}(x[0-9]{1,10})?$'),
                mailbox_id bigint REFERENCES mailboxes ON DELETE RESTRICT,
                -- The same in its own script, where that differs: organisation, person, street, town, region, postcode.
                local jsonb CHECK (jsonb_typeof(local) = 'object'),
                source text NOT NULL CHECK (source IN ('typed', 'brought in', 'card', 'record')),
                user_id bigint REFERENCES users ON DELETE SET NULL,
                called text GENERATED ALWAYS AS (coalesce(organisation, person, '')) STORED,
                -- By what is left of how it is called once case, accents, points and legal forms are taken off.
                likeness text NOT NULL DEFAULT '',
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                CHECK (organisation IS NOT NULL OR person IS NOT NULL OR mailbox_id IS NOT NULL),
                UNIQUE (contact_id, number),
                CONSTRAINT contact_versions_past EXCLUDE USING gist (contact_id WITH =, span WITH &&) WHERE (NOT upper_inf(span)
                   )
            );
            CREATE INDEX contact_versions_called ON contact_versions (lower(called), contact_id) WHERE upper_inf(span);
            CREATE INDEX contact_versions_mailbox ON contact_versions (mailbox_id) WHERE upper_inf(span);
            CREATE INDEX contact_versions_likeness ON contact_versions (likeness) WHERE upper_inf(span) AND likeness <> '';
            CREATE INDEX contact_versions_sought ON contact_versions USING gin (lower(coalesce(organisation,
                '') || ' ' || coalesce(person, '')) gin_trgm_ops) WHERE upper_inf(span);
            CREATE UNIQUE INDEX contact_versions_today ON contact_versions (contact_id) WHERE upper_inf(span);

            CREATE TABLE roles (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL,
                registration_id bigint NOT NULL,
                contact_id bigint NOT NULL REFERENCES contacts ON DELETE RESTRICT,
                role text NOT NULL CHECK (role IN ('registrant', 'administrative', 'technical', 'billing')),
                span tstzrange NOT NULL CHECK (NOT isempty(span)),
                docket_id bigint,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                -- The version that its registrar has; null: today's, as far as is known.
                told_version_id bigint REFERENCES contact_versions ON DELETE SET NULL,
                CONSTRAINT roles_once EXCLUDE USING gist (((name_id + 0)) WITH =, contact_id WITH =, role WITH =,
                    span WITH &&) WHERE (role <> 'registrant'),
                CONSTRAINT roles_of_registration FOREIGN KEY (name_id, registration_id) REFERENCES registrations(name_id,
                    id) ON DELETE CASCADE,
                CONSTRAINT roles_past EXCLUDE USING gist (name_id WITH =, span WITH &&) WHERE (NOT upper_inf(span)
                    AND role = 'registrant')
            );
            CREATE INDEX roles_contact_today ON roles (contact_id, name_id) WHERE upper_inf(span);
            CREATE INDEX roles_contact ON roles (contact_id);
            CREATE INDEX roles_registration ON roles (registration_id);
            CREATE INDEX roles_name ON roles (name_id);
            CREATE UNIQUE INDEX roles_today ON roles (name_id) WHERE upper_inf(span) AND role = 'registrant';

            -- What somebody said is wrong of the data that they were asked to confirm.
            CREATE TABLE objections (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                mailbox_id bigint NOT NULL REFERENCES mailboxes ON DELETE CASCADE,
                words text NOT NULL CHECK (btrim(words) <> '' AND length(words) <= 1000),
                said_on timestamptz NOT NULL,
                settled_on timestamptz,
                settled_by bigint REFERENCES users ON DELETE SET NULL,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                said_by text NOT NULL DEFAULT 'page' CHECK (said_by IN ('page', 'mail')),
                message_id text UNIQUE CHECK (length(message_id) <= 300)
            );
            CREATE INDEX objections_open ON objections (mailbox_id) WHERE settled_on IS NULL;

            -- How contacts are called of which several are called alike; counted by KeepLikenesses.
            CREATE TABLE likenesses (
                likeness text PRIMARY KEY,
                contacts integer NOT NULL CHECK (contacts > 1),
                -- At which their names lie.
                registrars integer NOT NULL CHECK (registrars >= 0)
            );
            CREATE INDEX likenesses_dearest ON likenesses (registrars DESC, likeness);

            -- Who is today's registrant of each name.
            CREATE VIEW registrants AS
            SELECT r.name_id, r.contact_id, c.kind, c.client_id, v.called, v.organisation, v.person, v.country,
                m.id AS mailbox_id, m.address, m.site, m.takes_mail, r.id AS role_id, v.id AS version_id,
                -- What its registrar was told last; whether that is wrong today is the core's to say. Null: nothing else is known.
                nullif(r.told_version_id, v.id) AS told_id
            FROM roles r
            JOIN contacts c ON c.id = r.contact_id
            JOIN contact_versions v ON v.contact_id = r.contact_id AND upper_inf(v.span)
            LEFT JOIN mailboxes m ON m.id = v.mailbox_id
            WHERE r.role = 'registrant' AND upper_inf(r.span);
            SQL);
    }
};
