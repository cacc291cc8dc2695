<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\Glue;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Dnssec\Chain;
use Acre\Core\Dnssec\ChainFault;
use Acre\Core\Dnssec\ChainState;
use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\Key;
use Acre\Core\Dnssec\KeysSeen;
use Acre\Core\Dnssec\SignatureFault;
use Acre\Core\Time\Instant;
use Acre\Wire\Dns\Name;

/** A delegation as it is kept: JSON, because what name servers send is no text. */
final class PackedDelegation
{
    public static function pack(DelegationSeen $seen): string
    {
        return json_encode($seen, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES);
    }

    public static function unpack(string $json): DelegationSeen
    {
        return self::of(json_decode($json, true, 16, JSON_THROW_ON_ERROR));
    }

    /** @param  mixed  $data  as JSON gives it */
    public static function of(mixed $data): DelegationSeen
    {
        $data = is_array($data) ? $data : [];

        return new DelegationSeen(
            is_string($data['name'] ?? null) ? $data['name'] : '',
            isset($data['parent']) ? self::texts($data['parent']) : null,
            is_int($data['ttl'] ?? null) ? $data['ttl'] : null,
            isset($data['delegates'])
                ? array_values(array_filter(array_map(Delegate::read(...), self::texts($data['delegates']))))
                : null,
            self::servers($data['servers'] ?? []),
            is_string($data['why'] ?? null) ? $data['why'] : null,
            self::servers($data['unlisted'] ?? []),
            self::chain($data['chain'] ?? null),
            self::glue($data['glue'] ?? []),
            self::keys($data),
        );
    }

    /** @param  array<array-key, mixed>  $data */
    private static function keys(array $data): ?KeysSeen
    {
        $keys = $data['keys'] ?? null;
        if (! is_array($keys) || ! is_string($keys['at'] ?? null) || ! is_string($data['name'] ?? null)) {
            return null;
        }
        $delegates = fn (mixed $list): array => array_values(array_filter(array_map(Delegate::read(...), self::texts($list))));

        return new KeysSeen(
            Name::ofHost($data['name'])->lower()->wire,
            isset($data['delegates']) ? $delegates($data['delegates']) : null,
            isset($keys['keys']) ? self::keyList($keys['keys']) : null,
            $delegates($keys['wanted'] ?? []),
            self::chain($keys['prospect'] ?? null),
            is_int($keys['ttl'] ?? null) ? $keys['ttl'] : null,
            Instant::of($keys['at']),
        );
    }

    /** @return list<Key> */
    public static function keyList(mixed $list): array
    {
        $read = fn (string $key): ?Key => Key::read((string) base64_decode($key, true));

        return array_values(array_filter(array_map($read, self::texts($list))));
    }

    /** @return list<Glue> */
    private static function glue(mixed $list): array
    {
        $glue = [];
        foreach (is_array($list) ? $list : [] as $one) {
            if (is_array($one) && is_string($one['host'] ?? null)) {
                $glue[] = new Glue($one['host'], self::texts($one['parent'] ?? []), isset($one['own']) ? self::texts($one['own']) : null);
            }
        }

        return $glue;
    }

    private static function chain(mixed $data): ?Chain
    {
        $text = fn (string $key): string => is_array($data) && is_string($data[$key] ?? null) ? $data[$key] : '';
        $state = ChainState::tryFrom($text('state'));

        return $state === null
            ? null
            : Chain::kept(
                $state,
                ChainFault::tryFrom($text('fault')),
                SignatureFault::tryFrom($text('signature')),
                $text('until') === '' ? null : Instant::of($text('until')),
            );
    }

    /** @return list<ServerSeen> */
    public static function servers(mixed $list): array
    {
        $servers = [];
        foreach (is_array($list) ? $list : [] as $server) {
            if (is_array($server) && is_string($server['host'] ?? null) && is_string($server['answer'] ?? null)) {
                $servers[] = new ServerSeen(
                    $server['host'],
                    is_string($server['address'] ?? null) ? $server['address'] : null,
                    Answer::from($server['answer']),
                    is_int($server['serial'] ?? null) ? $server['serial'] : null,
                    self::texts($server['servers'] ?? []),
                    ($server['isAlias'] ?? false) === true,
                    is_bool($server['overTcp'] ?? null) ? $server['overTcp'] : null,
                );
            }
        }

        return $servers;
    }

    /** @return list<string> */
    public static function texts(mixed $list): array
    {
        return is_array($list) ? array_values(array_filter($list, is_string(...))) : [];
    }
}
