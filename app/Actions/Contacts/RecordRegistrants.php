<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\Text;
use Acre\Core\Time\Instant;
use App\Jobs\AskRegistrants;
use App\Jobs\FindRings;
use App\Support\OpenSpans;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What a list or a person says of registrants becomes contacts: one a pair of registrant and mailbox, in the role from now on. */
final readonly class RecordRegistrants
{
    /** RFC 5733 §4; a mailbox by RFC 5321 §4.5.3.1. */
    private const LONGEST = 255;

    private const LONGEST_MAILBOX = 320;

    public function __construct(
        private Connection $database,
        private KeepMailboxes $mailboxes,
        private MatchContacts $match,
        private TradeClock $clock,
    ) {
    }

    /**
     * In the caller's transaction, with the names locked; once in it, because whoever makes contacts keeps others waiting until its end.
     *
     * @param  array<int, array<array-key, mixed>>  $said  by name: `registrant` and `mailbox`, of which what is not said stays
     * @param  string  $source  `typed` or `brought in`
     */
    public function of(array $said, string $source, ?int $userId): void
    {
        $wanted = $ended = [];
        foreach ($this->today(array_keys($said)) as $row) {
            $before = [Text::line($row->textOrNull('called')), $row->textOrNull('address')];
            $after = [
                self::said($said[$row->int('name_id')], 'registrant', $before[0], self::LONGEST),
                self::said($said[$row->int('name_id')], 'mailbox', $before[1], self::LONGEST_MAILBOX),
            ];
            if ($after === [null, null]) {
                $ended[] = $row->int('name_id');
            } elseif (
                $row->intOrNull('contact_id') === null ||
                $after[0] !== $before[0] ||
                mb_strtolower((string) $after[1]) !== mb_strtolower((string) $before[1])
            ) {
                $wanted[] = [$row, $after[0], $after[1]];
            }
        }
        if ($ended !== []) {
            $this->end($ended);
        }
        if ($wanted !== []) {
            $this->write($wanted, $source, $userId);
        }
    }

    /**
     * A list is taken back: the role that it gave was never so, and the one that it ended goes on. In the caller's transaction, with the
     * names locked.
     *
     * @param  list<int>  $nameIds  whose registrant that list changed, and nobody since
     */
    public function takeBack(array $nameIds): void
    {
        foreach (
            Row::all(
                $this->database->select(
                    "DELETE FROM roles WHERE name_id = ANY (?::bigint[]) AND role = 'registrant' AND upper_inf(span)
                        AND docket_id IS NULL RETURNING name_id, lower(span) AS since",
                    ['{'.implode(',', $nameIds).'}'],
                ),
            ) as $row
        ) {
            $this->database->update(
                "UPDATE roles SET span = tstzrange(lower(span), NULL)
                    WHERE name_id = ? AND role = 'registrant' AND upper(span) = ?::timestamptz",
                [$row->int('name_id'), $row->text('since')],
            );
        }
    }

    /** By a deed: another contact is the registrant from a day on. In the line's transaction, the name locked. */
    public function give(int $nameId, int $registrationId, int $contactId, int $docketId, Instant $on): void
    {
        $this->end([$nameId], $on);
        $this->database->insert(
            "INSERT INTO roles (name_id, registration_id, contact_id, role, span, docket_id)
                VALUES (?, ?, ?, 'registrant', tstzrange(?::timestamptz, NULL), ?)",
            [$nameId, $registrationId, $contactId, $on->isoSecond(), $docketId],
        );
        $this->database->update('UPDATE registrations SET registrant_changed_on = ?::timestamptz WHERE id = ?', [
            $on->isoSecond(),
            $registrationId,
        ]);
        $this->database->afterCommit(function (): void {
            FindRings::dispatch();
            AskRegistrants::dispatch();
        });
    }

    /** The registrar has been told a version of the registrant's data. In the line's transaction, the name locked. */
    public function told(int $nameId, int $versionId): void
    {
        $this->database->update("UPDATE roles SET told_version_id = ? WHERE name_id = ? AND role = 'registrant' AND upper_inf(span)", [
            $versionId,
            $nameId,
        ]);
    }

    /**
     * @param  list<int>  $nameIds
     * @return list<Row>
     */
    private function today(array $nameIds): array
    {
        return $nameIds === []
            ? []
            : Row::all(
                $this->database->select(
                    // Each one's registrant by itself (LIMIT): of roles that were just written there are no statistics, and all would be
                    // read beside a chunk.
                    'SELECT r.id AS registration_id, r.name_id, h.client_id, c.name AS client_name, c.mailbox AS client_mailbox,
                        x.contact_id, x.called, x.address
             FROM registrations r LEFT JOIN holdings h ON h.name_id = r.name_id AND upper_inf(h.span)
             LEFT JOIN clients c ON c.id = h.client_id
             LEFT JOIN LATERAL (SELECT contact_id, called, address FROM registrants WHERE name_id = r.name_id LIMIT 1) x ON true
             WHERE r.name_id = ANY (?::bigint[]) AND upper_inf(r.span) ORDER BY r.name_id',
                    ['{'.implode(',', $nameIds).'}'],
                ),
            );
    }

    /** @param  array<array-key, mixed>  $said */
    private static function said(array $said, string $key, ?string $before, int $longest): ?string
    {
        if (! array_key_exists($key, $said)) {
            return $before;
        }

        return is_string($said[$key]) ? Text::line(mb_substr($said[$key], 0, $longest)) : null;
    }

    /** @param  list<array{Row, string|null, string|null}>  $wanted  where it stands today, registrant, mailbox */
    private function write(array $wanted, string $source, ?int $userId): void
    {
        $ids = $this->mailboxes->of(array_values(array_filter(array_column($wanted, 2), is_string(...))));
        $pairs = $of = [];
        foreach ($wanted as [$row, $called, $address]) {
            $mailboxId = $address === null ? null : $ids[mb_strtolower($address)];
            $key = "{$mailboxId} {$called}";
            $pairs[$key] ??= [
                'key' => $key,
                'called' => $called ?? '',
                'mailbox_id' => $mailboxId,
                'address' => $address,
                'client' => $row,
            ];
            $of[$row->int('name_id')] = [$key, $row->int('registration_id')];
        }
        $contacts = $this->match->handle($pairs, $source, $userId);
        $this->end(array_keys($of));
        $roles = array_map(
            fn (int $name, array $one): array => ['name_id' => $name, 'registration_id' => $one[1], 'contact_id' => $contacts[$one[0]]],
            array_keys($of),
            $of,
        );
        $this->database->statement(
            "INSERT INTO roles (name_id, registration_id, contact_id, role, span) SELECT name_id, registration_id, contact_id,
                'registrant', tstzrange(?::timestamptz, NULL)
             FROM json_to_recordset(?::json) AS n(name_id bigint, registration_id bigint, contact_id bigint)",
            [$this->clock->now()->isoSecond(), json_encode($roles, JSON_THROW_ON_ERROR)],
        );
    }

    /** @param  list<int>  $nameIds */
    private function end(array $nameIds, ?Instant $on = null): void
    {
        OpenSpans::end(
            $this->database,
            'roles',
            "name_id = ANY (?::bigint[]) AND role = 'registrant'",
            ['{'.implode(',', $nameIds).'}'],
            $on ?? $this->clock->now(),
        );
    }
}
