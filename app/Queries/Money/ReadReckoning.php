<?php

declare(strict_types=1);

namespace App\Queries\Money;

use Acre\Core\Balance\Amiss;
use Acre\Core\Balance\Entered;
use Acre\Core\Balance\Expected;
use Acre\Core\Balance\Reckoning;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What an account was charged in the last months other than expected. */
final readonly class ReadReckoning
{
    /** Days back. */
    private const BACK = 120;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<Amiss> by day */
    public function of(int $accountId, Instant $now): array
    {
        $since = $now->toDay()->plusDays(-self::BACK);

        return Reckoning::of($this->expected($accountId, $since), $this->entered($accountId, $since), $now);
    }

    /** @return list<Expected> */
    private function expected(int $accountId, Instant $since): array
    {
        return array_map(
            fn (Row $row): Expected => new Expected(
                $row->text('ascii'),
                Instant::of($row->text('due_on')),
                Instant::of($row->text('until_on')),
                Money::of($row->text('amount'), $row->text('currency')),
            ),
            Row::all($this->database->select(
                'SELECT n.ascii, e.due_on, e.until_on, e.amount, e.currency FROM expected_charges e JOIN names n ON n.id = e.name_id
                    WHERE e.account_id = ? AND e.due_on >= ?::date',
                [$accountId, $since->date()],
            )),
        );
    }

    /** @return list<Entered> */
    private function entered(int $accountId, Instant $since): array
    {
        return array_map(
            fn (Row $row): Entered => new Entered(
                $row->textOrNull('ascii') ?? $row->text('words'),
                $row->textOrNull('ascii') !== null,
                $row->text('kind') === 'renew',
                $row->instant('charged_on') ?? $since,
                Money::of($row->text('amount'), $row->text('currency'))->times(-1),
            ),
            Row::all($this->database->select(
                "SELECT n.ascii, l.words, l.kind, l.charged_on, l.amount, l.currency FROM ledger l LEFT JOIN names n ON n.id = l.name_id
                    WHERE l.account_id = ? AND l.charged_on >= ?::timestamptz AND l.amount < 0
                    AND l.kind IN ('renew', 'transfer', 'add', 'restore')",
                [$accountId, $since->isoSecond()],
            )),
        );
    }
}
