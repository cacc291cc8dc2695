<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Dnssec\ChainState;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;

/** Whether a delegation holds: RFC 1034 §4.1 and §4.2.2, RFC 2181 §10.3, RFC 2182 §3.1. */
final class Judgement
{
    /** @return list<Finding> */
    public static function of(DelegationSeen $seen, Instant $now): array
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

        return Finding::dearestFirst([
            ...$findings,
            ...self::servers($seen),
            ...self::lists($seen),
            ...self::spread($seen),
            ...self::dnssec($seen, $now),
        ]);
    }

    /** @return list<Finding> */
    private static function servers(DelegationSeen $seen): array
    {
        $newest = Serial::newest([...$seen->servers, ...$seen->unlisted]);
        $findings = [];
        foreach ($seen->servers as $server) {
            $findings[] = match ($server->answer) {
                Answer::Silent => self::finding(DelegationFinding::ServerSilent, host: $server->host),
                Answer::NobodyHolds => self::finding(DelegationFinding::ServerNotHeld, host: $server->host),
                Answer::NoAddress, Answer::NotPublic => self::finding(DelegationFinding::ServerNoAddress, host: $server->host),
                Answer::Lame, Answer::Refused, Answer::Fails, Answer::NoSuchName, Answer::Garbled => self::finding(
                    DelegationFinding::ServerLame,
                    host: $server->host,
                    answer: $server->answer->value,
                ),
                Answer::NotAsked => null,
                Answer::Authoritative => $server->serial === null || $newest === null || Serial::isAtLeast($server->serial, $newest)
                    ? null
                    : self::finding(DelegationFinding::OutOfStep, host: $server->host, serial: $server->serial, newest: $newest),
            };
            if ($server->overTcp === false) {
                $findings[] = self::finding(DelegationFinding::ServerWithoutTcp, host: $server->host);
            }
            if ($server->isAlias) {
                $findings[] = self::finding(DelegationFinding::ServerIsAlias, host: $server->host);
            }
        }

        foreach ($seen->glue as $glue) {
            if ($glue->parent === []) {
                $findings[] = self::finding(DelegationFinding::GlueMissing, host: $glue->host);
            } elseif ($glue->isWrong()) {
                $findings[] = self::finding(
                    DelegationFinding::GlueWrong,
                    host: $glue->host,
                    glue: implode(' ', $glue->parent),
                    own: implode(' ', $glue->own ?? []),
                );
            }
        }

        return array_values(array_filter($findings));
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
        $addresses = array_map(fn (ServerSeen $server): ?string => $server->address, $seen->servers);
        $network = Networks::shared(array_values(array_filter($addresses, is_string(...))));

        return $network === null ? [] : [self::finding(DelegationFinding::OneNetwork, network: $network)];
    }

    /** @return list<Finding> */
    private static function dnssec(DelegationSeen $seen, Instant $now): array
    {
        $chain = $seen->chain;

        return match (true) {
            $chain === null => [],
            $chain->state === ChainState::Dark => [
                self::finding(DelegationFinding::DnssecBroken, fault: $chain->signature->value ?? $chain->fault->value ?? ''),
            ],
            $chain->state === ChainState::NoDelegate => [self::finding(DelegationFinding::SignedWithoutDelegate)],
            $chain->lapsesSoon($now) && $chain->until !== null => [
                Finding::of(DelegationFinding::SignaturesLapse, Effect::Worth, null, until: $chain->until),
            ],
            default => [],
        };
    }

    private static function finding(DelegationFinding $tag, string|int ...$with): Finding
    {
        return Finding::of($tag, Effect::Worth, null, ...$with);
    }
}
