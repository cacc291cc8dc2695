<?php

declare(strict_types=1);

namespace Standin;

use Acre\Wire\Json\JsonNode;
use Closure;
use PDO;
use PDOStatement;
use Standin\Post\Letter;
use Standin\Post\Mailbox;
use Standin\Registry\Account;
use Standin\Registry\Registered;
use Throwable;

/**
 * What the world holds, in a file of its own. Nobody but the world reads it.
 *
 * What is written stands there at once or, where somebody sees to that, right after the answer that told of it. Whoever reads
 * meanwhile finds it.
 */
final class Store
{
    /** Names and accounts that are kept in memory, each. */
    private const KEPT = 2_000;

    /** Answers that wait to be written down, at most. */
    private const UNWRITTEN = 1_000;

    private const TELL = 'INSERT INTO told VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value';

    private readonly PDO $file;

    /** @var array<string, PDOStatement> */
    private array $prepared = [];

    /** @var array<string, string> all of it */
    private array $told = [];

    /** @var array<string, Registered> as they were last read or written, so that a command need not read them again */
    private array $names = [];

    /** @var array<string, Account> by number and by login */
    private array $accounts = [];

    /** @var list<array{string, list<string|int|Registered|null>}> statements with their values that are not carried out yet */
    private array $unwritten = [];

    /** @var list<array{int, string, string|null, string, int, int}> what was answered and is not written yet */
    private array $answered = [];

    /** The latest transaction's. */
    private int $number;

    /**
     * @param  (Closure(Closure(): void): void)|null  $later  lets something happen once what is answered now is on its way; null: at once
     */
    public function __construct(string $path, private readonly ?Closure $later = null)
    {
        $this->file = new PDO("sqlite:{$path}", null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $this->file->exec('PRAGMA locking_mode = EXCLUSIVE');
        $this->file->exec('PRAGMA journal_mode = WAL');
        $this->file->exec('PRAGMA synchronous = NORMAL');
        $this->file->exec(
            <<<'SQL'
            CREATE TABLE IF NOT EXISTS told (key TEXT PRIMARY KEY, value TEXT NOT NULL);
            CREATE TABLE IF NOT EXISTS names (name TEXT PRIMARY KEY, body TEXT NOT NULL, due INTEGER, public TEXT, public_until INTEGER);
            CREATE INDEX IF NOT EXISTS names_due ON names (due);
            CREATE INDEX IF NOT EXISTS names_account ON names (json_extract(body, '$.account'));
            CREATE TABLE IF NOT EXISTS accounts (number TEXT PRIMARY KEY, login TEXT NOT NULL UNIQUE, body TEXT NOT NULL);
            CREATE TABLE IF NOT EXISTS contacts (id TEXT PRIMARY KEY, account TEXT NOT NULL, body TEXT NOT NULL);
            CREATE TABLE IF NOT EXISTS messages (id INTEGER PRIMARY KEY AUTOINCREMENT, account TEXT NOT NULL, at INTEGER NOT NULL,
            text TEXT NOT NULL, body TEXT NOT NULL);
            CREATE INDEX IF NOT EXISTS messages_account ON messages (account, id);
            CREATE TABLE IF NOT EXISTS transactions (id INTEGER PRIMARY KEY, account TEXT NOT NULL, client TEXT, verb TEXT NOT NULL,
            code INTEGER NOT NULL, at INTEGER NOT NULL);
            CREATE TABLE IF NOT EXISTS hosts (host TEXT PRIMARY KEY, addresses TEXT NOT NULL);
            CREATE TABLE IF NOT EXISTS moods (address TEXT PRIMARY KEY, mood TEXT NOT NULL);
            CREATE TABLE IF NOT EXISTS orders (account TEXT NOT NULL, key TEXT NOT NULL, body TEXT NOT NULL, answer TEXT NOT NULL,
            PRIMARY KEY (account, key));
            CREATE TABLE IF NOT EXISTS mailboxes (address TEXT PRIMARY KEY, body TEXT NOT NULL);
            CREATE TABLE IF NOT EXISTS letters (id INTEGER PRIMARY KEY AUTOINCREMENT, mailbox TEXT NOT NULL, sender TEXT NOT NULL,
            at INTEGER NOT NULL, raw TEXT NOT NULL);
            CREATE INDEX IF NOT EXISTS letters_mailbox ON letters (mailbox, id);
            CREATE TABLE IF NOT EXISTS meetings (sender TEXT NOT NULL, mailbox TEXT NOT NULL, PRIMARY KEY (sender, mailbox));
            CREATE TABLE IF NOT EXISTS records (zone TEXT NOT NULL, records TEXT NOT NULL, PRIMARY KEY (zone));
            SQL
            ,
        );
        // Whoever was killed before they wrote down what they had answered gave out numbers that don't stand here.
        $this->number =
            (int) $this->text(
                "SELECT max((SELECT coalesce(max(id), 0) FROM transactions),
                    (SELECT coalesce(max(value + 0), 0) FROM told WHERE key = 'numbered'))",
            ) + self::UNWRITTEN;
        $this->run(self::TELL, 'numbered', (string) $this->number);
        $this->remember();
    }

