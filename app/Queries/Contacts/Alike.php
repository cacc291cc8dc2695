<?php

declare(strict_types=1);

namespace App\Queries\Contacts;

use App\Support\Row;
use Illuminate\Database\Connection;

/** Contacts that are nearly the same: called alike, or with one mailbox. */
final readonly class Alike
{
    public const PAGE = 20;

    /** So many of a group are shown together. */
    private const TOGETHER = 10;

    public function __construct(private Connection $database, private ReadContacts $contacts)
    {
    }

    /**
     * Groups of those that are called alike, those first that stand behind names at several registrars: their data differs, and a move
     * would fail by it.
     *
     * @return list<array{registrars: int, contacts: non-empty-list<Row>, more: int}> contacts as ReadContacts tells them, the first of
     *     them, and how many more there are; one group more than a page has, where there are more
     */
    public function groups(int $page = 1): array
    {
        $rows = Row::all(
            $this->database->select(
                'SELECT l.registrars, l.contacts, (
                    SELECT json_agg(few.id) FROM (
                        SELECT v.contact_id AS id FROM contact_versions v
                        JOIN contacts c ON c.id = v.contact_id AND c.merged_into IS NULL
                        WHERE v.likeness = l.likeness AND v.likeness <> \'\' AND upper_inf(v.span) ORDER BY v.contact_id LIMIT ?
                    ) few
                 ) AS ids
                 FROM (SELECT * FROM likenesses ORDER BY registrars DESC, likeness LIMIT ? OFFSET ?) l
                 ORDER BY l.registrars DESC, l.likeness',
                [self::TOGETHER, self::PAGE + 1, ($page - 1) * self::PAGE],
            ),
        );
        $ids = array_map(fn (Row $row): array => array_values(array_filter($row->json('ids'), is_int(...))), $rows);
        $contacts = [];
        foreach ($ids === [] ? [] : $this->contacts->some(...array_merge(...$ids)) as $contact) {
            $contacts[$contact->int('id')] = $contact;
        }
        $groups = [];
        foreach ($rows as $place => $row) {
            $shown = array_values(array_intersect_key($contacts, array_flip($ids[$place])));
            // What was merged a moment ago no longer counts, and is no group by itself.
            if (count($shown) > 1) {
                $more = $row->int('contacts') - count($shown);
                $groups[] = ['registrars' => $row->int('registrars'), 'contacts' => $shown, 'more' => max(0, $more)];
            }
        }

        return $groups;
    }

    /**
     * What tells two apart: a field that only one of them has does too, for nobody knows what the other's is.
     *
     * @return list<string> fields of a contact
     */
    public static function differ(Row $one, Row $other): array
    {
        $columns = [
            'organisation' => 'organisation',
            'name' => 'person',
            'street' => 'street',
            'town' => 'town',
            'postcode' => 'postcode',
            'country' => 'country',
            'voice' => 'voice',
            'mailbox' => 'address',
        ];
        $said = fn (Row $row, string $column): string => mb_strtolower(
            $column === 'street' ? implode("\n", array_filter($row->json('street'), is_string(...))) : $row->textOrNull($column) ?? '',
        );
        $differ = array_keys(array_filter($columns, fn (string $column): bool => $said($one, $column) !== $said($other, $column)));

        // Without a mailbox on either side nothing says that it is the same one.
        return $differ === [] && $said($one, 'address') === '' ? ['mailbox'] : $differ;
    }

    /** @return list<Row> those that are called as a contact is, or have its mailbox */
    public function to(int $contactId): array
    {
        $ids = array_map(
            fn (Row $row): int => $row->int('id'),
            Row::all(
                $this->database->select(
                    "SELECT DISTINCT v.contact_id AS id FROM contact_versions a
                        JOIN contact_versions v ON upper_inf(v.span) AND v.contact_id <> a.contact_id
                        AND (v.likeness = a.likeness AND v.likeness <> '' OR v.mailbox_id = a.mailbox_id)
             JOIN contacts c ON c.id = v.contact_id AND c.merged_into IS NULL WHERE a.contact_id = ? AND upper_inf(a.span) ORDER BY 1
             LIMIT 20",
                    [$contactId],
                ),
            ),
        );

        return $ids === [] ? [] : $this->contacts->some(...$ids);
    }
}
