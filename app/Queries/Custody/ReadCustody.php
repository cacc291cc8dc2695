<?php

declare(strict_types=1);

namespace App\Queries\Custody;

use Acre\Core\Contact\Mailbox;
use Acre\Core\Custody\Custodian;
use Acre\Core\Custody\Custody;
use Acre\Core\Custody\CustodyPart;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Standing\NextKind;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Who has what of accounts, a handful of questions for however many. */
final readonly class ReadCustody
{
    public const MOST = 500;

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<int>|null  $accountIds  null: all that we can sign in to
     * @return array<int, array{account: Row, custody: Custody}> by account: id, number, login, mailbox, letters_to, way_back,
     *     registrar_name, names
     */
    public function of(?array $accountIds = null): array
    {
        $in = $accountIds === null ? null : '{'.implode(',', $accountIds).'}';
        $accounts = Row::all(
            $this->database->select(
                'SELECT a.id, a.number, a.login, a.mailbox, a.letters_to, a.way_back, a.hosts_too, g.name AS registrar_name,
                    (SELECT count(*) FROM standings s WHERE s.account_id = a.id) AS names,
                (SELECT min(s.next_at) FROM standings s WHERE s.account_id = a.id AND s.next_kind = ?) AS charge
             FROM accounts a JOIN registrars g ON g.id = a.registrar_id
             WHERE CASE WHEN ?::bigint[] IS NULL THEN a.access = \'ours\' ELSE a.id = ANY (?::bigint[]) END ORDER BY g.name, a.number
             LIMIT ?',
                [NextKind::Charge->value, $in, $in, self::MOST],
            ),
        );
        $ids = array_map(fn (Row $row): int => $row->int('id'), $accounts);
        $people = $this->people($ids);
        $sites = $this->sites($accounts);
        $found = [];
        foreach ($accounts as $row) {
            $site = $sites[self::site($row) ?? ''] ?? null;
            $intent = $site?->textOrNull('intent');
            $found[$row->int('id')] = [
                'account' => $row,
                'custody' => new Custody(
                    $people[$row->int('id')] ?? [],
                    $row->textOrNull('mailbox'),
                    $site?->text('unicode'),
                    $site?->intOrNull('account_id') === $row->int('id'),
                    $intent === null ? null : Intent::from($intent),
                    $row->instant('charge')?->toDay(),
                    ($row->textOrNull('way_back') ?? '') !== '',
                    $row->bool('hosts_too'),
                ),
            ];
        }
        // What costs most to miss comes first; among equals the order of their names stays.
        uasort($found, fn (array $a, array $b): int => self::dearest($a['custody']) <=> self::dearest($b['custody']));

        return $found;
    }

    private static function dearest(Custody $custody): int
    {
        return min([PHP_INT_MAX, ...array_map(fn (Finding $finding): int => $finding->tag->cost()->value, $custody->findings())]);
    }

    /**
     * The accounts of which somebody has a part.
     *
     * @return list<int>
     */
    public function accountsOf(int $custodianId): array
    {
        return array_map(
            fn (Row $row): int => $row->int('account_id'),
            Row::all(
                $this->database->select('SELECT DISTINCT account_id FROM custodies WHERE custodian_id = ? AND upper_inf(span) ORDER BY 1', [
                    $custodianId,
                ]),
            ),
        );
    }

    /** @return array<int, int> how many accounts each has a part of */
    public function counts(): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->database->select(
                    'SELECT custodian_id, count(DISTINCT account_id) AS accounts FROM custodies WHERE upper_inf(span)
                        GROUP BY custodian_id',
                ),
            ) as $row
        ) {
            $found[$row->int('custodian_id')] = $row->int('accounts');
        }

        return $found;
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, list<Custodian>>
     */
    private function people(array $ids): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->database->select(
                    'SELECT c.account_id, c.custodian_id, c.part, c.good_until, p.name, p.left_on IS NOT NULL AS has_left
                        FROM custodies c JOIN custodians p ON p.id = c.custodian_id
                        WHERE c.account_id = ANY (?::bigint[]) AND upper_inf(c.span) ORDER BY lower(p.name), c.id',
                    ['{'.implode(',', $ids).'}'],
                ),
            ) as $row
        ) {
            $found[$row->int('account_id')][] = new Custodian(
                $row->int('custodian_id'),
                $row->text('name'),
                CustodyPart::from($row->text('part')),
                $row->bool('has_left'),
                $row->instant('good_until')?->toDay(),
            );
        }

        return $found;
    }

    /**
     * @param  list<Row>  $accounts
     * @return array<string, Row> names that login mailboxes lie in, where they are on the Roll
     */
    private function sites(array $accounts): array
    {
        $found = [];
        $wanted = array_values(array_unique(array_filter(array_map(self::site(...), $accounts), is_string(...))));
        foreach (
            Row::all(
                $this->database->select(
                    'SELECT ascii, unicode, intent, account_id FROM standings WHERE ascii IN (SELECT json_array_elements_text(?::json))',
                    [json_encode($wanted, JSON_THROW_ON_ERROR)],
                ),
            ) as $row
        ) {
            $found[$row->text('ascii')] = $row;
        }

        return $found;
    }

    private static function site(Row $account): ?string
    {
        return Mailbox::tryOf($account->textOrNull('mailbox'))?->site()->ascii;
    }
}
