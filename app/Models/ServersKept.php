<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Delegation\ServerHost;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Name\NameError;

/** Name servers as sets, dockets and checks keep them. */
final class ServersKept
{
    /** @return list<array{host: string, addresses: list<string>}> */
    public static function of(ServerSet $set): array
    {
        return array_map(fn (ServerHost $server): array => ['host' => $server->host, 'addresses' => $server->addresses], $set->servers);
    }

    /** @param  mixed  $kept  what is no host in it is left out */
    public static function read(mixed $kept): ServerSet
    {
        $servers = [];
        foreach (is_array($kept) ? $kept : [] as $one) {
            if (is_array($one) && is_string($one['host'] ?? null)) {
                $addresses = is_array($one['addresses'] ?? null) ? array_filter($one['addresses'], is_string(...)) : [];
                try {
                    $servers[] = ServerHost::of($one['host'], array_values($addresses));
                } catch (NameError) {
                    continue;
                }
            }
        }

        return ServerSet::of($servers);
    }

    /** @param  string  $hosts  blanks between, as standings and dockets have them */
    public static function ofText(string $hosts): ServerSet
    {
        return self::read(
            array_map(
                fn (string $host): array => ['host' => $host],
                array_values(array_filter(explode(' ', $hosts), fn (string $host): bool => $host !== '')),
            ),
        );
    }

    /** The same for the same hosts in any order. */
    public static function digest(ServerSet $set): string
    {
        $hosts = $set->hosts();
        sort($hosts);

        return hash('xxh128', implode(' ', $hosts));
    }
}
