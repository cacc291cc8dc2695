<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use App\Models\ServersKept;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The name servers that our record has. */
final readonly class ServersOnRecord
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<int>  $nameIds
     * @return array<int, list<string>> hosts by name; of names on the Roll
     */
    public function of(array $nameIds): array
    {
        $found = [];
        foreach (Row::all($this->database->table('standings')->whereIn('name_id', $nameIds)->get(['name_id', 'servers'])) as $row) {
            $found[$row->int('name_id')] = ServersKept::ofText($row->text('servers'))->hosts();
        }

        return $found;
    }
}
