<?php

declare(strict_types=1);

namespace App\Queries\Contacts;

use Acre\Core\Contact\ContactFinding;
use App\Queries\Roll\Frequencies;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;

/** The contacts of a page, what they stand behind, and how many names something is said of. */
final readonly class ReadContacts
{
    public const PAGE = 50;

    /** Names on the mailbox of one person from which that is told: the house's own choice. */
    private const MANY = 10;

    /** Counted no further. */
    private const COUNTED = 10_000;

    /** Names from which on a risk is common. */
    private const COMMON = 5_000;

    /** What is at risk, dearest first. */
    public const RISKS = [
        ContactFinding::MailboxLapses,
        ContactFinding::VerificationLapsed,
        ContactFinding::VerifyBy,
        ContactFinding::LettersReturn,
        ContactFinding::NotAnswered,
        ContactFinding::MailboxInside,
        ContactFinding::MailboxRing,
        ContactFinding::NoMailbox,
        ContactFinding::TakesNoMail,
        ContactFinding::NoRegistrant,
        ContactFinding::Forwards,
        ContactFinding::NotTold,
        ContactFinding::HolderPerson,
        ContactFinding::HolderUnknown,
    ];

    public function __construct(private Connection $database, private StillTold $told, private Frequencies $frequencies)
    {
    }

    /**
     * @return list<Row> in the order of how they are called; one more than a page has, where there are more: id, kind, called,
     *     organisation, person, country, address, takes_mail, client_id, client_name, names
     */
    public function page(ContactFilter $filter): array
    {
        $query = $this->today()
            ->orderByRaw('lower(v.called)')
            ->orderBy('v.contact_id')
            ->limit(self::PAGE + 1);
        if ($filter->after !== null) {
            $query->whereRaw(
                '(lower(v.called), v.contact_id) > (SELECT lower(a.called), a.contact_id FROM contact_versions a
                    WHERE a.contact_id = ? AND upper_inf(a.span))',
                [$filter->after],
            );
        }
        if ($filter->client !== null) {
            $query->where('c.client_id', $filter->client);
        }
        if ($filter->text !== '') {
            $like = '%'.addcslashes(mb_strtolower($filter->text), '%_\\').'%';
            $query->where(
                fn (Builder $any) => $any
                    ->whereRaw("lower(coalesce(v.organisation, '') || ' ' || coalesce(v.person, '')) LIKE ?", [$like])
                    ->orWhereIn(
                        'v.mailbox_id',
                        fn (Builder $boxes) => $boxes
                            ->from('mailboxes')
                            ->whereRaw('address ILIKE ?', [$like])
                            ->select('id'),
                    ),
            );
        }
        $mark = $filter->risk === null ? null : 'finding:contact.'.$filter->risk->value;
        if ($mark !== null && $this->frequencies->about($mark) > self::COMMON) {
            // So common that fifty are soon met in the order of the page. OFFSET keeps the planner from gathering all of them first.
            $query->whereRaw(
                'EXISTS (SELECT FROM roles o JOIN standings s ON s.name_id = o.name_id
                    WHERE o.contact_id = v.contact_id AND upper_inf(o.span) AND s.marks @> ARRAY[?]::text[] OFFSET 0)',
                [$mark],
            );
        } elseif ($mark !== null) {
            $query->whereIn(
                'v.contact_id',
                fn (Builder $roles) => $roles
                    ->from('roles')
                    ->join('standings', 'standings.name_id', '=', 'roles.name_id')
                    ->whereRaw('upper_inf(roles.span)')
                    ->whereRaw('standings.marks @> ARRAY[?]::text[]', [$mark])
                    ->select('roles.contact_id'),
            );
        }
        if ($filter->unused) {
            $query->whereNotExists(
                fn (Builder $roles) => $roles
                    ->from('roles')
                    ->whereColumn('roles.contact_id', 'v.contact_id')
                    ->whereRaw('upper_inf(roles.span)'),
            );
        }

        return Row::all($query->get());
    }

    /** @return list<Row> the same columns */
    public function some(int ...$ids): array
    {
        return Row::all($this->today()->whereIn('v.contact_id', $ids)->orderBy('v.contact_id')->get());
    }

    /** @return array<string, int> how many names, up to ten thousand, by finding; those of which there are none are left out */
    public function atRisk(): array
    {
        $found = [];
        foreach (self::RISKS as $risk) {
            $mark = 'finding:contact.'.$risk->value;
            if ($this->frequencies->about($mark) > 2 * self::COUNTED) {
                $found[$risk->value] = self::COUNTED;

                continue;
            }
            $row = Row::of(
                $this->database->selectOne(
                    'SELECT count(*) AS names FROM (SELECT 1 FROM standings WHERE marks @> ARRAY[?]::text[] LIMIT ?) AS few',
                    [$mark, self::COUNTED],
                ),
            );
            if ($row->int('names') > 0) {
                $found[$risk->value] = $row->int('names');
            }
        }

        return $found;
    }

    /** @return list<Row> private persons on whose mailbox many names hang, most names first: id, called, address, names */
    public function hangOnOne(): array
    {
        return Row::all(
            $this->database->select(
                "SELECT v.contact_id AS id, v.called, m.address, count(*) AS names FROM contacts c
                    JOIN contact_versions v ON v.contact_id = c.id AND upper_inf(v.span) JOIN mailboxes m ON m.id = v.mailbox_id
             JOIN roles o ON o.contact_id = c.id AND o.role = 'registrant' AND upper_inf(o.span)
             WHERE c.kind = 'person' AND c.merged_into IS NULL
             GROUP BY v.contact_id, v.called, m.address HAVING count(*) >= ? ORDER BY count(*) DESC, v.contact_id LIMIT 5",
                [self::MANY],
            ),
        );
    }

    /** How many contacts there are, those that became part of another left out. */
    public function count(): int
    {
        return Row::of(
            $this->database->selectOne(
                'SELECT count(*) AS contacts FROM (SELECT 1 FROM contacts WHERE merged_into IS NULL LIMIT ?) AS few',
                [self::COUNTED],
            ),
        )->int('contacts');
    }

    /**
     * Names that a contact stands behind today, in their order.
     *
     * @return list<Row> name_id, ascii, unicode, roles, since, client_name, registrar_name
     */
    public function names(int $contactId, int $limit): array
    {
        return Row::all(
            $this->database->select(
                "SELECT n.id AS name_id, n.ascii, n.unicode, string_agg(o.role, ',' ORDER BY o.id) AS roles, min(lower(o.span)) AS since,
                    s.client_name, s.registrar_name, s.registrar_id
             FROM roles o JOIN names n ON n.id = o.name_id LEFT JOIN standings s ON s.name_id = n.id
             WHERE o.contact_id = ? AND upper_inf(o.span)
             GROUP BY n.id, s.client_name, s.registrar_name, s.registrar_id ORDER BY n.ascii LIMIT ?",
                [$contactId, $limit],
            ),
        );
    }

    /** Of how many names it is the registrant whose registrar has older data of it. */
    public function countUntold(int $contactId): int
    {
        return $this->database
            ->table('registrants')
            ->where('contact_id', $contactId)
            ->whereIn('told_id', $this->outdated($contactId))
            ->count();
    }

    /** @return list<int> names of which it is the registrant, and whose registrar has older data of it */
    public function untold(int $contactId): array
    {
        $names = $this->database
            ->table('registrants')
            ->where('contact_id', $contactId)
            ->whereIn('told_id', $this->outdated($contactId))
            ->orderBy('name_id')
            ->pluck('name_id');

        return array_values(array_filter($names->all(), is_int(...)));
    }

    /** @return list<int> its versions that registrars were told, and that are wrong today */
    private function outdated(int $contactId): array
    {
        $told = Row::all(
            $this->database->select(
                'SELECT DISTINCT told_id, version_id FROM registrants WHERE contact_id = ? AND told_id IS NOT NULL',
                [$contactId],
            ),
        );
        $pairs = array_map(fn (Row $row): array => [$row->int('told_id'), $row->int('version_id')], $told);

        $outdated = array_intersect_key($pairs, array_filter($this->told->outdated($pairs)));

        return array_map(fn (array $pair): int => $pair[0], array_values($outdated));
    }

    /** @return array<string, int> names by suffix, of which it is the registrant */
    public function suffixes(int $contactId): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->database->select(
                    "SELECT n.suffix, count(*) AS names FROM roles o JOIN names n ON n.id = o.name_id
                        WHERE o.contact_id = ? AND o.role = 'registrant' AND upper_inf(o.span) GROUP BY n.suffix ORDER BY n.suffix",
                    [$contactId],
                ),
            ) as $row
        ) {
            $found[$row->text('suffix')] = $row->int('names');
        }

        return $found;
    }

    /** @return array<string, int> of how many of a contact's names something is said that puts them at risk, by finding, dearest first */
    public function risksOf(int $contactId): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->database->select(
                    "SELECT mark, count(*) AS names FROM roles o JOIN standings s ON s.name_id = o.name_id
                        CROSS JOIN LATERAL unnest(s.marks) AS mark
             WHERE o.contact_id = ? AND o.role = 'registrant' AND upper_inf(o.span) AND mark LIKE 'finding:contact.%' GROUP BY mark",
                    [$contactId],
                ),
            ) as $row
        ) {
            $found[substr($row->text('mark'), strlen('finding:contact.'))] = $row->int('names');
        }

        return array_filter(
            array_replace(array_fill_keys(array_map(fn (ContactFinding $risk): string => $risk->value, self::RISKS), 0), $found),
            fn (int $names): bool => $names > 0,
        );
    }

    /** @return array<int, string> contacts that a client, or the house, knows as theirs: how they are called by number */
    public function knownBy(int $clientId): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->today()
                    ->where(fn (Builder $whose) => $whose->where('c.client_id', $clientId)->orWhere('k.is_house', true))
                    ->orderByRaw('lower(v.called)')
                    ->limit(200)
                    ->get(),
            ) as $row
        ) {
            $found[$row->int('id')] = trim($row->text('called').' · '.($row->textOrNull('address') ?? ''), ' ·');
        }

        return $found;
    }

    /** The name that a mailbox lies in, where it is on the Roll: ascii, unicode, intent, phase. */
    public function site(string $ascii): ?Row
    {
        $row = $this->database->selectOne('SELECT ascii, unicode, intent, phase FROM standings WHERE ascii = ?', [$ascii]);

        return $row === null ? null : Row::of($row);
    }

    private function today(): Builder
    {
        return $this->database
            ->table('contact_versions AS v')
            ->whereRaw('upper_inf(v.span)')
            ->join('contacts AS c', fn (JoinClause $join) => $join->on('c.id', '=', 'v.contact_id')->whereNull('c.merged_into'))
            ->leftJoin('mailboxes AS m', 'm.id', '=', 'v.mailbox_id')
            ->leftJoin('clients AS k', 'k.id', '=', 'c.client_id')
            ->select([
                'v.contact_id AS id',
                'c.kind',
                'v.called',
                'v.organisation',
                'v.person',
                'v.street',
                'v.town',
                'v.postcode',
                'v.country',
                'v.voice',
                'v.likeness',
                'm.address',
                'm.takes_mail',
                'c.client_id',
                'k.name AS client_name',
            ])
            ->selectRaw('(SELECT count(DISTINCT o.name_id) FROM roles o WHERE o.contact_id = v.contact_id AND upper_inf(o.span)) AS names');
    }
}
