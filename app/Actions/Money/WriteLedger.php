<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use Illuminate\Database\Connection;

/** What was charged or paid in, and what an account holds, as somebody said it. Only ever added to. In the caller's transaction. */
final readonly class WriteLedger
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  'renew'|'transfer'|'add'|'restore'|'late'|'top_up'|'refund'|'other'  $kind
     * @param  Money  $amount  below nothing: charged
     * @param  'answer'|'message'|'statement'|'docket'|'hand'  $source
     * @param  string|null  $reference  the registrar's own number of it: a second time it is not entered
     */
    public function entry(
        int $accountId,
        ?int $nameId,
        string $kind,
        Money $amount,
        Instant $on,
        string $source,
        ?int $lineId = null,
        ?int $userId = null,
        string $words = '',
        ?string $reference = null,
    ): void {
        if ($nameId !== null && in_array($source, ['answer', 'message'], true) && $this->isTold($accountId, $nameId, $amount, $on)) {
            return;
        }
        $this->database->insert(
            'INSERT INTO ledger (account_id, name_id, kind, amount, currency, charged_on, source, docket_line_id, entered_by, words,
                reference)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (account_id, reference) WHERE reference IS NOT NULL DO NOTHING',
            [
                $accountId,
                $nameId,
                $kind,
                $amount->decimal(),
                $amount->currency,
                $on->isoSecond(),
                $source,
                $lineId,
                $userId,
                mb_substr($words, 0, 500),
                $reference === null ? null : mb_substr($reference, 0, 200),
            ],
        );
    }

    /** Whether the registrar's own entries had it before its answer or message came: what was lost on the way is told again. */
    private function isTold(int $accountId, int $nameId, Money $amount, Instant $on): bool
    {
        return $this->database->table('ledger')
            ->where(['account_id' => $accountId, 'name_id' => $nameId, 'source' => 'statement'])
            ->where('amount', $amount->decimal())
            ->where('currency', $amount->currency)
            ->whereBetween('charged_on', [
                $on->plusDays(-TakeStatement::WITHIN)->isoSecond(),
                $on->plusDays(TakeStatement::WITHIN)->isoSecond(),
            ])
            ->exists();
    }

    /** @param  int|null  $userId  null: the registrar itself says so */
    public function balance(int $accountId, Money $holds, Instant $on, ?int $userId = null): void
    {
        $this->database->insert(
            'INSERT INTO balances (account_id, amount, currency, said_on, source, said_by) VALUES (?, ?, ?, ?, ?, ?)',
            [$accountId, $holds->decimal(), $holds->currency, $on->isoSecond(), $userId === null ? 'registrar' : 'hand', $userId],
        );
    }
}
