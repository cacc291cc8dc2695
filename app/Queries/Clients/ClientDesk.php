<?php

declare(strict_types=1);

namespace App\Queries\Clients;

use App\Models\DocketState;
use App\Support\Row;
use Illuminate\Database\Connection;

/**
 * What somebody wants to see of a client who is on the telephone, beside their names: who their registrants are, and what is open with
 * them.
 */
final readonly class ClientDesk
{
    /** As many of each as are listed. */
    public const MOST = 6;

    /** Names over which registrants are counted: more say nothing new on the telephone. */
    private const NAMES = 2_000;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<Row> contact_id, called, address, names; the one with most names first */
    public function registrants(int $clientId): array
    {
        return Row::all(
            $this->database->select(
                'SELECT x.contact_id, x.called, x.address, count(*) AS names
                    FROM (SELECT name_id FROM standings WHERE client_id = ? ORDER BY later, next_at, name_id LIMIT ?) s
                    JOIN registrants x ON x.name_id = s.name_id GROUP BY 1, 2, 3 ORDER BY 4 DESC, 2 LIMIT ?',
                [$clientId, self::NAMES, self::MOST + 1],
            ),
        );
    }

    /** @return list<Row> id, deed, state, names; the newest first: dockets that have not ended */
    public function dockets(int $clientId): array
    {
        return Row::all(
            $this->database->select(
                "SELECT d.id, d.deed, d.state, count(*) AS names FROM docket_lines k JOIN dockets d ON d.id = k.docket_id
                    JOIN standings s ON s.name_id = k.name_id
             WHERE s.client_id = ? AND k.state IN ('prepared', 'waiting', 'begun') AND d.state IN (?, ?) GROUP BY 1, 2, 3 ORDER BY 1 DESC
             LIMIT ?",
                [$clientId, DocketState::Prepared->value, DocketState::Settled->value, self::MOST + 1],
            ),
        );
    }

    /** @return list<Row> ascii, unicode, finding; dearest first: where a registry says something else of their names */
    public function drifts(int $clientId): array
    {
        return Row::all(
            $this->database->select(
                "SELECT s.ascii, s.unicode, d.finding FROM drifts d JOIN standings s ON s.name_id = d.name_id
                    WHERE s.client_id = ? AND d.state = 'open' AND d.alarming ORDER BY d.cost, d.id LIMIT ?",
                [$clientId, self::MOST + 1],
            ),
        );
    }
}
