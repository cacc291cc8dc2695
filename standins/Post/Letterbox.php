<?php

declare(strict_types=1);

namespace Standin\Post;

use Acre\Wire\Json\JsonNode;
use PDO;
use Standin\StoreFile;

/** Mailboxes, what lies in them, and who has met whom. */
final readonly class Letterbox
{
    public function __construct(private StoreFile $file)
    {
    }

    public function putMailbox(Mailbox $mailbox): void
    {
        $this->file->write(
            'INSERT INTO mailboxes VALUES (?, ?) ON CONFLICT (address) DO UPDATE SET body = excluded.body',
            $mailbox->address,
            $mailbox->json(),
        );
    }

    public function mailbox(string $address): ?Mailbox
    {
        $body = $this->file->text('SELECT body FROM mailboxes WHERE address = ?', $address);

        return $body === null ? null : Mailbox::of(JsonNode::read($body, 10_000));
    }

    /** Whether this sender never wrote to this mailbox before; from now on it has. */
    public function isFirstMeeting(string $sender, string $mailbox): bool
    {
        return $this->file->run('INSERT INTO meetings VALUES (?, ?) ON CONFLICT DO NOTHING', $sender, $mailbox)->rowCount() === 1;
    }

    public function put(string $mailbox, string $sender, int $at, string $raw): void
    {
        $this->file->write('INSERT INTO letters (mailbox, sender, at, raw) VALUES (?, ?, ?, ?)', $mailbox, $sender, $at, $raw);
    }

    public function letter(int $id): ?Letter
    {
        return $this->by('SELECT id, mailbox, sender, at, raw FROM letters WHERE id = ?', $id)[0] ?? null;
    }

    /** @return list<Letter> of a mailbox, oldest first */
    public function of(string $mailbox): array
    {
        return $this->by('SELECT id, mailbox, sender, at, raw FROM letters WHERE mailbox = ? ORDER BY id', $mailbox);
    }

    /** @return list<Letter> of all mailboxes, latest first */
    public function latest(int $most): array
    {
        return $this->by('SELECT id, mailbox, sender, at, raw FROM letters ORDER BY id DESC LIMIT ?', $most);
    }

    public function remove(int $id): void
    {
        $this->file->write('DELETE FROM letters WHERE id = ?', $id);
    }

    /** @return list<Letter> */
    private function by(string $sql, string|int $value): array
    {
        $found = [];
        foreach ($this->file->run($sql, $value)->fetchAll(PDO::FETCH_NUM) as $row) {
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
}
