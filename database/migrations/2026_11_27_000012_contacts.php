<?php

declare(strict_types=1);

use Acre\Core\Contact\Likeness;
use App\Support\Row;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Who stands behind a name: contacts by versions, the roles that they have for names over spans, and their mailboxes. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE mailboxes (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                address text NOT NULL CHECK (length(address) BETWEEN 3 AND 320),
                -- The name that its host lies in, as it would stand on the Roll; '': it lies in none that could. NULL: not worked out yet.
                site text CHECK (length(site) <= 253),
                -- Whether its host takes mail at all, as DNS said.
                takes_mail text NOT NULL DEFAULT 'unknown' CHECK (takes_mail IN ('yes', 'no', 'unknown')),
                looked_on timestamptz,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(), updated_at timestamptz
            );
            CREATE UNIQUE INDEX mailboxes_address ON mailboxes (lower(address));
            CREATE INDEX mailboxes_site ON mailboxes (site) WHERE site <> '';
            CREATE INDEX mailboxes_unplaced ON mailboxes (id) WHERE site IS NULL;

            CREATE TABLE contacts (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                -- Who knows this contact as theirs; null: nobody has said.
                client_id bigint REFERENCES clients ON DELETE RESTRICT,
                kind text NOT NULL DEFAULT 'unknown' CHECK (kind IN ('organisation', 'person', 'unknown')),
                merged_into bigint REFERENCES contacts CHECK (merged_into <> id),
                -- The number of the version of today.
                version integer NOT NULL DEFAULT 1,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(), updated_at timestamptz
            );
            CREATE INDEX contacts_client ON contacts (client_id) WHERE merged_into IS NULL;
            CREATE INDEX contacts_unknown ON contacts (id) WHERE merged_into IS NULL AND client_id IS NULL;

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
                UNIQUE (contact_id, number),
                CHECK (organisation IS NOT NULL OR person IS NOT NULL OR mailbox_id IS NOT NULL),
                EXCLUDE USING gist (contact_id WITH =, span WITH &&)
            );
            CREATE UNIQUE INDEX contact_versions_today ON contact_versions (contact_id) WHERE upper_inf(span);
            CREATE INDEX contact_versions_called ON contact_versions (lower(called), contact_id) WHERE upper_inf(span);
            CREATE INDEX contact_versions_mailbox ON contact_versions (mailbox_id) WHERE upper_inf(span);
            CREATE INDEX contact_versions_likeness ON contact_versions (likeness) WHERE upper_inf(span) AND likeness <> '';
            CREATE INDEX contact_versions_sought ON contact_versions USING gin ((lower(coalesce(organisation,
            '') || ' ' || coalesce(person, ''))) gin_trgm_ops) WHERE upper_inf(span);
            CREATE INDEX mailboxes_sought ON mailboxes USING gin (lower(address) gin_trgm_ops);

            CREATE TABLE roles (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                name_id bigint NOT NULL REFERENCES names ON DELETE CASCADE,
                registration_id bigint NOT NULL REFERENCES registrations ON DELETE CASCADE,
                contact_id bigint NOT NULL REFERENCES contacts ON DELETE RESTRICT,
                role text NOT NULL CHECK (role IN ('registrant', 'administrative', 'technical', 'billing')),
                span tstzrange NOT NULL CHECK (NOT isempty(span)),
                docket_id bigint REFERENCES dockets ON DELETE SET NULL,
                created_at timestamptz NOT NULL DEFAULT clock_timestamp(),
                -- One registrant at a time; of the others as many as there are, each once.
                EXCLUDE USING gist (name_id WITH =, span WITH &&) WHERE (role = 'registrant'),
                EXCLUDE USING gist (name_id WITH =, contact_id WITH =, role WITH =, span WITH &&) WHERE (role <> 'registrant')
            );
            CREATE UNIQUE INDEX roles_registrant_today ON roles (name_id) WHERE role = 'registrant' AND upper_inf(span);
            CREATE INDEX roles_contact_today ON roles (contact_id, name_id) WHERE upper_inf(span);
            CREATE INDEX roles_contact ON roles (contact_id);
            CREATE INDEX roles_registration ON roles (registration_id);

            -- Names whose mailboxes lie in one another, round and round; written anew by FindRings.
            CREATE TABLE ring_members (
                name_id bigint PRIMARY KEY REFERENCES names ON DELETE CASCADE,
                ring integer NOT NULL,
                place integer NOT NULL,
                size integer NOT NULL
            );
            CREATE INDEX ring_members_ring ON ring_members (ring, place);

            -- What was brought in or typed becomes contacts: one a pair of registrant and mailbox (compared by coalesce,
            which a join can hash).
            INSERT INTO mailboxes (address) SELECT DISTINCT ON (lower(btrim(registrant_mailbox))) btrim(registrant_mailbox)
            FROM registrations WHERE length(btrim(registrant_mailbox)) >= 3;
            WITH said AS (
                SELECT r.id, r.name_id, r.span, nullif(left(btrim(r.registrant), 255), '') AS called, m.id AS mailbox_id
                FROM registrations r LEFT JOIN mailboxes m ON lower(m.address) = lower(btrim(r.registrant_mailbox)) WHERE upper_inf(r.span)
            ), pairs AS (
                SELECT row_number() OVER () AS n, lower(called) AS low, mailbox_id, min(called) AS called, min(lower(span)) AS since
                FROM said WHERE called IS NOT NULL OR mailbox_id IS NOT NULL GROUP BY 2, 3
            ), made AS (
                INSERT INTO contacts (version) SELECT 1 FROM pairs RETURNING id
            ), numbered AS (
                SELECT id, row_number() OVER (ORDER BY id) AS n FROM made
            ), versions AS (
                INSERT INTO contact_versions (contact_id, number, span, person, mailbox_id, source) SELECT id, 1, tstzrange(since, NULL),
                called, mailbox_id, 'brought in' FROM numbered JOIN pairs USING (n)
            )
            INSERT INTO roles (name_id, registration_id, contact_id, role, span)
            SELECT s.name_id, s.id, n.id, 'registrant', s.span FROM said s
            JOIN pairs p ON coalesce(p.low, '') = coalesce(lower(s.called), '') AND coalesce(p.mailbox_id, 0) = coalesce(s.mailbox_id, 0)
            JOIN numbered n USING (n);
            ALTER TABLE registrations DROP COLUMN registrant, DROP COLUMN registrant_mailbox;

            -- What became of letters to a mailbox.
            CREATE INDEX letters_mailbox ON letters (lower(mailbox), id);

            -- The registrant of each name today.
            CREATE VIEW registrants AS
            SELECT r.name_id, r.contact_id, c.kind, c.client_id, v.called, v.organisation, v.person, v.country, m.id AS mailbox_id,
            m.address, m.site, m.takes_mail
            FROM roles r JOIN contacts c ON c.id = r.contact_id
            JOIN contact_versions v ON v.contact_id = r.contact_id AND upper_inf(v.span) LEFT JOIN mailboxes m ON m.id = v.mailbox_id
            WHERE r.role = 'registrant' AND upper_inf(r.span);
            SQL
            ,
        );
        // What the database can't work out by itself.
        DB::table('contact_versions')
            ->where('likeness', '')
            ->orderBy('id')
            ->select(['id', 'called'])
            ->chunkById(1_000, function (Collection $rows): void {
                foreach (Row::all($rows) as $row) {
                    DB::table('contact_versions')
                        ->where('id', $row->int('id'))
                        ->update(['likeness' => Likeness::of($row->text('called'))]);
                }
            });
    }
};
