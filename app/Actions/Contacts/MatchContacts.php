<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Likeness;
use Acre\Core\Contact\Mailbox;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * One contact a pair of registrant and mailbox: the one that is there, or a new one.
 *
 * @phpstan-type Pair array{key: string, called: string, mailbox_id: int|null, address: string|null, client: Row}
 */
final readonly class MatchContacts
{
    private const FEW = 20;

    public function __construct(private Connection $database, private KeepLikenesses $likenesses, private TradeClock $clock)
    {
    }

    /**
     * In the caller's transaction; whoever makes the same contact meanwhile waits until its end.
     *
     * @param  array<string, Pair>  $pairs  by their keys
     * @param  string  $source  `typed` or `brought in`
     * @return array<string, int> contact ids by key
     */
    public function handle(array $pairs, string $source, ?int $userId): array
    {
        $this->keepOthersFrom($pairs);
        $found = $this->found($pairs);

        $made = $this->make(array_diff_key($pairs, $found), $source, $userId);
        // A list leaves that to the job which follows it.
        if (count($made) <= self::FEW) {
            $this->likenesses->of(
                array_map(fn (array $pair): string => Likeness::of($pair['called']), array_values(array_intersect_key($pairs, $made))),
            );
        }

        return $found + $made;
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
     * @param  array<string, Pair>  $pairs
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
     * @param  array<string, Pair>  $pairs
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
     * @param  array<string, Pair>  $pairs
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
}