    /** @param  callable(): void  $do */
    public function together(callable $do): void
    {
        $this->writeDown();
        $this->file->beginTransaction();
        try {
            $do();
        } catch (Throwable $e) {
            $this->file->rollBack();
            $this->remember();
            throw $e;
        }
        $this->file->commit();
    }

    public function empty(): void
    {
        $this->file->exec("DELETE FROM told WHERE key <> 'numbered'");
        foreach (
            [
                'names',
                'hosts',
                'moods',
                'records',
                'accounts',
                'contacts',
                'messages',
                'transactions',
                'mailboxes',
                'letters',
                'meetings',
                'orders',
            ] as $table
        ) {
            $this->file->exec("DELETE FROM {$table}");
        }
        $this->unwritten = $this->answered = [];
        $this->remember();
    }

    public function told(string $key): ?string
    {
        return $this->told[$key] ?? null;
    }

    public function tell(string $key, string $value): void
    {
        $this->write(self::TELL, $key, $value);
        $this->told[$key] = $value;
    }

    public function name(string $name): ?Registered
    {
        if (! isset($this->names[$name])) {
            $body = $this->text('SELECT body FROM names WHERE name = ?', $name);
            if ($body === null) {
                return null;
            }
            $this->keep(Registered::read($body));
        }

        return clone $this->names[$name];
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
        $before = $publicAt === null ? null : $this->name($name->name) ?? '';
        $this->write(
            'INSERT INTO names VALUES (?, ?, ?, ?, ?) ON CONFLICT (name) DO UPDATE
                SET body = excluded.body, due = excluded.due, public = excluded.public, public_until = excluded.public_until',
            $name->name,
            clone $name,
            $name->due,
            $before,
            $publicAt,
        );
        $this->keep($name);
    }

    public function remove(string $name): void
    {
        unset($this->names[$name]);
        $this->write('DELETE FROM names WHERE name = ?', $name);
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
        $this->write(
            'INSERT INTO hosts VALUES (?, ?) ON CONFLICT (host) DO UPDATE SET addresses = excluded.addresses',
            $host,
            implode(' ', $addresses),
        );
    }

    public function removeHost(string $host): void
    {
        $this->write('DELETE FROM hosts WHERE host = ?', $host);
    }

    /** Whether a name is answered by it. */
    public function isServer(string $host): bool
    {
        return $this->text("SELECT 1 FROM names, json_each(body, '$.servers') AS server WHERE server.value = ? LIMIT 1", $host) !== null;
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
        $this->write('INSERT INTO moods VALUES (?, ?) ON CONFLICT (address) DO UPDATE SET mood = excluded.mood', $address, $mood);
    }

