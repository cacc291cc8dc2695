<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

use Acre\Core\Money\Money;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What a docket costs, with tax: what was paid already, and what is still to be. */
final readonly class DocketCosts
{
    public function __construct(private Connection $database)
    {
    }

    /** @return list<Money> by currency; none where nothing is paid for */
    public function of(int $docketId): array
    {
        return array_map(
            fn (Row $row): Money => Money::of($row->text('sum'), $row->text('currency')),
            Row::all($this->database->select(
                "SELECT costs_currency AS currency, sum(costs)::text AS sum FROM docket_lines
                    WHERE docket_id = ? AND costs IS NOT NULL AND state IN ('prepared', 'waiting', 'begun', 'done')
                    GROUP BY costs_currency ORDER BY costs_currency",
                [$docketId],
            )),
        );
    }
}
