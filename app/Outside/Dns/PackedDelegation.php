<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\ServerSeen;

/** A delegation as it is kept: JSON, because what name servers send is no text. */
final class PackedDelegation
{
    public static function pack(DelegationSeen $seen): string
    {
        return json_encode($seen, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES);
    }

    public static function unpack(string $json): DelegationSeen
    {
        $data = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
        $data = is_array($data) ? $data : [];
        $servers = [];
        foreach (is_array($data['servers'] ?? null) ? $data['servers'] : [] as $server) {
            if (is_array($server) && is_string($server['host'] ?? null) && is_string($server['answer'] ?? null)) {
                $servers[] = new ServerSeen(
                    $server['host'],
                    is_string($server['address'] ?? null) ? $server['address'] : null,
                    Answer::from($server['answer']),
                    is_int($server['serial'] ?? null) ? $server['serial'] : null,
                    self::texts($server['servers'] ?? []),
                    ($server['isAlias'] ?? false) === true,
                );
            }
        }

        return new DelegationSeen(
            is_string($data['name'] ?? null) ? $data['name'] : '',
            isset($data['parent']) ? self::texts($data['parent']) : null,
            is_int($data['ttl'] ?? null) ? $data['ttl'] : null,
            is_bool($data['signed'] ?? null) ? $data['signed'] : null,
            $servers,
            is_string($data['why'] ?? null) ? $data['why'] : null,
        );
    }

    /** @return list<string> */
    private static function texts(mixed $list): array
    {
        return is_array($list) ? array_values(array_filter($list, is_string(...))) : [];
    }
}