    public function putAccount(Account $account): void
    {
        $this->accounts = [];
        $this->write(
            'INSERT INTO accounts VALUES (?, ?, ?) ON CONFLICT (number) DO UPDATE SET login = excluded.login, body = excluded.body',
            $account->number,
            $account->login,
            $account->json(),
        );
    }

    /** By number, or by login. */
    public function account(string $which): ?Account
    {
        if (! isset($this->accounts[$which])) {
            $body = $this->text('SELECT body FROM accounts WHERE number = ? OR login = ? LIMIT 1', $which, $which);
            if ($body === null) {
                return null;
            }
            $this->accounts = count($this->accounts) < self::KEPT ? $this->accounts : [];
            $this->accounts[$which] = Account::of(JsonNode::read($body, 10_000));
        }

        return clone $this->accounts[$which];
    }

    public function putContact(string $id, string $account, string $body): void
    {
        $this->write(
            'INSERT INTO contacts VALUES (?, ?, ?) ON CONFLICT (id) DO UPDATE SET account = excluded.account, body = excluded.body',
            $id,
            $account,
            $body,
        );
    }

    /** @return array{string, string}|null account and body */
    public function contact(string $id): ?array
    {
        return $this->all('SELECT account, body FROM contacts WHERE id = ?', $id)[0] ?? null;
    }

    public function removeContact(string $id): void
    {
        $this->write('DELETE FROM contacts WHERE id = ?', $id);
    }

    public function isHolder(string $id): bool
    {
        return $this->text("SELECT 1 FROM names WHERE json_extract(body, '$.holder.handle') = ? LIMIT 1", $id) !== null;
    }

    /** @return list<Registered> */
    public function namesOfHolder(string $id): array
    {
        return array_map(
            fn (array $row): Registered => Registered::read($row[1]),
            $this->all("SELECT name, body FROM names WHERE json_extract(body, '$.holder.handle') = ?", $id),
        );
    }

    public function leave(string $account, int $at, string $text, string $body): void
    {
        $this->write('INSERT INTO messages (account, at, text, body) VALUES (?, ?, ?, ?)', $account, $at, $text, $body);
    }

    /** @return array{int, string, int, string, string}|null how many, id, at, text and body of the first */
    public function firstMessage(string $account): ?array
    {
        $row = $this->run(
            'SELECT id, at, text, body, (SELECT count(*) FROM messages WHERE account = m.account) AS waiting FROM messages m
                WHERE account = ? ORDER BY id LIMIT 1',
            $account,
        )->fetch(PDO::FETCH_ASSOC);

        return is_array($row) && is_int($row['waiting']) && is_int($row['at']) && is_string($row['text']) && is_string($row['body'])
            ? [$row['waiting'], is_int($row['id']) ? (string) $row['id'] : '', $row['at'], $row['text'], $row['body']]
            : null;
    }

    /** @return list<array{string, int, string, string}> id, at, text and body of the first ones */
    public function messagesOf(string $account, int $most): array
    {
        $found = [];
        foreach (
            $this->run('SELECT id, at, text, body FROM messages WHERE account = ? ORDER BY id LIMIT ?', $account, $most)->fetchAll(
                PDO::FETCH_NUM,
            ) as $row
        ) {
            if (
                is_array($row) &&
                is_int($row[0] ?? null) &&
                is_int($row[1] ?? null) &&
                is_string($row[2] ?? null) &&
                is_string($row[3] ?? null)
            ) {
                $found[] = [(string) $row[0], $row[1], $row[2], $row[3]];
            }
        }

        return $found;
    }

    public function messages(string $account): int
    {
        return (int) ($this->text('SELECT count(*) FROM messages WHERE account = ?', $account) ?? '0');
    }

    public function removeMessage(string $account, string $id): bool
    {
        return $this->run('DELETE FROM messages WHERE account = ? AND id = ?', $account, $id)->rowCount() === 1;
    }

