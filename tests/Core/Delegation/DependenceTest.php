<?php

declare(strict_types=1);

namespace Tests\Core\Delegation;

use Acre\Core\Delegation\Dependence;
use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

/** Servers under names of one's own: RFC 1034 §4.2.1. */
final class DependenceTest extends TestCase
{
    public function test_names_that_serve_each_other_are_a_ring_unless_one_of_them_can_be_found_otherwise(): void
    {
        $ring = ['a.com' => ['ns1.b.com', 'ns2.b.com'], 'b.com' => ['ns1.a.com']];
        self::assertSame(['servers_in_ring'], self::tags($ring, 'a.com'));
        self::assertSame(['servers_in_ring'], self::tags($ring, 'b.com'));
        self::assertSame([], self::tags(['b.com' => ['ns1.a.com', 'ns.elsewhere.net']] + $ring, 'a.com'), 'one server is somebody else’s');
        self::assertSame([], self::tags(['b.com' => ['ns1.b.com']] + $ring, 'a.com'), 'its address stands at the registry');
        $three = ['a.com' => ['ns.b.com'], 'b.com' => ['ns.c.com'], 'c.com' => ['ns.a.com']];
        self::assertSame(['servers_in_ring'], self::tags($three, 'a.com'));
        self::assertSame([], self::tags(['c.com' => ['ns.d.net']] + $three, 'a.com'));
        self::assertSame([], self::tags(['a.com' => []], 'a.com'));
    }

    /**
     * @param  array<string, list<string>>  $servers
     * @return list<string>
     */
    private static function tags(array $servers, string $of): array
    {
        return array_map(fn (Finding $one): string => (string) $one->tag->value, (new Dependence($servers, []))->of($of));
    }

    public function test_a_server_under_a_name_that_ends_is_told(): void
    {
        $ends = Instant::of('2026-11-02');
        $servers = ['a.com' => ['ns1.b.com', 'ns2.c.com'], 'b.com' => ['ns.d.net']];
        $found = (new Dependence($servers, ['b.com' => $ends, 'a.com' => $ends]))->of('a.com');
        self::assertCount(1, $found);
        self::assertSame(['host' => 'ns1.b.com', 'name' => 'b.com', 'until' => $ends], $found[0]->with);
        $itself = (new Dependence(['b.com' => ['ns1.b.com']], ['b.com' => $ends]))->of('b.com');
        self::assertSame([], $itself, 'its own end is told elsewhere');
    }
}
