<?php

declare(strict_types=1);

namespace App\Queries\Clients;

use App\Models\Client;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What would go from one client to another, and which clients are called nearly the same. */
final readonly class MergedClient
{
    /** From 0 to 1 (pg_trgm): the house's own choice. */
    private const ALIKE = 0.45;

    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, int> how many of each, by what it is: names, past, watched, accounts, contacts, notes */
    public function moves(int $clientId): array
    {
        $row = Row::of(
            $this->database->selectOne(
                'SELECT (SELECT count(*) FROM holdings WHERE client_id = ? AND upper_inf(span)) AS names,
                    (SELECT count(*) FROM holdings WHERE client_id = ? AND NOT upper_inf(span)) AS past,
                (SELECT count(*) FROM watchings WHERE client_id = ?) AS watched,
                (SELECT count(*) FROM accounts WHERE owner_id = ?) AS accounts,
                (SELECT count(*) FROM contacts WHERE client_id = ? AND merged_into IS NULL) AS contacts,
                (SELECT count(*) FROM notes WHERE client_id = ?) AS notes',
                array_fill(0, 6, $clientId),
            ),
        );
        $found = [];
        foreach (['names', 'past', 'watched', 'accounts', 'contacts', 'notes'] as $what) {
            $found[$what] = $row->int($what);
        }

        return $found;
    }

    /** @return array<int, string> names by id, the most alike first */
    public function alike(Client $client): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->database->select(
                    'SELECT id, name FROM clients WHERE id <> ? AND merged_into IS NULL AND NOT is_house
                        AND similarity(folded(name), folded(?)) >= ? ORDER BY similarity(folded(name), folded(?)) DESC, id LIMIT 5',
                    [$client->id, $client->name, self::ALIKE, $client->name],
                ),
            ) as $row
        ) {
            $found[$row->int('id')] = $row->text('name');
        }

        return $found;
    }
}
