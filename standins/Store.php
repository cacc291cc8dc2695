<?php

declare(strict_types=1);

namespace Standin;

use Acre\Wire\Json\JsonNode;
use Closure;
use Standin\Dns\Hosts;
use Standin\Post\Letterbox;
use Standin\Registry\Account;
use Standin\Registry\Entries;
use Standin\Registry\Inbox;
use Standin\Registry\Registered;
use Standin\Web\Pages;

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

    /** Answers that wait to be recorded, at most. */
    private const UNWRITTEN = 1_000;

    /** All but what was told of itself. */
    private const TABLES = [
        'names',
        'hosts',
        'moods',
        'records',
        'pages',
        'accounts',
        'contacts',
        'messages',
        'transactions',
        'mailboxes',
        'letters',
        'meetings',
        'orders',
    ];

    private const TELL = 'INSERT INTO told VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value';

    public readonly Letterbox $letters;

    public readonly Hosts $hosts;

    public readonly Pages $pages;

    public readonly Inbox $inbox;

    public readonly Entries $entries;

    private readonly StoreFile $file;

    /** @var array<string, string> all of it */
    private array $told = [];

    /** @var array<string, Registered> as they were last read or written, so that a command need not read them again */
    private array $names = [];

    /** @var array<string, Account> by number and by login */
    private array $accounts = [];

    /** @var list<array{int, string, string|null, string, int, int}> what was answered and is not written yet */
    private array $answered = [];

    /** The latest transaction's. */
    private int $number;

    /**
     * @param  (Closure(Closure(): void): void)|null  $later  lets something happen once what is answered now is on its way; null: at once
     */
    public function __construct(string $path, ?Closure $later = null)
    {
        $this->file = new StoreFile(
            $path,
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
            CREATE TABLE IF NOT EXISTS entries (id INTEGER PRIMARY KEY AUTOINCREMENT, account TEXT NOT NULL, at INTEGER NOT NULL,
            kind TEXT NOT NULL, name TEXT, pence INTEGER NOT NULL, balance INTEGER NOT NULL);
            CREATE INDEX IF NOT EXISTS entries_account ON entries (account, id);
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
            CREATE TABLE IF NOT EXISTS pages (host TEXT PRIMARY KEY, body TEXT NOT NULL);
            SQL,
            $later,
        );
        $this->file->before($this->writeAnswers(...));
        $this->letters = new Letterbox($this->file);
        $this->hosts = new Hosts($this->file);
        $this->pages = new Pages($this->file);
        $this->inbox = new Inbox($this->file);
        $this->entries = new Entries($this->file);
        // Whoever was killed before they recorded what they had answered gave out numbers that don't stand here.
        $this->number =
            (int) $this->file->text(
                "SELECT max((SELECT coalesce(max(id), 0) FROM transactions),
                    (SELECT coalesce(max(value + 0), 0) FROM told WHERE key = 'numbered'))",
            ) + self::UNWRITTEN;
        $this->file->run(self::TELL, 'numbered', (string) $this->number);
        $this->remember();
    }

    /** @param  callable(): void  $do */
    public function together(callable $do): void
    {
        $this->file->together($do, $this->remember(...));
    }

    public function writeDown(): void
    {
        $this->file->writeDown();
    }

    public function empty(): void
    {
        $this->file->run("DELETE FROM told WHERE key <> 'numbered'");
        $this->answered = [];
        $this->file->empty(self::TABLES);
        $this->remember();
    }

    public function told(string $key): ?string
    {
        return $this->told[$key] ?? null;
    }

    public function tell(string $key, string $value): void
    {
        $this->file->write(self::TELL, $key, $value);
        $this->told[$key] = $value;
    }

    public function name(string $name): ?Registered
    {
        if (! isset($this->names[$name])) {
            $body = $this->file->text('SELECT body FROM names WHERE name = ?', $name);
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
        $behind = $this->file->text('SELECT public FROM names WHERE name = ? AND public_until > ?', $name, $now);

        return $behind === null ? $this->name($name) : ($behind === '' ? null : Registered::read($behind));
    }

    /** @param  int|null  $publicAt  when directories show it; null: at once */
    public function put(Registered $name, ?int $publicAt = null): void
    {
        $before = $publicAt === null ? null : $this->name($name->name) ?? '';
        $this->file->write(
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
        $this->file->write('DELETE FROM names WHERE name = ?', $name);
    }

    /** The name to which something happens first, if that is by then. */
    public function firstDue(int $until): ?Registered
    {
        $body = $this->file->text('SELECT body FROM names WHERE due <= ? ORDER BY due, name LIMIT 1', $until);

        return $body === null ? null : Registered::read($body);
    }

    public function count(): int
    {
        return (int) ($this->file->text('SELECT count(*) FROM names') ?? '0');
    }

    public function putAccount(Account $account): void
    {
        $this->accounts = [];
        $this->file->write(
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
            $body = $this->file->text('SELECT body FROM accounts WHERE number = ? OR login = ? LIMIT 1', $which, $which);
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
        $this->file->write(
            'INSERT INTO contacts VALUES (?, ?, ?) ON CONFLICT (id) DO UPDATE SET account = excluded.account, body = excluded.body',
            $id,
            $account,
            $body,
        );
    }

    /** @return array{string, string}|null account and body */
    public function contact(string $id): ?array
    {
        return $this->file->all('SELECT account, body FROM contacts WHERE id = ?', $id)[0] ?? null;
    }

    public function removeContact(string $id): void
    {
        $this->file->write('DELETE FROM contacts WHERE id = ?', $id);
    }

    public function isHolder(string $id): bool
    {
        return $this->file->text("SELECT 1 FROM names WHERE json_extract(body, '$.holder.handle') = ? LIMIT 1", $id) !== null;
    }

    /** @return list<Registered> */
    public function namesOfHolder(string $id): array
    {
        return array_map(
            fn (array $row): Registered => Registered::read($row[1]),
            $this->file->all("SELECT name, body FROM names WHERE json_extract(body, '$.holder.handle') = ?", $id),
        );
    }

    /**
     * Notes what a session was told; it is recorded with the next change, or by `writeDown`.
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

    /** @return list<string> verb and code of what an account's sessions were told, oldest first */
    public function heard(string $account): array
    {
        $this->writeDown();

        return array_map(
            fn (array $row): string => "{$row[0]} {$row[1]}",
            $this->file->all('SELECT verb, CAST(code AS TEXT) FROM transactions WHERE account = ? ORDER BY id', $account),
        );
    }

    /** By a public handle. */
    public function accountByHandle(string $registrar, string $handle): ?Account
    {
        $body = $this->file->text(
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
            $this->file->all("SELECT name, body FROM names WHERE json_extract(body, '$.account') = ? ORDER BY name", $account),
        );
    }

    /** @return list<Registered> offered to an account */
    public function namesOffered(string $account): array
    {
        return array_map(
            fn (array $row): Registered => Registered::read($row[1]),
            $this->file->all("SELECT name, body FROM names WHERE json_extract(body, '$.handover.to') = ? ORDER BY name", $account),
        );
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
        $this->hosts->forget();
        $this->names = $this->accounts = [];
        $this->told = [];
        foreach ($this->file->all('SELECT key, value FROM told') as [$key, $value]) {
            $this->told[$key] = $value;
        }
    }

    private function writeAnswers(): void
    {
        if ($this->answered !== []) {
            $this->file->queue(
                'INSERT INTO transactions SELECT value ->> 0, value ->> 1, value ->> 2, value ->> 3, value ->> 4, value ->> 5
                    FROM json_each(?)',
                json_encode($this->answered, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
            );
            $this->answered = [];
        }
    }
}
