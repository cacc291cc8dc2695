<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Delegation\ServerSet;
use App\Models\ServersKept;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Which name servers names had before a docket changed them. */
final readonly class ServersBefore
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<int>  $nameIds
     * @return array<int, ServerSet> by name; empty where the docket changed nothing of it
     */
    public function docket(int $docketId, array $nameIds): array
    {
        $found = array_fill_keys($nameIds, ServerSet::of([]));
        $rows = $this->database->select(
            "SELECT name_id, before->>'servers' AS servers FROM docket_lines
             WHERE docket_id = ? AND name_id = ANY (?::bigint[]) AND state = 'done'",
            [$docketId, '{'.implode(',', $nameIds).'}'],
        );
        foreach (Row::all($rows) as $row) {
            $found[$row->int('name_id')] = ServersKept::ofText($row->textOrNull('servers') ?? '');
        }

        return $found;
    }
}
