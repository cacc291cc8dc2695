<?php

declare(strict_types=1);

namespace App\Queries\Accounts;

use App\Support\Row;
use Illuminate\Database\Connection;

/** What an account's gate was last told, and what it last said. */
final readonly class GateState
{
    private const LATEST = 8;

    public function __construct(private Connection $database)
    {
    }

    /** @return array{open: int, orders: list<Row>, messages: list<Row>} how many orders are open, and the latest of both */
    public function of(int $accountId): array
    {
        return [
            'open' => $this->database
                ->table('orders')
                ->where('account_id', $accountId)
                ->whereIn('state', ['waiting', 'sent', 'pending'])
                ->count(),
            'orders' => Row::all(
                $this->database->select(
                    'SELECT o.kind, o.state, o.answer, o.code, n.ascii, n.unicode FROM orders o JOIN names n ON n.id = o.name_id
                        WHERE o.account_id = ? ORDER BY o.id DESC LIMIT ?',
                    [$accountId, self::LATEST],
                ),
            ),
            'messages' => Row::all(
                $this->database->select('SELECT said_at, text FROM gate_messages WHERE account_id = ? ORDER BY id DESC LIMIT ?', [
                    $accountId,
                    self::LATEST,
                ]),
            ),
        ];
    }
}
