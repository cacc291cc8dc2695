<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A contact that changes in our books is another at its registrars only once they were told. */
return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared(<<<'SQL'
-- The version that its registrar was told; null: the one that stood when the role began.
ALTER TABLE roles ADD told_version_id bigint REFERENCES contact_versions ON DELETE SET NULL;

CREATE OR REPLACE VIEW registrants AS
SELECT r.name_id, r.contact_id, c.kind, c.client_id, v.called, v.organisation, v.person, v.country, m.id AS mailbox_id, m.address, m.site, m.takes_mail,
    r.id AS role_id, v.id AS version_id,
    -- What its registrar still has, where that says something else than today's; null: it has today's.
    (SELECT w.id FROM contact_versions w WHERE w.contact_id = r.contact_id AND (w.id = r.told_version_id OR r.told_version_id IS NULL AND w.span @> lower(r.span))
        AND (w.organisation, w.person, w.street, w.town, w.region, w.postcode, w.country, w.voice, w.mailbox_id, w.local) IS DISTINCT FROM (v.organisation, v.person, v.street, v.town, v.region, v.postcode, v.country, v.voice, v.mailbox_id, v.local) LIMIT 1) AS told_id
FROM roles r JOIN contacts c ON c.id = r.contact_id JOIN contact_versions v ON v.contact_id = r.contact_id AND upper_inf(v.span) LEFT JOIN mailboxes m ON m.id = v.mailbox_id
WHERE r.role = 'registrant' AND upper_inf(r.span);
UPDATE standing_ages SET stands_until = '-infinity' WHERE name_id IN (SELECT name_id FROM registrants WHERE told_id IS NOT NULL);
SQL);
    }
};
