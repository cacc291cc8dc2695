<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Clients and accounts that a list names and nobody has recorded yet: offered for creation before it is written. */
final readonly class MissingFrom
{
    public function __construct(private Connection $database, private HouseLog $log)
    {
    }

    /** @return list<Row> value, lines */
    public function clients(Import $import): array
    {
        return $this->missing($import, 'client', 'SELECT 1 FROM clients WHERE folded(name) = folded(value)', []);
    }

    /** @return list<Row> value, lines */
    public function accounts(Import $import): array
    {
        return $this->missing($import, 'account', 'SELECT 1 FROM accounts WHERE registrar_id = ? AND lower(number) = lower(value)', [
            $import->registrar_id,
        ]);
    }

    /**
     * In the transaction that lets the list be written.
     *
     * @param  list<string>  $clients
     * @param  list<string>  $accounts
     * @return array{clients: list<int>, accounts: list<int>} what was made
     */
    public function create(User $user, Import $import, array $clients, array $accounts): array
    {
        $made = ['clients' => [], 'accounts' => []];
        foreach (array_intersect($this->values($this->clients($import)), $clients) as $name) {
            array_push(
                $made['clients'],
                ...$this->insert(
                    'INSERT INTO clients (name, created_at, updated_at) VALUES (?, now(), now()) ON CONFLICT DO NOTHING RETURNING id',
                    [$name],
                ),
            );
        }
        foreach (array_intersect($this->values($this->accounts($import)), $accounts) as $number) {
            array_push(
                $made['accounts'],
                ...$this->insert(
                    'INSERT INTO accounts (registrar_id, number, created_at, updated_at) VALUES (?, ?, now(), now())
                        ON CONFLICT DO NOTHING RETURNING id',
                    [$import->registrar_id, $number],
                ),
            );
        }
        foreach ($made as $kind => $ids) {
            foreach ($ids as $id) {
                $this->log->write('made', rtrim($kind, 's'), $id, ['import' => $import->id], $user->id);
            }
        }

        return $made;
    }

    /**
     * Another list may have made it a moment ago: then nothing is made, and the line goes to that one.
     *
     * @param  list<string|int>  $values
     * @return list<int> its number, if it was made
     */
    private function insert(string $statement, array $values): array
    {
        return array_map(fn (Row $row): int => $row->int('id'), Row::all($this->database->select($statement, $values)));
    }

    /**
     * @param  list<Row>  $rows
     * @return list<string>
     */
    private function values(array $rows): array
    {
        return array_map(fn (Row $row): string => $row->text('value'), $rows);
    }

    /**
     * @param  list<mixed>  $bindings
     * @return list<Row>
     */
    private function missing(Import $import, string $field, string $known, array $bindings): array
    {
        return Row::all(
            $this->database->select(
                "SELECT value, lines FROM (SELECT min(facts->>'{$field}') AS value, count(*) AS lines FROM import_rows
             WHERE import_id = ? AND verdict = 'new' AND facts->>'{$field}' IS NOT NULL GROUP BY folded(facts->>'{$field}')) named
             WHERE NOT EXISTS ({$known}) ORDER BY value LIMIT 500",
                [$import->id, ...$bindings],
            ),
        );
    }
}
