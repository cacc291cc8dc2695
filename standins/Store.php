<?php

declare(strict_types=1);

namespace Standin;

use PDO;
use PDOStatement;
use Standin\Registry\Registered;

/** What the world holds, in a file of its own. Nobody but the world reads it. */
final class Store
{
    private readonly PDO $file;

    /** @var array<string, PDOStatement> */
    private array $prepared = [];

    public function __construct(string $path)
    {
        $this->file = new PDO("sqlite:{$path}", null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $this->file->exec('PRAGMA journal_mode = WAL');
        $this->file->exec('PRAGMA synchronous = NORMAL');
        $this->file->exec(<<<'SQL'
CREATE TABLE IF NOT EXISTS told (key TEXT PRIMARY KEY, value TEXT NOT NULL);
CREATE TABLE IF NOT EXISTS names (name TEXT PRIMARY KEY, body TEXT NOT NULL, due INTEGER, public TEXT, public_until INTEGER);
CREATE INDEX IF NOT EXISTS names_due ON names (due);
CREATE TABLE IF NOT EXISTS hosts (host TEXT PRIMARY KEY, addresses TEXT NOT NULL);
CREATE TABLE IF NOT EXISTS moods (address TEXT PRIMARY KEY, mood TEXT NOT NULL);
CREATE TABLE IF NOT EXISTS records (zone TEXT NOT NULL, records TEXT NOT NULL, PRIMARY KEY (zone));
SQL);
    }

    /** @param  callable(): void  $do */
    public function together(callable $do): void
    {
        $this->file->beginTransaction();
        $do();
        $this->file->commit();
    }

    public function empty(): void
    {
        foreach (['told', 'names', 'hosts', 'moods', 'records'] as $table) {
            $this->file->exec("DELETE FROM {$table}");
        }
    }

    public function told(string $key): ?string
    {
        return $this->text('SELECT value FROM told WHERE key = ?', $key);
    }

    public function tell(string $key, string $value): void
    {
        $this->run('INSERT INTO told VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value', $key, $value);
    }

    public function name(string $name): ?Registered
    {
        $body = $this->text('SELECT body FROM names WHERE name = ?', $name);

        return $body === null ? null : Registered::read($body);
    }

    /** As directories have it, which may be some minutes behind. */
    public function published(string $name, int $now): ?Registered
    {
        $behind = $this->text('SELECT public FROM names WHERE name = ? AND public_until > ?', $name, $now);

        return $behind === null ? $this->name($name) : ($behind === '' ? null : Registered::read($behind));
    }

    /** @param  int|null  $publicAt  when directories show it; null: at once */
    public function put(Registered $name, ?int $publicAt = null): void
    {
        $before = $publicAt === null ? null : ($this->text('SELECT body FROM names WHERE name = ?', $name->name) ?? '');
        $this->run(
            'INSERT INTO names VALUES (?, ?, ?, ?, ?) ON CONFLICT (name) DO UPDATE SET body = excluded.body, due = excluded.due, public = excluded.public, public_until = excluded.public_until',
            $name->name, $name->json(), $name->due, $before, $publicAt,
        );
    }

    public function remove(string $name): void
    {
        $this->run('DELETE FROM names WHERE name = ?', $name);
    }

    /** The name to which something happens first, if that is by then. */
    public function firstDue(int $until): ?Registered
    {
        $body = $this->text('SELECT body FROM names WHERE due <= ? ORDER BY due, name LIMIT 1', $until);

        return $body === null ? null : Registered::read($body);
    }

    public function count(): int
    {
        return (int) ($this->text('SELECT count(*) FROM names') ?? '0');
    }

    /** @param  list<string>  $addresses */
    public function putHost(string $host, array $addresses): void
    {
        $this->run('INSERT INTO hosts VALUES (?, ?) ON CONFLICT (host) DO UPDATE SET addresses = excluded.addresses', $host, implode(' ', $addresses));
    }

    /** @return list<string> */
    public function addresses(string $host): array
    {
        $addresses = $this->text('SELECT addresses FROM hosts WHERE host = ?', $host);

        return $addresses === null || $addresses === '' ? [] : explode(' ', $addresses);
    }

    /** @return array<string, string> host by address */
    public function hostsByAddress(): array
    {
        $found = [];
        foreach ($this->all('SELECT host, addresses FROM hosts') as [$host, $addresses]) {
            foreach (explode(' ', $addresses) as $address) {
                $found[$address] = $host;
            }
        }

        return $found;
    }

    public function mood(string $address): ?string
    {
        return $this->text('SELECT mood FROM moods WHERE address = ?', $address);
    }

    public function putMood(string $address, string $mood): void
    {
        $this->run('INSERT INTO moods VALUES (?, ?) ON CONFLICT (address) DO UPDATE SET mood = excluded.mood', $address, $mood);
    }

    /** What the hosts of a zone answer, as JSON, where it was said. */
    public function records(string $zone): ?string
    {
        return $this->text('SELECT records FROM records WHERE zone = ?', $zone);
    }

    public function putRecords(string $zone, string $records): void
    {
        $this->run('INSERT INTO records VALUES (?, ?) ON CONFLICT (zone) DO UPDATE SET records = excluded.records', $zone, $records);
    }

    private function text(string $sql, string|int ...$values): ?string
    {
        $statement = $this->run($sql, ...$values);
        $value = $statement->fetchColumn();
        $statement->closeCursor();

        return is_string($value) || is_int($value) ? (string) $value : null;
    }

    /** @return list<array{string, string}> */
    private function all(string $sql): array
    {
        $rows = [];
        foreach ($this->run($sql)->fetchAll(PDO::FETCH_NUM) as $row) {
            if (is_array($row) && is_string($row[0] ?? null) && is_string($row[1] ?? null)) {
                $rows[] = [$row[0], $row[1]];
            }
        }

        return $rows;
    }

    private function run(string $sql, string|int|null ...$values): PDOStatement
    {
        $statement = $this->prepared[$sql] ??= $this->file->prepare($sql);
        $statement->execute(array_values($values));

        return $statement;
    }
}
