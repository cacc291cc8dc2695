<?php

declare(strict_types=1);

namespace Standin\Registry;

use PDO;
use Standin\StoreFile;

/** What a registrar has for its accounts: messages that wait, and the orders that a bridge took. */
final readonly class Inbox
{
    public function __construct(private StoreFile $file)
    {
    }

    public function leave(string $account, int $at, string $text, string $body): void
    {
        $this->file->write('INSERT INTO messages (account, at, text, body) VALUES (?, ?, ?, ?)', $account, $at, $text, $body);
    }

    /** @return array{int, string, int, string, string}|null how many, id, at, text and body of the first */
    public function first(string $account): ?array
    {
        $row = $this->file->run(
            'SELECT id, at, text, body, (SELECT count(*) FROM messages WHERE account = m.account) AS waiting FROM messages m
                WHERE account = ? ORDER BY id LIMIT 1',
            $account,
        )->fetch(PDO::FETCH_ASSOC);

        return is_array($row) && is_int($row['waiting']) && is_int($row['at']) && is_string($row['text']) && is_string($row['body'])
            ? [$row['waiting'], is_int($row['id']) ? (string) $row['id'] : '', $row['at'], $row['text'], $row['body']]
            : null;
    }

    /** @return list<array{string, int, string, string}> id, at, text and body of the first ones */
    public function of(string $account, int $most): array
    {
        $found = [];
        foreach (
            $this->file->run('SELECT id, at, text, body FROM messages WHERE account = ? ORDER BY id LIMIT ?', $account, $most)->fetchAll(
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

    public function count(string $account): int
    {
        return (int) ($this->file->text('SELECT count(*) FROM messages WHERE account = ?', $account) ?? '0');
    }

    public function remove(string $account, string $id): bool
    {
        return $this->file->run('DELETE FROM messages WHERE account = ? AND id = ?', $account, $id)->rowCount() === 1;
    }

    /** @return array{string, string}|null what was ordered under this key, and the answer to it */
    public function order(string $account, string $key): ?array
    {
        return $this->file->all('SELECT body, answer FROM orders WHERE account = ? AND key = ?', $account, $key)[0] ?? null;
    }

    public function putOrder(string $account, string $key, string $body, string $answer): void
    {
        $this->file->write(
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
        $this->file->write(
            "UPDATE orders SET answer = ? WHERE account = ? AND json_extract(body, '$.name') = ?
                AND json_extract(answer, '$.state') = 'pending'",
            $isDone ? '{"state":"done"}' : '{"state":"refused","reason":"It was not accepted."}',
            $account,
            $name,
        );
    }
}
