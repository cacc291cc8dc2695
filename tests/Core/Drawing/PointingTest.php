<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\Propagation;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Drawing\PointedServer;
use Acre\Core\Drawing\Pointing;
use Acre\Core\Drawing\PointState;
use Acre\Core\Drawing\Tick;
use Acre\Core\Drawing\Waits;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

/** Where a name points, drawn; and how long old answers live. */
final class PointingTest extends TestCase
{
    private const HOSTS = ['ns1.a.example', 'ns2.a.example'];

    public function test_what_agrees_what_differs_and_what_fails_are_told_apart(): void
    {
        $all = [...self::HOSTS, 'ns4.a.example'];
        $drawn = Pointing::of(new DelegationSeen(
            'a.com',
            [self::HOSTS[1], self::HOSTS[0], 'ns4.a.example'],
            3600,
            [],
            [
                new ServerSeen(self::HOSTS[0], '192.0.2.1', Answer::Authoritative, 7, $all),
                new ServerSeen(self::HOSTS[1], '192.0.2.2', Answer::Authoritative, 6, $all),
                new ServerSeen('ns4.a.example', '192.0.2.4', Answer::Refused),
            ],
            unlisted: [new ServerSeen('ns3.a.example', '192.0.2.3', Answer::Authoritative, 7, $all)],
        ));
        self::assertSame(
            [PointState::Fine, PointState::Weak, PointState::Broken, PointState::Weak],
            array_map(fn (PointedServer $server): PointState => $server->state, $drawn->servers),
        );
        self::assertSame([false, true, false, false], array_map(fn (PointedServer $server): bool => $server->isBehind, $drawn->servers));
        self::assertSame([true, true, true, false], array_map(fn (PointedServer $server): bool => $server->isListed, $drawn->servers));
        // Boxes stand below each other without touching, and the registry beside the middle of those it lists.
        $places = array_map(fn (PointedServer $server): int => $server->y, $drawn->servers);
        self::assertSame([68, 68, 68], [$places[1] - $places[0], $places[2] - $places[1], $places[3] - $places[2]]);
        self::assertSame($places[1], $drawn->parentY);
        self::assertGreaterThanOrEqual($places[3] + Pointing::BOX, $drawn->height);
    }

    public function test_waits_have_few_ticks_however_long_they_are(): void
    {
        $from = Instant::of('2026-10-06T09:00:00Z');
        $after = fn (int $seconds): Propagation => Propagation::of($seconds, 0, 0, $from);
        $drawn = fn (int $seconds): Waits => Waits::of($after($seconds), $after(intdiv($seconds, 2)));
        self::assertSame([90.0, 45.0], [$drawn(172_800)->now, $drawn(172_800)->lowered]);
        self::assertSame(['Wed 7 Oct', 'Thu 8 Oct'], array_map(fn (Tick $tick): string => $tick->label, $drawn(172_800)->ticks));
        self::assertLessThanOrEqual(6, count($drawn(86_400 * 30)->ticks));
        self::assertSame([], $drawn(300)->ticks);
    }
}
