<?php

declare(strict_types=1);

namespace App\Actions\Gates;

use App\Support\HouseLog;
use App\Support\Row;
use Illuminate\Database\Connection;

/**
 * Where a registrar takes no commands any more, what waited to be told it becomes work for a person: the line stands on its slip again.
 * What was sent stays, for it may have been carried out.
 */
final readonly class WithdrawOrders
{
    public function __construct(private Connection $database, private HouseLog $log)
    {
    }

    /** In the transaction that ends it. */
    public function ofAccount(int $accountId, ?int $userId): void
    {
        $rows = Row::all(
            $this->database->select(
                "UPDATE orders SET state = 'called_off' WHERE account_id = ? AND state = 'waiting' RETURNING id, name_id",
                [$accountId],
            ),
        );
        $this->log->writeMany(
            array_map(
                fn (Row $row): array => [
                    'event' => 'order_withdrawn',
                    'subject' => 'name',
                    'subject_id' => $row->int('name_id'),
                    'data' => ['order' => $row->int('id'), 'account' => $accountId],
                ],
                $rows,
            ),
            $userId,
        );
        $this->database->delete(
            "DELETE FROM setbacks b USING orders o WHERE b.kind = 'order' AND b.subject_id = o.id AND o.account_id = ?
                AND o.state = 'called_off'",
            [$accountId],
        );
    }
}
