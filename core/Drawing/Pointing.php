<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\Serial;
use Acre\Core\Delegation\ServerSeen;

/** Where a name points: the registry, the servers that it sends visitors to, and those that they name. Pixels. */
final readonly class Pointing
{
    public const TOP = 30;

    public const BOX = 52;

    private const STEP = 68;

    /** @param  list<PointedServer>  $servers  from above: those that the registry names first */
    private function __construct(public array $servers, public int $parentY, public int $height)
    {
    }

    public static function of(DelegationSeen $seen): self
    {
        $parent = $seen->parent ?? [];
        sort($parent);
        $newest = Serial::newest([...$seen->servers, ...$seen->unlisted]);
        $servers = [];
        foreach ([...$seen->servers, ...$seen->unlisted] as $place => $server) {
            $isListed = $place < count($seen->servers);
            $isBehind = $server->serial !== null && $newest !== null && ! Serial::isAtLeast($server->serial, $newest);
            $named = $server->servers;
            sort($named);
            $agrees = $named === $parent;
            $servers[] = new PointedServer(
                $server,
                self::state($server, $isListed && ! $isBehind && $agrees),
                $isListed,
                $isBehind,
                $agrees,
                self::TOP + $place * self::STEP,
            );
        }
        $rows = max(1, count($servers));
        $listed = max(1, count($seen->servers));

        return new self(
            $servers,
            self::TOP + intdiv(($listed - 1) * self::STEP, 2),
            self::TOP + ($rows - 1) * self::STEP + self::BOX + 4,
        );
    }

    private static function state(ServerSeen $server, bool $isAlike): PointState
    {
        return match (true) {
            $server->answer === Answer::NotAsked => PointState::Weak,
            $server->answer !== Answer::Authoritative => PointState::Broken,
            $isAlike && ! $server->isAlias => PointState::Fine,
            default => PointState::Weak,
        };
    }
}
