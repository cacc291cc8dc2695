<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;

/** Whether a delegation holds: RFC 1034 §4.1 and §4.2.2, RFC 2181 §10.3, RFC 2182 §3.1. */
final class Judgement
{
    /** @return list<Finding> */
    public static function of(DelegationSeen $seen): array
    {
        if ($seen->parent === null) {
            return [];
        }
        if ($seen->parent === []) {
            return [self::finding(DelegationFinding::NotDelegated)];
        }
        // Of those that could not be asked nothing is known.
        $isSilent =
            array_filter($seen->servers, fn (ServerSeen $server): bool => $server->answer !== Answer::NotAsked) !== [] ||
            $seen->servers === [];
        $findings = $seen->answers() || ! $isSilent ? [] : [self::finding(DelegationFinding::NobodyAnswers)];

        return Finding::dearestFirst([...$findings, ...self::servers($seen), ...self::lists($seen), ...self::spread($seen)]);
    }

    /** @return list<Finding> */
    private static function servers(DelegationSeen $seen): array
    {
        $newest = array_reduce(
            $seen->servers,
            fn (?int $newest, ServerSeen $server): ?int => $server->serial !== null &&
            ($newest === null || self::isAtLeast($server->serial, $newest))
                ? $server->serial
                : $newest,
        );
        $findings = [];
        foreach ($seen->servers as $server) {
            $findings[] = match ($server->answer) {
                Answer::Silent => self::finding(DelegationFinding::ServerSilent, host: $server->host),
                Answer::NoAddress, Answer::NotPublic => self::finding(DelegationFinding::ServerNoAddress, host: $server->host),
                Answer::Lame, Answer::Refused, Answer::Fails, Answer::NoSuchName => self::finding(
                    DelegationFinding::ServerLame,
                    host: $server->host,
                    answer: $server->answer->value,
                ),
                Answer::NotAsked => null,
                Answer::Authoritative => $server->serial === null || $newest === null || self::isAtLeast($server->serial, $newest)
                    ? null
                    : self::finding(DelegationFinding::OutOfStep, host: $server->host, serial: $server->serial, newest: $newest),
            };
            if ($server->isAlias) {
                $findings[] = self::finding(DelegationFinding::ServerIsAlias, host: $server->host);
            }
        }

        return array_values(array_filter($findings));
    }

    /** Serials count round (RFC 1982 §3.2). */
    private static function isAtLeast(int $serial, int $other): bool
    {
        $ahead = ($serial - $other) & 0xFFFFFFFF;

        return $ahead < 0x80000000;
    }

    /** @return list<Finding> */
    private static function lists(DelegationSeen $seen): array
    {
        [$parent, $child] = [$seen->parent ?? [], $seen->child()];
        sort($parent);
        sort($child);

        return $child === [] || $parent === $child
            ? []
            : [self::finding(DelegationFinding::ListsDiffer, parent: implode(' ', $parent), child: implode(' ', $child))];
    }

    /** @return list<Finding> */
    private static function spread(DelegationSeen $seen): array
    {
        if (count($seen->parent ?? []) === 1) {
            return [self::finding(DelegationFinding::OneServer)];
        }
        // What counts as one network, a /24 of IPv4 and a /48 of IPv6, is the house's own choice: RFC 2182 §3.1 gives no figure.
        $networks = [];
        foreach ($seen->servers as $server) {
            $network = $server->address === null ? null : self::network($server->address);
            if ($network !== null) {
                $networks[str_contains($network, ':')][$network] = true;
            }
        }

        // What falls silent with one network is each family by itself: servers beside each other have an address of both.
        return $networks !== [] && array_filter($networks, fn (array $of): bool => count($of) > 1) === []
            ? [
                self::finding(
                    DelegationFinding::OneNetwork,
                    network: implode(', ', array_map(strval(...), array_keys(array_merge(...array_values($networks))))),
                ),
            ]
            : [];
    }

    private static function network(string $address): ?string
    {
        $bytes = filter_var($address, FILTER_VALIDATE_IP) === false ? '' : (string) inet_pton($address);

        return match (strlen($bytes)) {
            4 => implode('.', array_slice(explode('.', $address), 0, 3)),
            16 => rtrim((string) inet_ntop(substr($bytes, 0, 6).str_repeat("\0", 10)), ':'),
            default => null,
        };
    }

    private static function finding(DelegationFinding $tag, string|int ...$with): Finding
    {
        return Finding::of($tag, Effect::Worth, null, ...$with);
    }
}
