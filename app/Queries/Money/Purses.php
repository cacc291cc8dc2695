<?php

declare(strict_types=1);

namespace App\Queries\Money;

use Acre\Core\Balance\ChargeOrder;
use Acre\Core\Balance\PaidFrom;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What accounts pay from, and what they hold: the latest that was said of it, and what was charged or paid in since. */
final readonly class Purses
{
    private const QUERY = <<<'SQL'
    SELECT a.id, a.number, a.paid_from, a.card_ends_on, a.access, a.registrar_id, g.name AS registrar, g.charge_order, g.charge_retries,
        g.charge_lead_days, b.currency, b.said_on, b.source,
        b.amount AS said, b.amount + coalesce((SELECT sum(l.amount) FROM ledger l
            WHERE l.account_id = a.id AND l.currency = b.currency
                AND (l.charged_on, l.created_at) > (b.said_on, b.created_at)), 0) AS holds,
        (SELECT sum(l.costs) FROM docket_lines l
            WHERE l.paying_account_id = a.id AND l.state IN ('waiting', 'begun') AND l.costs_currency = b.currency
                AND NOT l.name_id = ANY (:without::bigint[])) AS ordered
    FROM accounts a JOIN registrars g ON g.id = a.registrar_id
    LEFT JOIN LATERAL (SELECT * FROM balances WHERE account_id = a.id ORDER BY id DESC LIMIT 1) b ON true
    WHERE a.id = ANY (:accounts::bigint[])
    SQL;

    public function __construct(private Connection $database, private ReadCredits $credits)
    {
    }

    /**
     * @param  array<array-key, int>  $accounts
     * @param  list<int>  $without  names whose own orders don't count
     * @return array<int, AccountPurse> by account
     */
    public function of(array $accounts, array $without = []): array
    {
        $found = [];
        $with = ['accounts' => '{'.implode(',', $accounts).'}', 'without' => '{'.implode(',', $without).'}'];
        $credits = $this->credits->of($with['accounts'], $with['without']);
        foreach (Row::all($this->database->select(self::QUERY, $with)) as $row) {
            $currency = $row->textOrNull('currency');
            $these = $credits[$row->int('id')] ?? [];
            $paid = $these[$currency ?? ''] ?? null;
            $holds = $currency === null ? null : Money::rounded($row->text('holds'), $currency);
            $ordered = $currency === null || $row->textOrNull('ordered') === null ? null : Money::rounded($row->text('ordered'), $currency);
            $found[$row->int('id')] = new AccountPurse(
                $row->int('id'),
                $row->text('number'),
                $row->int('registrar_id'),
                $row->text('registrar'),
                $row->text('access') === 'ours',
                PaidFrom::from($row->text('paid_from')),
                $paid === null ? $holds : $holds?->plus($paid->paidSince),
                $paid === null ? $ordered : $ordered?->minus($paid->ordered),
                $row->instant('said_on'),
                $row->textOrNull('said') === $row->textOrNull('holds'),
                $row->textOrNull('source') === 'registrar',
                $row->textOrNull('card_ends_on') === null ? null : Instant::of($row->text('card_ends_on')),
                ChargeOrder::from($row->text('charge_order')),
                array_values(array_filter($row->json('charge_retries'), is_int(...))),
                $row->int('charge_lead_days'),
                array_merge(...array_map(fn (CreditsRead $one): array => $one->left, array_values($these))),
            );
        }

        return $found;
    }
}
