<?php

declare(strict_types=1);

namespace App\Queries\Verification;

use Acre\Core\Contact\Guard;
use Acre\Core\Time\Instant;
use App\Models\LetterState;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The mailboxes whose verification is due, by what goes dark first and how many names hang on it. */
final readonly class ReadBoard
{
    public const MOST = 40;

    /** Names that are looked at for a page: those that go dark first. */
    private const LOOKED_AT = 160;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<Row> mailbox_id, address, takes_mail, contact_id, called, client_name, by, names, example, by_house (of how many names the house asks), senders, letter_state, letter_on, letter_answer, asked_on (of the first that the post took), forwards_to, objection, objection_by */
    public function due(?Instant $until = null): array
    {
        return $this->read($until, self::LOOKED_AT, self::MOST);
    }

    /** @return list<Row> the same columns, of every mailbox; for a job */
    public function all(): array
    {
        return $this->read(null, null, null);
    }

    /** @return list<Row> */
    private function read(?Instant $until, ?int $lookedAt, ?int $most): array
    {
        return Row::all($this->database->select(<<<'SQL'
            WITH first AS (
                SELECT mailbox, verify_by FROM standings WHERE verify_by < ?::timestamptz AND verify_by < 'infinity' AND mailbox <> '' ORDER BY verify_by, name_id LIMIT ?
            ), boxes AS (
                SELECT mailbox, min(verify_by) AS by FROM first GROUP BY mailbox ORDER BY 2, 1 LIMIT ?
            ), due AS (
                SELECT b.mailbox, b.by, count(*) AS names, min(s.unicode) AS example, min(s.name_id) AS name_id, min(s.client_name) AS client_name,
                    count(*) FILTER (WHERE g.verifies_by = 'house') AS by_house, string_agg(DISTINCT g.name || coalesce(' (from ' || g.verification_sender || ')', ''), ', ') FILTER (WHERE g.verifies_by = 'registrar') AS senders
                FROM boxes b JOIN standings s ON s.mailbox = b.mailbox AND s.verify_by < 'infinity' LEFT JOIN registrars g ON g.id = s.registrar_id
                GROUP BY b.mailbox, b.by
            ), known AS (
                SELECT d.by, d.names, d.example, d.client_name, d.by_house, d.senders, b.id AS mailbox_id, b.address, b.takes_mail, b.forwards_to, o.contact_id
                FROM due d JOIN mailboxes b ON lower(b.address) = lower(d.mailbox) JOIN roles o ON o.name_id = d.name_id AND o.role = 'registrant' AND upper_inf(o.span)
            )
            SELECT d.*, (SELECT min(f.written_on) FROM letters f WHERE f.mailbox_id = d.mailbox_id AND f.kind = 'verification' AND f.state = 'sent' AND NOT EXISTS (SELECT 1 FROM objections o WHERE o.mailbox_id = d.mailbox_id AND o.said_on >= f.written_on)) AS asked_on,
                q.said_by AS objection_by, q.words AS objection, v.called, l.id AS letter_id, l.state AS letter_state, l.written_on AS letter_on, l.answer AS letter_answer
            FROM known d JOIN contact_versions v ON v.contact_id = d.contact_id AND upper_inf(v.span)
                LEFT JOIN LATERAL (SELECT * FROM letters t WHERE t.mailbox_id = d.mailbox_id AND t.kind = 'verification' AND t.state <> 'called_off' ORDER BY t.id DESC LIMIT 1) l ON true
                LEFT JOIN LATERAL (SELECT o.said_by, o.words FROM objections o WHERE o.mailbox_id = d.mailbox_id AND o.settled_on IS NULL ORDER BY o.id DESC LIMIT 1) q ON true
            ORDER BY d.by, d.names DESC, d.mailbox_id
            SQL, [$until?->isoSecond() ?? 'infinity', $lookedAt, $most]));
    }

    /** Whether nobody has answered for days what the post took, and nobody has said anything else. */
    public static function isSilent(Row $row, Instant $now): bool
    {
        $asked = $row->instant('asked_on');

        return $asked !== null && $row->textOrNull('letter_state') === LetterState::Sent->value && $row->textOrNull('objection') === null && Guard::silentAfter($asked)->hasComeAt($now);
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
