<?php

declare(strict_types=1);

namespace App\Queries\Verification;

use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The mailboxes whose verification is due, by what goes dark first and how many names hang on it. */
final readonly class ReadBoard
{
    public const MOST = 200;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<Row> mailbox_id, address, takes_mail, contact_id, called, client_name, by, names, example, by_house (of how many names the house asks), senders, letter_state, letter_on, letter_answer, objection */
    public function due(?Instant $until = null, int $most = self::MOST): array
    {
        return Row::all($this->database->select(<<<'SQL'
            WITH due AS (
                SELECT x.mailbox_id, min(s.verify_by) AS by, count(*) AS names, min(s.unicode) AS example, min(x.contact_id) AS contact_id, min(s.client_name) AS client_name,
                    count(*) FILTER (WHERE g.verifies_by = 'house') AS by_house, string_agg(DISTINCT g.name || coalesce(' (from ' || g.verification_sender || ')', ''), ', ') FILTER (WHERE g.verifies_by = 'registrar') AS senders
                FROM standings s JOIN registrants x ON x.name_id = s.name_id LEFT JOIN registrars g ON g.id = s.registrar_id
                WHERE s.verify_by < ?::timestamptz AND x.mailbox_id IS NOT NULL GROUP BY x.mailbox_id
            )
            SELECT d.*, m.address, m.takes_mail, v.called, l.id AS letter_id, l.state AS letter_state, l.written_on AS letter_on, l.answer AS letter_answer,
                (SELECT o.words FROM objections o WHERE o.mailbox_id = d.mailbox_id AND o.settled_on IS NULL ORDER BY o.id DESC LIMIT 1) AS objection
            FROM due d JOIN mailboxes m ON m.id = d.mailbox_id JOIN contact_versions v ON v.contact_id = d.contact_id AND upper_inf(v.span)
                LEFT JOIN LATERAL (SELECT * FROM letters t WHERE t.mailbox_id = d.mailbox_id AND t.kind = 'verification' ORDER BY t.id DESC LIMIT 1) l ON true
            ORDER BY d.by, d.names DESC, d.mailbox_id LIMIT ?
            SQL, [$until?->isoSecond() ?? 'infinity', $most]));
    }

    /** @return list<Row> the names that a mailbox must be verified for: ascii, unicode, verify_by, registrar_name, verifies_by */
    public function names(int $mailboxId, int $limit = 500): array
    {
        return Row::all($this->database->select(
            "SELECT s.name_id, s.ascii, s.unicode, s.verify_by, s.registrar_name, g.verifies_by FROM registrants x JOIN standings s ON s.name_id = x.name_id LEFT JOIN registrars g ON g.id = s.registrar_id
             WHERE x.mailbox_id = ? AND s.verify_by < 'infinity' ORDER BY s.verify_by, s.ascii LIMIT ?", [$mailboxId, $limit],
        ));
    }
}
