<?php

declare(strict_types=1);

namespace App\Queries\Names;

use App\Support\Row;
use Illuminate\Database\Connection;

/** Who changed what of a name, when and why: the log, what each docket meant to change, who was registrant, and who said yes. */
final readonly class Changes
{
    private const PAGE = 50;

    /** Registrants and consents of one name; more than a name of a lifetime has. */
    private const MOST = 500;

    public function __construct(private Connection $database)
    {
    }

    /** @param  int|null  $before  the number of the log's row with which the page before ended */
    public function page(int $nameId, ?int $before): ChangesPage
    {
        $rows = Row::all(
            $this->database->select(
                "SELECT l.id, l.trade_at, l.event, l.subject, l.data, u.name AS person, k.before, k.after, k.reason, d.deed,
                    d.terms->>'because' AS because
             FROM log l LEFT JOIN users u ON u.id = l.user_id
             LEFT JOIN dockets d ON d.id = CASE WHEN jsonb_typeof(l.data->'docket') = 'number' THEN (l.data->>'docket')::bigint END
             LEFT JOIN docket_lines k ON k.docket_id = d.id AND k.name_id = l.subject_id
             WHERE l.subject = 'name' AND l.subject_id = ? AND (?::bigint IS NULL OR l.id < ?) ORDER BY l.id DESC LIMIT ?",
                [$nameId, $before, $before, self::PAGE + 1],
            ),
        );
        $isMore = count($rows) > self::PAGE;
        $rows = array_slice($rows, 0, self::PAGE);
        $last = $rows === [] ? null : $rows[count($rows) - 1];

        return new ChangesPage(
            $rows,
            $before === null ? $this->registrants($nameId) : [],
            $before === null ? $this->consents($nameId) : [],
            $isMore ? $last?->int('id') : null,
        );
    }

    /** @return list<Row> since, until, called, address, contact_id, source, by, docket_id; the last first */
    private function registrants(int $nameId): array
    {
        // What differs in nothing that is shown is one line, since the first of it.
        return Row::all(
            $this->database->select(
                "SELECT min(since) AS since, CASE WHEN bool_or(until IS NULL) THEN NULL ELSE max(until) END AS until, called, address,
                    contact_id, min(source) AS source, max(docket_id) AS docket_id FROM (
             SELECT *, count(*) FILTER (WHERE is_other) OVER (ORDER BY since NULLS FIRST, version) AS run FROM (
             SELECT *, (called, address, contact_id) IS DISTINCT
             FROM (lag(called) OVER w, lag(address) OVER w, lag(contact_id) OVER w) AS is_other FROM (
             SELECT v.id AS version, greatest(lower(o.span), lower(v.span)) AS since, least(upper(o.span), upper(v.span)) AS until,
             v.called, m.address, v.contact_id, v.source, o.docket_id
             FROM roles o JOIN contact_versions v ON v.contact_id = o.contact_id AND v.span && o.span
             LEFT JOIN mailboxes m ON m.id = v.mailbox_id
             WHERE o.name_id = ? AND o.role = 'registrant') r WINDOW w AS (ORDER BY since NULLS FIRST, version)) r) r
             GROUP BY run, called, address, contact_id ORDER BY run DESC LIMIT ?",
                [$nameId, self::MOST],
            ),
        );
    }

    /** @return list<Row> docket_id, side, who, mailbox, asked_on, answered_on, agreed, words; the last first */
    private function consents(int $nameId): array
    {
        return Row::all(
            $this->database->select(
                "SELECT x.* FROM docket_lines k JOIN LATERAL (
                SELECT c.docket_id, c.side, v.called AS who, c.mailbox, c.asked_on, c.answered_on, c.confirmed AS agreed, c.words
                FROM confirmations c LEFT JOIN contact_versions v ON v.contact_id = c.contact_id AND upper_inf(v.span)
                WHERE c.docket_id = k.docket_id
                UNION ALL
                SELECT a.docket_id, 'receiver', g.name || ' ' || t.number, a.mailbox, a.asked_on, a.answered_on, a.accepted, a.words
                FROM acceptances a JOIN accounts t ON t.id = a.account_id JOIN registrars g ON g.id = t.registrar_id
                WHERE a.docket_id = k.docket_id
             ) x ON true WHERE k.name_id = ? ORDER BY x.asked_on DESC LIMIT ?",
                [$nameId, self::MOST],
            ),
        );
    }
}
