<?php

declare(strict_types=1);

namespace App\Queries\Hosting;

use App\Support\Row;
use Illuminate\Database\Connection;

/** What is wrong with pages, redirects and certificates, over the whole Roll: by place, and by what it is. */
final readonly class ReadSiteFaults
{
    private const MOST = 200;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<SiteFaultCounted> dearest first, then those of most hosts; a name that is late or gone has none of its own */
    public function counted(): array
    {
        return array_map(SiteFaultCounted::of(...), Row::all($this->database->select(
            'SELECT c.*, p.name AS place, n.ascii, n.unicode FROM (
                SELECT f.finding, s.place_id, count(*) AS hosts, count(DISTINCT s.name_id) AS names, min(f.cost) AS cost,
                    min(f.first_seen) AS since, (array_agg(f.said::text ORDER BY s.id))[1] AS said,
                    (array_agg(s.name_id ORDER BY s.id))[1] AS name_id
                FROM site_faults f JOIN sites s ON s.id = f.site_id
                WHERE EXISTS (SELECT FROM standings t WHERE t.name_id = s.name_id AND t.severity < 3 AND t.phase = \'in_term\')
                GROUP BY f.finding, s.place_id) c
             JOIN names n ON n.id = c.name_id LEFT JOIN places p ON p.id = c.place_id
             ORDER BY c.cost, c.hosts DESC, c.finding, c.place_id LIMIT ?',
            [self::MOST],
        )));
    }
}
