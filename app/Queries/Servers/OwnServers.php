<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use App\Support\Row;
use Illuminate\Database\Connection;

/** Which name servers are a service of a registrar itself, as the sets of name servers say it: they may end when a name leaves it. */
final class OwnServers
{
    /** @var array<int, list<list<string>>> hosts of each of its sets, by registrar; none: nobody recorded which are its own */
    private array $sets = [];

    public function __construct(private readonly Connection $database)
    {
    }

    /** @param  array<array-key, int>  $registrarIds */
    public function readAhead(array $registrarIds): void
    {
        $this->sets = array_fill_keys($registrarIds, []);
        foreach (
            Row::all($this->database->select(
                "SELECT registrar_id, jsonb_path_query_array(servers, '$[*].host') AS hosts FROM server_sets
                 WHERE registrar_id = ANY (?::bigint[])",
                ['{'.implode(',', $registrarIds).'}'],
            )) as $row
        ) {
            $this->sets[$row->int('registrar_id')][] = array_values(array_filter($row->json('hosts'), is_string(...)));
        }
    }

    /**
     * @param  list<string>  $hosts  that a name has
     * @return bool|null null: not known
     */
    public function are(int $registrarId, array $hosts): ?bool
    {
        if (! isset($this->sets[$registrarId])) {
            $this->readAhead([$registrarId]);
        }
        $sets = $this->sets[$registrarId];
        if ($sets === [] || $hosts === []) {
            return null;
        }
        foreach ($sets as $own) {
            if (array_diff($hosts, $own) === []) {
                return true;
            }
        }

        return false;
    }
}