    /**
     * Notes what a session was told; it is written down with the next change, or by `writeDown`.
     *
     * @return int its number
     */
    public function transaction(string $account, ?string $client, string $verb, int $code, int $at): int
    {
        $this->answered[] = [++$this->number, $account, $client, $verb, $code, $at];
        if (count($this->answered) >= self::UNWRITTEN) {
            $this->writeDown();
        }

        return $this->number;
    }

    public function writeDown(): void
    {
        if ($this->answered !== []) {
            $this->unwritten[] = [
                'INSERT INTO transactions SELECT value ->> 0, value ->> 1, value ->> 2, value ->> 3, value ->> 4, value ->> 5
                    FROM json_each(?)',
                [json_encode($this->answered, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)],
            ];
            $this->answered = [];
        }
        if ($this->file->inTransaction()) {
            $this->carryOut();
        } elseif ($this->unwritten !== []) {
            $this->file->beginTransaction();
            $this->carryOut();
            $this->file->commit();
        }
    }

    /** @return list<string> verb and code of what an account's sessions were told, oldest first */
    public function heard(string $account): array
    {
        $this->writeDown();

        return array_map(
            fn (array $row): string => "{$row[0]} {$row[1]}",
            $this->all('SELECT verb, CAST(code AS TEXT) FROM transactions WHERE account = ? ORDER BY id', $account),
        );
    }

    /** What the hosts of a zone answer, as JSON, where it was said. */
    public function records(string $zone): ?string
    {
        return $this->text('SELECT records FROM records WHERE zone = ?', $zone);
    }

    public function putRecords(string $zone, string $records): void
    {
        $this->write('INSERT INTO records VALUES (?, ?) ON CONFLICT (zone) DO UPDATE SET records = excluded.records', $zone, $records);
    }

    /** @return array{string, string}|null what was ordered under this key, and the answer to it */
    public function order(string $account, string $key): ?array
    {
        return $this->all('SELECT body, answer FROM orders WHERE account = ? AND key = ?', $account, $key)[0] ?? null;
    }

    public function putOrder(string $account, string $key, string $body, string $answer): void
    {
        $this->write(
            'INSERT INTO orders VALUES (?, ?, ?, ?) ON CONFLICT (account, key) DO UPDATE SET answer = excluded.answer',
            $account,
            $key,
            $body,
            $answer,
        );
    }

    /** What was ordered of a name and still waits is over. */
    public function endOrders(string $account, string $name, bool $isDone): void
    {
        $this->write(
            "UPDATE orders SET answer = ? WHERE account = ? AND json_extract(body, '$.name') = ?
                AND json_extract(answer, '$.state') = 'pending'",
            $isDone ? '{"state":"done"}' : '{"state":"refused","reason":"It was not accepted."}',
            $account,
            $name,
        );
    }

    /** By a public handle. */
    public function accountByHandle(string $registrar, string $handle): ?Account
    {
        $body = $this->text(
            "SELECT body FROM accounts WHERE json_extract(body, '$.registrar') = ? AND json_extract(body, '$.handle') = ? LIMIT 1",
            $registrar,
            $handle,
        );

        return $body === null || $handle === '' ? null : Account::of(JsonNode::read($body, 10_000));
    }

    /** @return list<Registered> */
    public function namesIn(string $account): array
    {
        return array_map(
            fn (array $row): Registered => Registered::read($row[1]),
            $this->all("SELECT name, body FROM names WHERE json_extract(body, '$.account') = ? ORDER BY name", $account),
        );
    }

    /** @return list<Registered> offered to an account */
    public function namesOffered(string $account): array
    {
        return array_map(
            fn (array $row): Registered => Registered::read($row[1]),
            $this->all("SELECT name, body FROM names WHERE json_extract(body, '$.handover.to') = ? ORDER BY name", $account),
        );
    }

    public function putMailbox(Mailbox $mailbox): void
    {
        $this->write(
            'INSERT INTO mailboxes VALUES (?, ?) ON CONFLICT (address) DO UPDATE SET body = excluded.body',
            $mailbox->address,
            $mailbox->json(),
        );
    }

