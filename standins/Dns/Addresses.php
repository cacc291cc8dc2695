<?php

declare(strict_types=1);

namespace Standin\Dns;

/** The world's addresses are those kept for documentation (RFC 5737); each stands for one of this machine's own. */
final class Addresses
{
    public const ROOT = '192.0.2.1';

    /** Answers for the hosts under `example`, which nobody registers. */
    public const EXAMPLE = '192.0.2.14';

    private const NETWORKS = ['192.0.2.' => '127.53.0.', '198.51.100.' => '127.53.1.', '203.0.113.' => '127.53.2.'];

    /** Where an address is dialled. In a network of its own, where nothing else is, the world has its addresses themselves. */
    public static function here(string $address): string
    {
        return getenv('WORLD_NETWORK') === 'own' ? $address : strtr($address, self::NETWORKS);
    }

    /** Whether it is of this world; any other belongs to one that nobody plays. */
    public static function isOurs(string $address): bool
    {
        return strtr($address, self::NETWORKS) !== $address;
    }
}
