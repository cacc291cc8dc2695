<?php

declare(strict_types=1);

namespace Standin\Dns;

use Standin\StoreFile;

/** Name servers, their addresses and moods, and what zones answer. */
final readonly class Hosts
{
    public function __construct(private StoreFile $file)
    {
    }

    /** @param  list<string>  $addresses */
    public function put(string $host, array $addresses): void
    {
        $this->file->write(
            'INSERT INTO hosts VALUES (?, ?) ON CONFLICT (host) DO UPDATE SET addresses = excluded.addresses',
            $host,
            implode(' ', $addresses),
        );
    }

    public function remove(string $host): void
    {
        $this->file->write('DELETE FROM hosts WHERE host = ?', $host);
    }

    /** Whether a name is answered by it. */
    public function isServer(string $host): bool
    {
        $sql = "SELECT 1 FROM names, json_each(body, '$.servers') AS server WHERE server.value = ? LIMIT 1";

        return $this->file->text($sql, $host) !== null;
    }

    /** @return list<string> */
    public function addresses(string $host): array
    {
        $addresses = $this->file->text('SELECT addresses FROM hosts WHERE host = ?', $host);

        return $addresses === null || $addresses === '' ? [] : explode(' ', $addresses);
    }

    /** @return array<string, string> host by address */
    public function byAddress(): array
    {
        $found = [];
        foreach ($this->file->all('SELECT host, addresses FROM hosts') as [$host, $addresses]) {
            foreach (explode(' ', $addresses) as $address) {
                $found[$address] = $host;
            }
        }

        return $found;
    }

    public function mood(string $address): ?string
    {
        return $this->file->text('SELECT mood FROM moods WHERE address = ?', $address);
    }

    public function putMood(string $address, string $mood): void
    {
        $this->file->write('INSERT INTO moods VALUES (?, ?) ON CONFLICT (address) DO UPDATE SET mood = excluded.mood', $address, $mood);
    }

    /** What the hosts of a zone answer, as JSON, where it was said. */
    public function records(string $zone): ?string
    {
        return $this->file->text('SELECT records FROM records WHERE zone = ?', $zone);
    }

    public function putRecords(string $zone, string $records): void
    {
        $this->file->write(
            'INSERT INTO records VALUES (?, ?) ON CONFLICT (zone) DO UPDATE SET records = excluded.records',
            $zone,
            $records,
        );
    }
}
