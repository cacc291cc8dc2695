<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A contact that changes in our books is another at its registrars only once they were told. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            -- The version that its registrar has; null: today's, as far as is known.
            ALTER TABLE roles ADD told_version_id bigint REFERENCES contact_versions ON DELETE SET NULL;

            CREATE OR REPLACE VIEW registrants AS
            SELECT r.name_id, r.contact_id, c.kind, c.client_id, v.called, v.organisation, v.person, v.country, m.id AS mailbox_id, m.address, m.site, m.takes_mail,
                r.id AS role_id, v.id AS version_id,
                -- What its registrar still has, where that says something else than today's; null: nothing else is known. What our books
                did
                -- not know then the registrar may well have had, and a name that was found to be an organisation's is the same name.
                (SELECT w.id FROM contact_versions w WHERE w.id = r.told_version_id AND w.contact_id = r.contact_id
                    AND (w.called <> v.called OR w.organisation IS NOT NULL AND w.person IS NOT NULL AND (w.organisation, w.person) IS DISTINCT FROM (v.organisation, v.person)
                        OR w.street <> '[]' AND w.street <> v.street OR w.town IS NOT NULL AND w.town IS DISTINCT FROM v.town OR w.region IS NOT NULL AND w.region IS DISTINCT FROM v.region
                        OR w.postcode IS NOT NULL AND w.postcode IS DISTINCT FROM v.postcode OR w.country IS NOT NULL AND w.country IS DISTINCT FROM v.country OR w.voice IS NOT NULL AND w.voice IS DISTINCT FROM v.voice
                        OR w.mailbox_id IS NOT NULL AND w.mailbox_id IS DISTINCT FROM v.mailbox_id OR w.local IS NOT NULL AND w.local IS DISTINCT FROM v.local)) AS told_id
            FROM roles r JOIN contacts c ON c.id = r.contact_id JOIN contact_versions v ON v.contact_id = r.contact_id AND upper_inf(v.span) LEFT JOIN mailboxes m ON m.id = v.mailbox_id
            WHERE r.role = 'registrant' AND upper_inf(r.span);
            UPDATE standing_ages SET stands_until = '-infinity' WHERE name_id IN (SELECT name_id FROM registrants WHERE told_id IS NOT NULL);
            SQL
            ,
        );
    }
};
