<?php

declare(strict_types=1);

namespace App\Queries\Money;

use Acre\Core\Balance\Credit;
use Acre\Core\Balance\CreditsLeft;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * What is left of what pays only for some things: what was said of it, less what was charged since or is ordered, as far as it pays for
 * that. An entry shows the whole price, whoever paid it (common practice).
 */
final readonly class ReadCredits
{
    private const CHARGES = <<<'SQL'
    SELECT l.account_id, n.ascii, l.kind, -l.amount AS amount, l.currency, l.charged_on AS at, false AS is_ordered,
        coalesce((l.charged_on, l.created_at) > (b.said_on, b.created_at), false) AS is_since, l.id
    FROM ledger l JOIN names n ON n.id = l.name_id
    LEFT JOIN LATERAL (SELECT * FROM balances WHERE account_id = l.account_id ORDER BY id DESC LIMIT 1) b ON true
    WHERE l.account_id = ANY (:accounts::bigint[]) AND l.amount < 0 AND l.charged_on >= :from
    UNION ALL
    SELECT l.paying_account_id, n.ascii, d.deed, l.costs, l.costs_currency, :now::timestamptz, true, false, l.id
    FROM docket_lines l JOIN dockets d ON d.id = l.docket_id JOIN names n ON n.id = l.name_id
    WHERE l.paying_account_id = ANY (:accounts::bigint[]) AND l.state IN ('waiting', 'begun') AND NOT l.name_id = ANY (:without::bigint[])
    ORDER BY at, is_ordered, id
    SQL;

    public function __construct(private Connection $database, private TradeClock $clock)
    {
    }

    /**
     * @param  string  $accounts  as PostgreSQL writes a list
     * @param  string  $without  names whose own orders don't count, likewise
     * @return array<int, array<string, CreditsRead>> by account and currency
     */
    public function of(string $accounts, string $without): array
    {
        $said = Row::all($this->database->select(
            'SELECT account_id, amount, currency, action, suffixes, lost_on, said_on FROM credits
                WHERE account_id = ANY (?::bigint[]) AND withdrawn_on IS NULL ORDER BY id',
            [$accounts],
        ));
        if ($said === []) {
            return [];
        }
        $credits = [];
        foreach ($said as $row) {
            $credits[$row->int('account_id')][$row->text('currency')][] = new Credit(
                Money::of($row->text('amount'), $row->text('currency')),
                $row->textOrNull('action'),
                array_values(array_filter($row->json('suffixes'), is_string(...))),
                $row->textOrNull('lost_on') === null ? null : Instant::of($row->text('lost_on')),
                $row->instant('said_on'),
            );
        }
        $from = Instant::earliest(...array_map(fn (Row $row): Instant => $row->instant('said_on') ?? Instant::of('2000-01-01'), $said));
        $charges = Row::all($this->database->select(self::CHARGES, [
            'accounts' => '{'.implode(',', array_keys($credits)).'}',
            'from' => $from->isoSecond(),
            'now' => $this->clock->now()->isoSecond(),
            'without' => $without,
        ]));

        return $this->left($credits, $charges);
    }

    /**
     * @param  array<int, array<string, list<Credit>>>  $credits  by account and currency
     * @param  list<Row>  $charges  by time
     * @return array<int, array<string, CreditsRead>>
     */
    private function left(array $credits, array $charges): array
    {
        $left = array_map(
            fn (array $one): array => array_map(fn (array $these): CreditsLeft => new CreditsLeft($these), $one),
            $credits,
        );
        $paid = [];
        foreach ($charges as $row) {
            [$account, $currency] = [$row->int('account_id'), $row->text('currency')];
            $at = $row->instant('at');
            $part = $at === null ? 0 : $left[$account][$currency]?->take(
                $row->text('ascii'),
                $row->text('kind'),
                Money::rounded($row->text('amount'), $currency)->minor(),
                $at,
            );
            $of = $row->bool('is_ordered') ? 'ordered' : ($row->bool('is_since') ? 'since' : 'before');
            $paid[$account][$currency][$of] = ($paid[$account][$currency][$of] ?? 0) + ($part ?? 0);
        }
        $found = [];
        foreach ($left as $account => $currencies) {
            foreach ($currencies as $currency => $these) {
                $sum = fn (string $of): Money => Money::ofMinor($paid[$account][$currency][$of] ?? 0, $currency);
                $found[$account][$currency] = new CreditsRead($these->rest(), $sum('since'), $sum('ordered'));
            }
        }

        return $found;
    }
}
