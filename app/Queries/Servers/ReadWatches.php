<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use App\Support\Row;
use Illuminate\Database\Connection;

/** Changes of name servers that are watched. */
final readonly class ReadWatches
{
    private const COLUMNS = 'w.docket_line_id, l.docket_id, w.wanted, w.parent_at, w.servers_at, w.cached_until, w.ended_at';

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<int>  $lineIds
     * @return array<int, ServersWatched> by line
     */
    public function ofLines(array $lineIds): array
    {
        $found = [];
        $rows = $this->database->select(
            'SELECT '.self::COLUMNS.' FROM server_watches w JOIN docket_lines l ON l.id = w.docket_line_id
             WHERE w.docket_line_id = ANY (?::bigint[])',
            ['{'.implode(',', $lineIds).'}'],
        );
        foreach (Row::all($rows) as $row) {
            $found[$row->int('docket_line_id')] = ServersWatched::of($row);
        }

        return $found;
    }

    /**
     * @param  list<int>  $lineIds
     * @return array<int, RecordsWatched> by line
     */
    public function recordsOfLines(array $lineIds): array
    {
        $found = [];
        $rows = $this->database->select(
            'SELECT docket_line_id, says, asked_at, agreed_at FROM record_watches WHERE docket_line_id = ANY (?::bigint[])',
            ['{'.implode(',', $lineIds).'}'],
        );
        foreach (Row::all($rows) as $row) {
            $found[$row->int('docket_line_id')] = RecordsWatched::of($row);
        }

        return $found;
    }

    /**
     * @param  list<int>  $nameIds
     * @return array<int, ServersWatched> the newest change of each name, whether it has ended or not
     */
    public function newest(array $nameIds): array
    {
        $found = [];
        $rows = $this->database->select(
            'SELECT DISTINCT ON (w.name_id) w.name_id, '.self::COLUMNS.' FROM server_watches w
             JOIN docket_lines l ON l.id = w.docket_line_id WHERE w.name_id = ANY (?::bigint[]) ORDER BY w.name_id, w.began_at DESC',
            ['{'.implode(',', $nameIds).'}'],
        );
        foreach (Row::all($rows) as $row) {
            $found[$row->int('name_id')] = ServersWatched::of($row);
        }

        return $found;
    }

    /** The change of a name that has not ended. */
    public function ofName(int $nameId): ?ServersWatched
    {
        $row = $this->database->selectOne(
            'SELECT '.self::COLUMNS.' FROM server_watches w JOIN docket_lines l ON l.id = w.docket_line_id
             WHERE w.name_id = ? AND w.ended_at IS NULL ORDER BY w.began_at DESC LIMIT 1',
            [$nameId],
        );

        return $row === null ? null : ServersWatched::of(Row::of($row));
    }
}
