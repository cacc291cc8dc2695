<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Likeness;
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

    public function __construct(private Connection $database, private KeepMailboxes $mailboxes, private TradeClock $clock)
    {
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
            $this->match($wanted, $source, $userId);
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
    private function match(array $wanted, string $source, ?int $userId): void
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
        $this->keepOthersFrom($pairs);
        $contacts = $this->found($pairs);
        $contacts += $this->make(array_diff_key($pairs, $contacts), $source, $userId);
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

    /**
     * Two workers must not make the same contact: who comes second waits for the first to be done. In one order, or they would wait for
     * each other.
     *
     * @param  array<string, mixed>  $pairs
     */
    private function keepOthersFrom(array $pairs): void
    {
        $this->database->select(
            "SELECT count(pg_advisory_xact_lock(hashtext('contacts'), k))
                FROM (SELECT DISTINCT hashtext(key) AS k FROM json_array_elements_text(?::json) AS t(key) ORDER BY k) keys",
            [json_encode(array_map(strval(...), array_keys($pairs)), JSON_THROW_ON_ERROR)],
        );
    }

    /**
     * @param  array<string, array{key: string, called: string, mailbox_id: int|null, address: string|null, client: Row}>  $pairs
     * @return array<string, int> contact ids by key
     */
    private function found(array $pairs): array
    {
        $found = [];
        $rows = $this->database->select(
            // One by one, each by the index: joined, a list of strangers would read every contact there is.
            'SELECT f.key, f.id FROM (SELECT p.key, (
                SELECT min(v.contact_id) FROM contact_versions v JOIN contacts c ON c.id = v.contact_id AND c.merged_into IS NULL
                WHERE upper_inf(v.span) AND lower(v.called) = lower(p.called) AND v.called = p.called AND v.mailbox_id IS NOT DISTINCT
                FROM p.mailbox_id
             ) AS id FROM json_to_recordset(?::json) AS p(key text, called text, mailbox_id bigint)) f WHERE f.id IS NOT NULL',
            [
                json_encode(
                    array_values(array_map(fn (array $pair): array => array_diff_key($pair, ['client' => 1, 'address' => 1]), $pairs)),
                    JSON_THROW_ON_ERROR,
                ),
            ],
        );
        foreach (Row::all($rows) as $row) {
            $found[$row->text('key')] = $row->int('id');
        }

        return $found;
    }

    /**
     * @param  array<string, array{key: string, called: string, mailbox_id: int|null, address: string|null, client: Row}>  $pairs
     * @return array<string, int> contact ids by key
     */
    private function make(array $pairs, string $source, ?int $userId): array
    {
        if ($pairs === []) {
            return [];
        }
        $ids = array_map(
            fn (Row $row): int => $row->int('id'),
            Row::all($this->database->select("SELECT nextval('contacts_id_seq') AS id FROM generate_series(1, ?::int)", [count($pairs)])),
        );
        $made = array_combine(array_keys($pairs), $ids);
        $theirs = $this->sites($pairs);
        $contacts = $versions = $clients = [];
        foreach ($pairs as $key => ['called' => $called, 'mailbox_id' => $mailboxId, 'address' => $address, 'client' => $row]) {
            $kind = HolderKind::guess($called);
            $client = $row->intOrNull('client_id');
            $likeness = Likeness::of($called);
            $isTheirs =
                $client !== null &&
                ($likeness === ($clients[$client] ??= Likeness::of($row->text('client_name'))) ||
                    mb_strtolower((string) $address) === mb_strtolower((string) $row->textOrNull('client_mailbox')) ||
                    isset($theirs["{$client} ".Mailbox::tryOf($address)?->site()->ascii]));
            $contacts[] = ['id' => $made[$key], 'client_id' => $isTheirs ? $client : null, 'kind' => $kind->value];
            $versions[] = [
                'contact_id' => $made[$key],
                $kind === HolderKind::Organisation ? 'organisation' : 'person' => $called === '' ? null : $called,
                'mailbox_id' => $mailboxId,
                'likeness' => $likeness,
            ];
        }
        $this->database->statement(
            'INSERT INTO contacts (id, client_id, kind) OVERRIDING SYSTEM VALUE SELECT id, client_id, kind
                FROM json_populate_recordset(NULL::contacts, ?::json)',
            [json_encode($contacts, JSON_THROW_ON_ERROR)],
        );
        $this->database->statement(
            'INSERT INTO contact_versions (contact_id, number, span, organisation, person, mailbox_id, likeness, source,
                user_id) SELECT contact_id, 1, tstzrange(?::timestamptz, NULL), organisation, person, mailbox_id, likeness, ?, ?
             FROM json_populate_recordset(NULL::contact_versions, ?::json)',
            [$this->clock->now()->isoSecond(), $source, $userId, json_encode($versions, JSON_THROW_ON_ERROR)],
        );

        return $made;
    }

    /**
     * @param  array<string, array{key: string, called: string, mailbox_id: int|null, address: string|null, client: Row}>  $pairs
     * @return array<string, true> client id and name, of those names that are held for a client
     */
    private function sites(array $pairs): array
    {
        $sites = array_values(
            array_filter(array_map(fn (array $pair): ?string => Mailbox::tryOf($pair['address'])?->site()->ascii, $pairs), is_string(...)),
        );
        $found = [];
        foreach (
            Row::all(
                $this->database->select(
                    'SELECT h.client_id, n.ascii FROM names n JOIN holdings h ON h.name_id = n.id AND upper_inf(h.span)
                        WHERE n.ascii IN (SELECT json_array_elements_text(?::json))',
                    [json_encode($sites, JSON_THROW_ON_ERROR)],
                ),
            ) as $row
        ) {
            $found[$row->int('client_id').' '.$row->text('ascii')] = true;
        }

        return $found;
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
