<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use App\Models\NamedSet;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Collection;

/** How many names hang on each name server. */
final readonly class NamesByServers
{
    private const HOSTS = 200;

    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, int> by host, those with most names first */
    public function byHost(): array
    {
        $rows = $this->database->select(
            "SELECT host, count(*) AS names FROM standings s CROSS JOIN LATERAL regexp_split_to_table(s.servers, ' ') AS host
             WHERE host <> '' GROUP BY host ORDER BY names DESC, host LIMIT ?",
            [self::HOSTS],
        );
        $found = [];
        foreach (Row::all($rows) as $row) {
            $found[$row->text('host')] = $row->int('names');
        }

        return $found;
    }

    /**
     * @param  Collection<int, NamedSet>  $sets
     * @return array<int, int> names that have exactly its servers, by set
     */
    public function ofSets(Collection $sets): array
    {
        $found = [];
        foreach ($this->bySet() as $hosts => $names) {
            foreach ($sets as $set) {
                if ($set->value()->isExactly(explode(' ', (string) $hosts))) {
                    $found[$set->id] = ($found[$set->id] ?? 0) + $names;
                }
            }
        }

        return $found;
    }

    /** @return array<string, int> */
    private function bySet(): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->database->select(
                    "SELECT servers, count(*) AS names FROM standings WHERE servers <> '' GROUP BY servers ORDER BY names DESC LIMIT 2000",
                ),
            ) as $row
        ) {
            $found[$row->text('servers')] = $row->int('names');
        }

        return $found;
    }
}