    public function mailbox(string $address): ?Mailbox
    {
        $body = $this->text('SELECT body FROM mailboxes WHERE address = ?', $address);

        return $body === null ? null : Mailbox::of(JsonNode::read($body, 10_000));
    }

    /** Whether this sender never wrote to this mailbox before; from now on it has. */
    public function isFirstMeeting(string $sender, string $mailbox): bool
    {
        return $this->run('INSERT INTO meetings VALUES (?, ?) ON CONFLICT DO NOTHING', $sender, $mailbox)->rowCount() === 1;
    }

    public function putLetter(string $mailbox, string $sender, int $at, string $raw): void
    {
        $this->write('INSERT INTO letters (mailbox, sender, at, raw) VALUES (?, ?, ?, ?)', $mailbox, $sender, $at, $raw);
    }

    public function letter(int $id): ?Letter
    {
        return $this->lettersBy('SELECT id, mailbox, sender, at, raw FROM letters WHERE id = ?', $id)[0] ?? null;
    }

    /** @return list<Letter> of a mailbox, oldest first */
    public function letters(string $mailbox): array
    {
        return $this->lettersBy('SELECT id, mailbox, sender, at, raw FROM letters WHERE mailbox = ? ORDER BY id', $mailbox);
    }

    /** @return list<Letter> of all mailboxes, latest first */
    public function latestLetters(int $most): array
    {
        return $this->lettersBy('SELECT id, mailbox, sender, at, raw FROM letters ORDER BY id DESC LIMIT ?', $most);
    }

    public function removeLetter(int $id): void
    {
        $this->write('DELETE FROM letters WHERE id = ?', $id);
    }

    /** @return list<Letter> */
    private function lettersBy(string $sql, string|int $value): array
    {
        $found = [];
        foreach ($this->run($sql, $value)->fetchAll(PDO::FETCH_NUM) as $row) {
            if (
                is_array($row) &&
                is_int($row[0] ?? null) &&
                is_string($row[1] ?? null) &&
                is_string($row[2] ?? null) &&
                is_int($row[3] ?? null) &&
                is_string($row[4] ?? null)
            ) {
                $found[] = new Letter($row[0], $row[1], $row[2], $row[3], $row[4]);
            }
        }

        return $found;
    }

    /** In memory, too. */
    private function keep(Registered $name): void
    {
        $this->names = count($this->names) < self::KEPT ? $this->names : [];
        $this->names[$name->name] = clone $name;
    }

    /** Takes into memory just what the file says. */
    private function remember(): void
    {
        $this->names = $this->accounts = [];
        $this->told = [];
        foreach ($this->all('SELECT key, value FROM told') as [$key, $value]) {
            $this->told[$key] = $value;
        }
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

    private function write(string $sql, string|int|Registered|null ...$values): void
    {
        $this->unwritten[] = [$sql, array_values($values)];
        if ($this->later === null || $this->file->inTransaction()) {
            $this->carryOut();
        } elseif (count($this->unwritten) === 1) {
            ($this->later)($this->writeDown(...));
        }
    }

    /** What was written until now, so that whoever reads finds it. */
    private function carryOut(): void
    {
        [$unwritten, $this->unwritten] = [$this->unwritten, []];
        foreach ($unwritten as [$sql, $values]) {
            $this->execute(
                $sql,
                array_map(
                    fn (string|int|Registered|null $value): string|int|null => $value instanceof Registered ? $value->json() : $value,
                    $values,
                ),
            );
        }
    }

    private function run(string $sql, string|int ...$values): PDOStatement
    {
        $this->carryOut();

        return $this->execute($sql, array_values($values));
    }

    /** @param  list<string|int|null>  $values */
    private function execute(string $sql, array $values): PDOStatement
    {
        $statement = $this->prepared[$sql] ??= $this->file->prepare($sql);
        $statement->execute($values);

        return $statement;
    }
}
