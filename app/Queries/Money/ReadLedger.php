<?php

declare(strict_types=1);

namespace App\Queries\Money;

use App\Support\Row;
use Illuminate\Database\Connection;

/** What was last charged or paid in at an account. */
final readonly class ReadLedger
{
    /** Entries that are shown. */
    public const MOST = 100;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<Row> latest first: kind, amount, currency, charged_on, source, words, ascii, unicode, docket_id */
    public function of(int $accountId): array
    {
        return Row::all($this->database->select(
            'SELECT l.kind, l.amount, l.currency, l.charged_on, l.source, l.words, l.reference, n.ascii, n.unicode, d.docket_id
                FROM ledger l LEFT JOIN names n ON n.id = l.name_id LEFT JOIN docket_lines d ON d.id = l.docket_line_id
                WHERE l.account_id = ? ORDER BY l.charged_on DESC, l.id DESC LIMIT ?',
            [$accountId, self::MOST],
        ));
    }
}
