<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

/** Serials of zones, which count round (RFC 1982 §3.2). */
final class Serial
{
    public static function isAtLeast(int $serial, int $other): bool
    {
        return (($serial - $other) & 0xFFFFFFFF) < 0x80000000;
    }

    /** @param  list<ServerSeen>  $servers */
    public static function newest(array $servers): ?int
    {
        $newest = null;
        foreach ($servers as $server) {
            if ($server->serial !== null && ($newest === null || self::isAtLeast($server->serial, $newest))) {
                $newest = $server->serial;
            }
        }

        return $newest;
    }
}
