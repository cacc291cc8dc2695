<?php

declare(strict_types=1);

namespace Standin;

use Acre\Wire\Json\JsonNode;
use PDO;
use PDOStatement;
use Standin\Registry\Account;
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
CREATE TABLE IF NOT EXISTS accounts (number TEXT PRIMARY KEY, login TEXT NOT NULL UNIQUE, body TEXT NOT NULL);
CREATE TABLE IF NOT EXISTS contacts (id TEXT PRIMARY KEY, account TEXT NOT NULL, body TEXT NOT NULL);
CREATE TABLE IF NOT EXISTS messages (id INTEGER PRIMARY KEY AUTOINCREMENT, account TEXT NOT NULL, at INTEGER NOT NULL, text TEXT NOT NULL, body TEXT NOT NULL);
CREATE INDEX IF NOT EXISTS messages_account ON messages (account, id);
CREATE TABLE IF NOT EXISTS transactions (id INTEGER PRIMARY KEY AUTOINCREMENT, account TEXT NOT NULL, client TEXT, verb TEXT NOT NULL, code INTEGER NOT NULL, at INTEGER NOT NULL);
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
        foreach (['told', 'names', 'hosts', 'moods', 'records', 'accounts', 'contacts', 'messages', 'transactions'] as $table) {
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

    public function putAccount(Account $account): void
    {
        $this->run('INSERT INTO accounts VALUES (?, ?, ?) ON CONFLICT (number) DO UPDATE SET login = excluded.login, body = excluded.body', $account->number, $account->login, $account->json());
    }

    /** By number, or by login. */
    public function account(string $which): ?Account
    {
        $body = $this->text('SELECT body FROM accounts WHERE number = ? OR login = ? LIMIT 1', $which, $which);

        return $body === null ? null : Account::of(JsonNode::read($body, 10_000));
    }

    public function putContact(string $id, string $account, string $body): void
    {
        $this->run('INSERT INTO contacts VALUES (?, ?, ?) ON CONFLICT (id) DO UPDATE SET body = excluded.body', $id, $account, $body);
    }

    /** @return array{string, string}|null account and body */
    public function contact(string $id): ?array
    {
        return $this->all('SELECT account, body FROM contacts WHERE id = ?', $id)[0] ?? null;
    }

    public function removeContact(string $id): void
    {
        $this->run('DELETE FROM contacts WHERE id = ?', $id);
    }

    public function isHolder(string $id): bool
    {
        return $this->text("SELECT 1 FROM names WHERE json_extract(body, '$.holder.handle') = ? LIMIT 1", $id) !== null;
    }

    /** @return list<Registered> */
    public function namesOfHolder(string $id): array
    {
        return array_map(fn (array $row): Registered => Registered::read($row[1]), $this->all("SELECT name, body FROM names WHERE json_extract(body, '$.holder.handle') = ?", $id));
    }

    public function leave(string $account, int $at, string $text, string $body): void
    {
        $this->run('INSERT INTO messages (account, at, text, body) VALUES (?, ?, ?, ?)', $account, $at, $text, $body);
    }

    /** @return array{int, string, int, string, string}|null how many, id, at, text and body of the first */
    public function firstMessage(string $account): ?array
    {
        $row = $this->run('SELECT id, at, text, body, (SELECT count(*) FROM messages WHERE account = m.account) AS waiting FROM messages m WHERE account = ? ORDER BY id LIMIT 1', $account)->fetch(PDO::FETCH_ASSOC);

        return is_array($row) && is_int($row['waiting']) && is_int($row['at']) && is_string($row['text']) && is_string($row['body']) ? [$row['waiting'], is_int($row['id']) ? (string) $row['id'] : '', $row['at'], $row['text'], $row['body']] : null;
    }

    public function messages(string $account): int
    {
        return (int) ($this->text('SELECT count(*) FROM messages WHERE account = ?', $account) ?? '0');
    }

    public function removeMessage(string $account, string $id): bool
    {
        return $this->run('DELETE FROM messages WHERE account = ? AND id = ?', $account, $id)->rowCount() === 1;
    }

    /** @return int its number */
    public function transaction(string $account, ?string $client, string $verb, int $code, int $at): int
    {
        $this->run('INSERT INTO transactions (account, client, verb, code, at) VALUES (?, ?, ?, ?, ?)', $account, $client, $verb, $code, $at);

        return (int) $this->file->lastInsertId();
    }

    /** @return list<string> verb and code of what an account's sessions were told, oldest first */
    public function heard(string $account): array
    {
        return array_map(fn (array $row): string => "{$row[0]} {$row[1]}", $this->all('SELECT verb, CAST(code AS TEXT) FROM transactions WHERE account = ? ORDER BY id', $account));
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
    private function all(string $sql, string|int ...$values): array
    {
        $rows = [];
        foreach ($this->run($sql, ...$values)->fetchAll(PDO::FETCH_NUM) as $row) {
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
