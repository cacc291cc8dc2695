<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\DelegatesBefore;
use App\Support\Row;
use Illuminate\Database\Connection;

/** DS records that are gone at the registry, and that resolvers may still keep. */
final readonly class KeptDelegates
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<int>  $nameIds
     * @return array<int, DelegatesBefore> by name; those that had none are left out
     */
    public function gone(array $nameIds): array
    {
        $found = [];
        $rows = $this->database->select(
            'SELECT name_id, gone, gone_ttl, gone_at FROM delegates_seen WHERE name_id = ANY (?::bigint[]) AND gone_at IS NOT NULL',
            ['{'.implode(',', $nameIds).'}'],
        );
        foreach (Row::all($rows) as $row) {
            $at = $row->instant('gone_at');
            $texts = array_filter($row->json('gone'), is_string(...));
            if ($at !== null) {
                $delegates = array_values(array_filter(array_map(Delegate::read(...), $texts)));
                $found[$row->int('name_id')] = new DelegatesBefore($delegates, $row->intOrNull('gone_ttl'), $at);
            }
        }

        return $found;
    }
}
