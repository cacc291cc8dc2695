<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Dnssec\Delegate;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\ZoneCopy;

/** What was asked before a change of name servers, as it is kept: JSON. */
final class PackedChange
{
    public static function pack(ChangeSeen $seen): string
    {
        return json_encode(
            [
                'standing' => $seen->standing,
                'before' => self::zone($seen->before),
                'servers' => $seen->servers,
                'after' => self::zone($seen->after),
                'delegates' => $seen->delegates,
                'keys' => $seen->keys,
            ],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES,
        );
    }

    /** @param  Instant  $at  when it was asked */
    public static function unpack(string $json, Instant $at): ChangeSeen
    {
        $data = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
        $data = is_array($data) ? $data : [];
        $texts = fn (string $key): ?array => isset($data[$key]) ? PackedDelegation::texts($data[$key]) : null;
        [$delegates, $keys] = [$texts('delegates'), $texts('keys')];

        return new ChangeSeen(
            PackedDelegation::of($data['standing'] ?? []),
            self::copy($data['before'] ?? null),
            PackedDelegation::servers($data['servers'] ?? []),
            self::copy($data['after'] ?? null),
            $delegates === null ? null : array_values(array_filter(array_map(Delegate::read(...), $delegates))),
            $keys === null
                ? null
                : PackedDelegation::keyList($keys),
            $at,
        );
    }

    public static function packZone(ZoneCopy $copy): string
    {
        return json_encode(self::zone($copy), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES);
    }

    public static function unpackZone(string $json): ?ZoneCopy
    {
        return self::copy(json_decode($json, true, 16, JSON_THROW_ON_ERROR));
    }

    /** @return array{zone: string, entries: list<Entry>, unread: list<string>}|null */
    private static function zone(?ZoneCopy $copy): ?array
    {
        return $copy === null ? null : ['zone' => $copy->zone, 'entries' => $copy->entries(), 'unread' => $copy->unread];
    }

    private static function copy(mixed $data): ?ZoneCopy
    {
        if (! is_array($data) || ! is_string($data['zone'] ?? null)) {
            return null;
        }
        $entries = [];
        foreach (is_array($data['entries'] ?? null) ? $data['entries'] : [] as $entry) {
            if (
                is_array($entry) &&
                is_string($entry['host'] ?? null) &&
                is_string($entry['type'] ?? null) &&
                is_int($entry['ttl'] ?? null) &&
                is_string($entry['data'] ?? null)
            ) {
                $entries[] = new Entry($entry['host'], $entry['type'], $entry['ttl'], $entry['data']);
            }
        }

        return ZoneCopy::of($data['zone'], $entries, PackedDelegation::texts($data['unread'] ?? []));
    }
}
