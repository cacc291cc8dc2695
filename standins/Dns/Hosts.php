<?php

declare(strict_types=1);

namespace Standin\Dns;

use Standin\StoreFile;

/** Name servers, their addresses and moods, and what zones answer. */
final class Hosts
{
    /** @var array<string, string>|null addresses with blanks between, by host; kept, as every question needs them */
    private ?array $hosts = null;

    /** @var array<string, string>|null host by address */
    private ?array $byAddress = null;

    /** @var array<string, string>|null by address */
    private ?array $moods = null;

    /** @var array<string, string>|null JSON by zone */
    private ?array $records = null;

    public function __construct(private readonly StoreFile $file)
    {
    }

    /** What is kept is read again. */
    public function forget(): void
    {
        $this->hosts = $this->byAddress = $this->moods = $this->records = null;
    }

    /** @param  list<string>  $addresses */
    public function put(string $host, array $addresses): void
    {
        $this->file->write(
            'INSERT INTO hosts VALUES (?, ?) ON CONFLICT (host) DO UPDATE SET addresses = excluded.addresses',
            $host,
            implode(' ', $addresses),
        );
        $this->forget();
    }

    public function remove(string $host): void
    {
        $this->file->write('DELETE FROM hosts WHERE host = ?', $host);
        $this->forget();
    }

    /** Whether a name is answered by it. */
    public function isServer(string $host): bool
    {
        $sql = "SELECT 1 FROM names, json_each(body, '$.servers') AS server WHERE server.value = ? LIMIT 1";

        return $this->file->text($sql, $host) !== null;
    }

    /** @return list<string> */
    public function all(): array
    {
        $this->addresses('');

        return array_map(strval(...), array_keys($this->hosts ?? []));
    }

    /** Whether anybody has made it known, with an address or without. */
    public function knows(string $host): bool
    {
        $this->addresses('');

        return isset($this->hosts[$host]);
    }

    /** @return list<string> */
    public function addresses(string $host): array
    {
        $this->hosts ??= array_column($this->file->all('SELECT host, addresses FROM hosts'), 1, 0);
        $addresses = $this->hosts[$host] ?? '';

        return $addresses === '' ? [] : explode(' ', $addresses);
    }

    /** @return array<string, string> host by address */
    public function byAddress(): array
    {
        if ($this->byAddress === null) {
            $this->byAddress = [];
            foreach ($this->file->all('SELECT host, addresses FROM hosts') as [$host, $addresses]) {
                foreach ($addresses === '' ? [] : explode(' ', $addresses) as $address) {
                    $this->byAddress[$address] = $host;
                }
            }
        }

        return $this->byAddress;
    }

    public function mood(string $address): ?string
    {
        $this->moods ??= array_column($this->file->all('SELECT address, mood FROM moods'), 1, 0);

        return $this->moods[$address] ?? null;
    }

    public function putMood(string $address, string $mood): void
    {
        $this->file->write('INSERT INTO moods VALUES (?, ?) ON CONFLICT (address) DO UPDATE SET mood = excluded.mood', $address, $mood);
        $this->forget();
    }

    /** What the hosts of a zone answer, as JSON, where it was said. */
    public function records(string $zone): ?string
    {
        $this->records ??= array_column($this->file->all('SELECT zone, records FROM records'), 1, 0);

        return $this->records[$zone] ?? null;
    }

    public function putRecords(string $zone, string $records): void
    {
        $this->file->write(
            'INSERT INTO records VALUES (?, ?) ON CONFLICT (zone) DO UPDATE SET records = excluded.records',
            $zone,
            $records,
        );
        $this->records = null;
    }
}
