<?php

declare(strict_types=1);

namespace App\Queries\Movements;

use Acre\Core\Time\Instant;
use Acre\Core\Transfer\ArrivalsSeen;
use App\Support\Row;
use Illuminate\Database\Connection;

/** How long transfers have taken, by the registrar they left and the suffix, over the last two years. */
final readonly class SeenArrivals
{
    private const YEARS = 2;

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  array<array-key, int>  $registrarIds
     * @return array<int, array<string, ArrivalsSeen>> by registrar and suffix; those of which too few were seen are left out
     */
    public function from(array $registrarIds, Instant $now): array
    {
        $found = [];
        foreach (
            Row::all($this->database->select(
                "SELECT a.registrar_id, n.suffix, count(*) AS cases,
                    ceil(percentile_cont(0.5) WITHIN GROUP (ORDER BY extract(epoch FROM m.closed_on - m.opened_on)) / 86400)::int AS median,
                    ceil(percentile_cont(0.9) WITHIN GROUP (ORDER BY extract(epoch FROM m.closed_on - m.opened_on)) / 86400)::int AS ninth
                 FROM movements m JOIN docket_lines l ON l.docket_id = m.docket_id AND l.name_id = m.name_id AND l.state = 'done'
                 JOIN accounts a ON a.id = l.giving_account_id JOIN names n ON n.id = m.name_id
                 WHERE m.kind = 'transfer' AND m.closed_on >= ?::timestamptz AND a.registrar_id = ANY (?::bigint[])
                 GROUP BY a.registrar_id, n.suffix HAVING count(*) >= ?",
                [$now->plusYears(-self::YEARS)->isoSecond(), '{'.implode(',', $registrarIds).'}', ArrivalsSeen::LEAST],
            )) as $row
        ) {
            $found[$row->int('registrar_id')][$row->text('suffix')] = new ArrivalsSeen(
                $row->int('cases'),
                $row->int('median'),
                $row->int('ninth'),
            );
        }

        return $found;
    }
}
