<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use App\Queries\Outside\Observed;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Where names were last seen to point. */
final readonly class LastPointing
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<int>  $nameIds
     * @return array<int, Observed> by name; those that nobody has asked about are left out
     */
    public function of(array $nameIds): array
    {
        $found = [];
        $rows = $this->database->select(
            <<<'SQL'
            SELECT n.ascii, o.*, encode(b.body, 'base64') AS body FROM names n CROSS JOIN LATERAL (
                SELECT * FROM observations WHERE name_id = n.id AND source = 'dns' ORDER BY last_seen DESC, id DESC LIMIT 1
            ) o JOIN observation_bodies b ON b.observation_id = o.id WHERE n.id = ANY (?::bigint[])
            SQL
            ,
            ['{'.implode(',', $nameIds).'}'],
        );
        foreach (Row::all($rows) as $row) {
            $found[$row->int('name_id')] = Observed::of($row, $row->text('ascii'));
        }

        return $found;
    }
}
