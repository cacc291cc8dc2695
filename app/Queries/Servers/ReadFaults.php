<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Delegation\DelegationFinding;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What is wrong with where names point, over the whole Roll: by host, and by what it is. */
final readonly class ReadFaults
{
    private const MOST = 200;

    /** Names that are named beside a count. */
    private const FEW = 3;

    /** Of names on the Roll; what is late, deleted or on hold has no servers, is told as that, and not a second time. */
    private const COUNTED = <<<'SQL'
        EXISTS (SELECT FROM standings s WHERE s.name_id = f.name_id) AND (f.finding <> 'not_delegated' OR NOT (
            EXISTS (SELECT FROM standings s WHERE s.name_id = f.name_id AND (s.severity = 3 OR s.phase <> 'in_term'))
            OR EXISTS (SELECT FROM registrations r WHERE r.name_id = f.name_id AND upper_inf(r.span)
                AND (r.statuses @> '["clientHold"]' OR r.statuses @> '["serverHold"]'))
            OR EXISTS (SELECT FROM drifts d WHERE d.name_id = f.name_id AND d.state = 'open' AND d.alarming)))
        SQL;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<FaultCounted> dearest first, then those on which most names hang; `host` empty where no single one is to blame */
    public function counted(): array
    {
        $rows = $this->database->select(
            'SELECT c.*, (SELECT json_agg(json_build_array(x.ascii, x.unicode)) FROM (SELECT n.ascii, n.unicode FROM pointing_faults f
                JOIN names n ON n.id = f.name_id WHERE f.finding = c.finding AND f.host = c.host AND '.self::COUNTED.'
                ORDER BY f.name_id LIMIT ?) x) AS few
             FROM (SELECT finding, host, count(*) AS names, min(cost) AS cost, min(first_seen) AS since, min(said::text) AS said
                FROM pointing_faults f WHERE '.self::COUNTED.' GROUP BY finding, host) c
             ORDER BY c.cost, c.names DESC, c.host, c.finding LIMIT ?',
            [self::FEW, self::MOST],
        );

        return array_map(FaultCounted::of(...), Row::all($rows));
    }

    /** @return list<int> names that have it */
    public function names(DelegationFinding $finding, string $host, int $most): array
    {
        $rows = $this->database->select(
            'SELECT name_id FROM pointing_faults WHERE finding = ? AND host = ? ORDER BY name_id LIMIT ?',
            [$finding->value, $host, $most],
        );

        return array_map(fn (Row $row): int => $row->int('name_id'), Row::all($rows));
    }
}
