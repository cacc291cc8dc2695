<?php

declare(strict_types=1);

namespace Standin\Registry;

use PDO;
use Standin\StoreFile;

/** What was taken from accounts at registrars, and paid in, each with what was left. */
final readonly class Entries
{
    public function __construct(private StoreFile $file)
    {
    }

    /**
     * @param  string  $kind  add, renew, transfer, restore or top_up
     * @param  int  $pence  below nothing: taken
     */
    public function add(Account $account, int $at, string $kind, ?string $name, int $pence): void
    {
        $this->file->write(
            'INSERT INTO entries (account, at, kind, name, pence, balance) VALUES (?, ?, ?, ?, ?, ?)',
            $account->number,
            $at,
            $kind,
            $name,
            $pence,
            $account->balance,
        );
    }

    /** @return list<array{id: int, at: int, kind: string, name: string|null, pence: int, balance: int}> oldest first */
    public function after(string $account, int $id, int $most): array
    {
        $found = [];
        foreach (
            $this->file->run(
                'SELECT id, at, kind, name, pence, balance FROM entries WHERE account = ? AND id > ? ORDER BY id LIMIT ?',
                $account,
                $id,
                $most,
            )->fetchAll(PDO::FETCH_ASSOC) as $row
        ) {
            if (
                is_array($row) && is_int($row['id']) && is_int($row['at']) && is_string($row['kind']) && is_int($row['pence'])
                && is_int($row['balance'])
            ) {
                $found[] = [
                    'id' => $row['id'],
                    'at' => $row['at'],
                    'kind' => $row['kind'],
                    'name' => is_string($row['name']) ? $row['name'] : null,
                    'pence' => $row['pence'],
                    'balance' => $row['balance'],
                ];
            }
        }

        return $found;
    }
}
