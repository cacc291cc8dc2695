<?php

declare(strict_types=1);

namespace App\Queries\Money;

use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** When a registrar last said that an account holds little, where nothing was paid in since. */
final readonly class LowBalanceTold
{
    public function __construct(private Connection $database)
    {
    }

    public function of(int $accountId): ?Instant
    {
        $row = $this->database->selectOne(
            "SELECT m.said_at FROM gate_messages m WHERE m.account_id = ? AND m.kind = 'balance' AND m.said_at IS NOT NULL
                AND NOT EXISTS (SELECT FROM ledger l WHERE l.account_id = m.account_id AND l.kind = 'top_up' AND l.charged_on >= m.said_at)
                ORDER BY m.said_at DESC LIMIT 1",
            [$accountId],
        );

        return $row === null ? null : Row::of($row)->instant('said_at');
    }
}
