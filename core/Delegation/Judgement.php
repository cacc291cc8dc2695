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
        $findings = $seen->answers() ? [] : [self::finding(DelegationFinding::NobodyAnswers)];

        return Finding::dearestFirst([...$findings, ...self::servers($seen), ...self::lists($seen), ...self::spread($seen)]);
    }

    /** @return list<Finding> */
    private static function servers(DelegationSeen $seen): array
    {
        $newest = array_reduce($seen->servers, fn (?int $newest, ServerSeen $server): ?int => $server->serial !== null && ($newest === null || self::isAtLeast($server->serial, $newest)) ? $server->serial : $newest);
        $findings = [];
        foreach ($seen->servers as $server) {
            $findings[] = match ($server->answer) {
                Answer::Silent => self::finding(DelegationFinding::ServerSilent, host: $server->host),
                Answer::NoAddress, Answer::NotPublic => self::finding(DelegationFinding::ServerNoAddress, host: $server->host),
                Answer::Lame, Answer::Refused, Answer::Fails, Answer::NoSuchName => self::finding(DelegationFinding::ServerLame, host: $server->host, answer: $server->answer->value),
                Answer::Authoritative => $server->serial === null || $newest === null || self::isAtLeast($server->serial, $newest) ? null : self::finding(DelegationFinding::OutOfStep, host: $server->host, serial: $server->serial, newest: $newest),
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

        return $child === [] || $parent === $child ? [] : [self::finding(DelegationFinding::ListsDiffer, parent: implode(' ', $parent), child: implode(' ', $child))];
    }

    /** @return list<Finding> */
    private static function spread(DelegationSeen $seen): array
    {
        if (count($seen->parent ?? []) === 1) {
            return [self::finding(DelegationFinding::OneServer)];
        }
        // What counts as one network, a /24 of IPv4 and a /48 of IPv6, is the house's own choice: RFC 2182 §3.1 gives no figure.
        $networks = array_unique(array_map(fn (string $address): string => str_contains($address, ':') ? implode(':', array_slice(explode(':', $address), 0, 3)) : implode('.', array_slice(explode('.', $address), 0, 3)),
            array_filter(array_map(fn (ServerSeen $server): ?string => $server->address, $seen->servers), is_string(...))));

        return count($networks) === 1 ? [self::finding(DelegationFinding::OneNetwork, network: reset($networks))] : [];
    }

    private static function finding(DelegationFinding $tag, string|int ...$with): Finding
    {
        return Finding::of($tag, Effect::Worth, null, ...$with);
    }
}
