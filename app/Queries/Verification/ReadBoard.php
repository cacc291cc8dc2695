<?php

declare(strict_types=1);

namespace App\Queries\Verification;

use Acre\Core\Registrant\Guard;
use Acre\Core\Time\Instant;
use App\Models\LetterState;
use App\Queries\Keyset;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The mailboxes whose verification is due, by what goes dark first and how many names hang on it. */
final readonly class ReadBoard
{
    /** Days in which a letter may well be answered too late: the house's own choice, no rule of the trade. */
    private const SHORT = 3;

    /** Mailboxes. */
    public const PAGE = 20;

    public function __construct(private Connection $database)
    {
    }

    /**
     * Each: mailbox_id, address, takes_mail, contact_id, called, client_name, by, names, example, by_house (of how many names the house
     * asks), senders,
     * letter_state, letter_on, letter_answer, asked_on (of the first that the post took), forwards_to, objection, objection_by.
     *
     * @param  Instant|null  $until  those due on that day or later are left out
     * @param  int|null  $most  null: all of them, for a job
     * @param  string|null  $after  where the page before ended, as `place` said
     * @return list<Row>
     */
    public function due(?Instant $until = null, ?int $most = self::PAGE, ?string $after = null): array
    {
        [$by, $names, $mailbox] =
            preg_match('/^([^~]+)~(\d{1,9})~(.{1,254})$/sD', $after ?? '', $part) === 1 && Keyset::instant($part[1]) !== null
                ? [$part[1], (int) $part[2], $part[3]]
                : ['-infinity', 0, ''];
        $until = $until?->isoSecond() ?? 'infinity';

        return Row::all(
            $this->database->select(
                <<<'SQL'
                WITH edge AS (
                    SELECT max(by) AS by FROM (SELECT by FROM verifying WHERE by < ?::timestamptz AND by > ?::timestamptz ORDER BY by
                    LIMIT ?) AS few
                ), boxes AS (
                    -- Whole days: what hangs on a mailbox says where in its day it stands.
                    SELECT v.mailbox, v.by FROM verifying v, edge WHERE v.by < ?::timestamptz AND v.by >= ?::timestamptz
                    AND v.by <= coalesce(edge.by, ?::timestamptz)
                ), due AS (
                    SELECT b.mailbox, b.by, count(*) AS names, min(s.unicode) AS example, min(s.name_id) AS name_id,
                    min(s.client_name) AS client_name,
                        count(*) FILTER (WHERE g.verifies_by = 'house') AS by_house,
                        string_agg(DISTINCT g.name || coalesce(' (from ' || g.verification_sender || ')', ''),
                        ', ') FILTER (WHERE g.verifies_by = 'registrar') AS senders
                    FROM boxes b JOIN standings s ON s.mailbox = b.mailbox AND s.verify_by < 'infinity'
                    LEFT JOIN registrars g ON g.id = s.registrar_id
                    GROUP BY b.mailbox, b.by
                ), page AS (
                    SELECT * FROM due WHERE (by, -names, mailbox) > (?::timestamptz, -?::bigint, ?) ORDER BY by, names DESC, mailbox LIMIT ?
                ), known AS (
                    SELECT d.by, d.names, d.mailbox, d.example, d.client_name, d.by_house, d.senders, b.id AS mailbox_id, b.address,
                    b.takes_mail, b.forwards_to, b.verified_on, b.verified_by, o.contact_id
                    FROM page d JOIN mailboxes b ON lower(b.address) = lower(d.mailbox)
                    JOIN roles o ON o.name_id = d.name_id AND o.role = 'registrant' AND upper_inf(o.span)
                )
                SELECT d.*, (SELECT min(f.written_on) FROM letters f
                WHERE f.mailbox_id = d.mailbox_id AND f.kind = 'verification' AND f.state = 'sent'
                AND NOT EXISTS (SELECT 1 FROM objections o WHERE o.mailbox_id = d.mailbox_id AND o.said_on >= f.written_on)) AS asked_on,
                    q.said_by AS objection_by, q.words AS objection, v.called, l.id AS letter_id, l.state AS letter_state,
                    l.written_on AS letter_on, l.answer AS letter_answer
                FROM known d JOIN contact_versions v ON v.contact_id = d.contact_id AND upper_inf(v.span)
                    LEFT JOIN LATERAL (SELECT * FROM letters t WHERE t.mailbox_id = d.mailbox_id AND t.kind = 'verification'
                    AND t.state <> 'called_off' ORDER BY t.id DESC LIMIT 1) l ON true
                    LEFT JOIN LATERAL (SELECT o.said_by, o.words FROM objections o
                    WHERE o.mailbox_id = d.mailbox_id AND o.settled_on IS NULL ORDER BY o.id DESC LIMIT 1) q ON true
                ORDER BY d.by, d.names DESC, d.mailbox
                SQL
                ,
                [$until, $by, $most, $until, $by, $by, $by, $names, $mailbox, $most],
            ),
        );
    }

    /** Where a page ended, as its address says it. */
    public static function place(Row $last): string
    {
        return $last->text('by').'~'.$last->int('names').'~'.$last->text('mailbox');
    }

    /**
     * Whether what is under way can't be relied on before its day: letters fail or are not answered, or none has gone, and few days are
     * left.
     */
    public static function cannotMeet(Row $row, Instant $now): bool
    {
        $by = $row->instant('by');
        $fails =
            in_array($row->textOrNull('letter_state'), [null, LetterState::Returned->value, LetterState::Refused->value], true) ||
            $row->text('takes_mail') === 'no' ||
            self::isSilent($row, $now);

        return $by !== null && ! $by->hasComeAt($now) && $now->daysUntil($by) <= self::SHORT && ($row->int('by_house') > 0 ? $fails : true);
    }

    /** Whether nobody has answered for days what the post took, and nobody has said anything else. */
    public static function isSilent(Row $row, Instant $now): bool
    {
        $asked = $row->instant('asked_on');

        return $asked !== null &&
            $row->textOrNull('letter_state') === LetterState::Sent->value &&
            $row->textOrNull('objection') === null &&
            Guard::silentAfter($asked)->hasComeAt($now);
    }

    /** @return list<Row> the names that a mailbox must be verified for: ascii, unicode, verify_by, registrar_name, verifies_by */
    public function names(int $mailboxId, int $limit = 500): array
    {
        return Row::all(
            $this->database->select(
                "SELECT s.name_id, s.ascii, s.unicode, s.verify_by, s.registrar_name, g.verifies_by FROM registrants x
                    JOIN standings s ON s.name_id = x.name_id LEFT JOIN registrars g ON g.id = s.registrar_id
             WHERE x.mailbox_id = ? AND s.verify_by < 'infinity' ORDER BY s.verify_by, s.ascii LIMIT ?",
                [$mailboxId, $limit],
            ),
        );
    }
}
