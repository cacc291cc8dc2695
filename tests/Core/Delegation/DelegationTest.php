<?php

declare(strict_types=1);

namespace Tests\Core\Delegation;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\Glue;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Dnssec\Chain;
use Acre\Core\Dnssec\ChainState;
use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

/** What is wrong with a delegation, as its servers answered. */
final class DelegationTest extends TestCase
{
    private const BOTH = ['ns1.a.example', 'ns2.b.example'];

    /**
     * @param  list<ServerSeen>  $servers
     * @param  list<string>|null  $parent
     * @return list<string>
     */
    private static function found(array $servers, ?array $parent = self::BOTH): array
    {
        return array_map(
            fn (Finding $finding): string => (string) $finding->tag->value,
            (new DelegationSeen('a.com', $parent, 3600, [], $servers))->findings(Instant::of('2026-10-06T09:00:00Z')),
        );
    }

    /** @param  list<string>  $names */
    private static function server(
        int $place,
        Answer $answer = Answer::Authoritative,
        ?int $serial = 7,
        array $names = self::BOTH,
        bool $isAlias = false,
        ?string $address = null,
    ): ServerSeen {
        return new ServerSeen(
            self::BOTH[$place],
            $address ?? ($place === 0 ? '192.0.2.1' : '198.51.100.1'),
            $answer,
            $answer === Answer::Authoritative ? $serial : null,
            $answer === Answer::Authoritative ? $names : [],
            $isAlias,
        );
    }

    public function test_a_delegation_that_holds_says_nothing(): void
    {
        self::assertSame([], self::found([self::server(0), self::server(1)]));
        self::assertSame([], self::found([], null), 'nobody of the suffix was reached: nothing is known');
    }

    public function test_dark_names(): void
    {
        self::assertSame(['not_delegated'], self::found([], []));
        self::assertSame(
            ['nobody_answers', 'server_silent', 'server_lame'],
            self::found([self::server(0, Answer::Silent), self::server(1, Answer::Refused)]),
        );
    }

    public function test_one_weak_server(): void
    {
        self::assertSame(['server_silent'], self::found([self::server(0), self::server(1, Answer::Silent)]));
        self::assertSame(['server_lame'], self::found([self::server(0), self::server(1, Answer::Lame)]));
        self::assertSame(
            ['server_no_address'],
            self::found([self::server(0), new ServerSeen(self::BOTH[1], null, Answer::NoAddress), self::server(1)]),
        );
        self::assertSame(['server_is_alias'], self::found([self::server(0), self::server(1, isAlias: true)]));
    }

    /** RFC 1982 §3.2: serials count round. */
    public function test_out_of_step_also_where_serials_have_come_round(): void
    {
        self::assertSame(['out_of_step'], self::found([self::server(0), self::server(1, serial: 6)]));
        $seen = new DelegationSeen('a.com', self::BOTH, 3600, [], [self::server(0, serial: 5), self::server(1, serial: 4294967290)]);
        $found = $seen->findings(Instant::of('2026-10-06T09:00:00Z'));
        self::assertSame(['host' => self::BOTH[1], 'serial' => 4294967290, 'newest' => 5], $found[0]->with);
    }

    /** RFC 1034 §4.1 and §4.2.2, RFC 2182 §3.1. */
    public function test_lists_and_networks(): void
    {
        self::assertSame(
            ['lists_differ'],
            self::found([
                self::server(0, names: ['ns1.a.example', 'ns3.c.example']),
                self::server(1, names: ['ns1.a.example', 'ns3.c.example']),
            ]),
        );
        self::assertSame(['one_network'], self::found([self::server(0), self::server(1, address: '192.0.2.9')]));
        // Both families, each by itself: two servers beside each other have an address of both.
        $six = fn (int $place, string $address): ServerSeen => self::server($place, Answer::NotAsked, address: $address);
        self::assertSame(
            ['one_network'],
            self::found([self::server(0), $six(0, '2001:db8:7::1'), self::server(1, address: '192.0.2.9'), $six(1, '2001:db8:7:ffff::9')]),
        );
        self::assertSame(
            [],
            self::found([self::server(0), $six(0, '2001:db8:7::1'), self::server(1, address: '192.0.2.9'), $six(1, '2001:db8:8::1')]),
        );
        self::assertSame(
            ['one_network'],
            self::found([$six(0, '2001:db8:7::1'), $six(1, '2001:db8:7::2')]),
            'and of those that could not be asked it is not said that they are silent',
        );
        $found = (new DelegationSeen('a.com', self::BOTH, 3600, [], [
            $six(0, '2001:DB8:7::1'),
            $six(1, '2001:db8:0007:1::2'),
        ]))->findings(Instant::of('2026-10-06T09:00:00Z'));
        self::assertSame('2001:db8:7', $found[0]->with['network']);
        self::assertSame(['one_server'], self::found([self::server(0, names: [self::BOTH[0]])], [self::BOTH[0]]));
    }

    public function test_a_serial_alone_makes_no_other_delegation(): void
    {
        $one = fn (int $serial, Answer $second): string => (new DelegationSeen('a.com', self::BOTH, 3600, [], [
            self::server(0, serial: $serial),
            self::server(1, $second),
        ]))->digest();
        self::assertSame($one(7, Answer::Authoritative), $one(8, Answer::Authoritative));
        self::assertNotSame($one(7, Answer::Authoritative), $one(7, Answer::Silent));
    }

    /** RFC 7766 §5, RFC 9471: TCP, and the addresses of hosts inside the name. */
    public function test_servers_without_tcp_and_glue_that_is_missing_or_wrong(): void
    {
        $tcp = fn (?bool $overTcp): ServerSeen => new ServerSeen(
            self::BOTH[1],
            '198.51.100.1',
            Answer::Authoritative,
            7,
            self::BOTH,
            false,
            $overTcp,
        );
        $found = fn (ServerSeen $second, Glue ...$glue): array => self::tags(
            new DelegationSeen('a.com', self::BOTH, 3600, [], [self::server(0), $second], glue: array_values($glue)),
        );
        self::assertSame([[], [], ['server_without_tcp']], [$found($tcp(null)), $found($tcp(true)), $found($tcp(false))]);
        self::assertSame(['glue_missing'], $found($tcp(true), new Glue('ns.a.com', [], null)));
        self::assertSame(['glue_wrong'], $found($tcp(true), new Glue('ns.a.com', ['192.0.2.1', '192.0.2.2'], ['192.0.2.1'])));
        self::assertSame([], $found($tcp(true), new Glue('ns.a.com', ['192.0.2.1'], ['192.0.2.1', '192.0.2.2'])));
        self::assertSame([], $found($tcp(true), new Glue('ns.a.com', ['2001:db8::1'], ['2001:DB8:0::1'])), 'the same, written otherwise');
        self::assertSame([], $found($tcp(true), new Glue('ns.a.com', ['192.0.2.1'], null)), 'nobody knows');
    }

    public function test_a_chain_that_breaks_is_told_with_its_fault(): void
    {
        $now = Instant::of('2026-10-06T09:00:00Z');
        $found = fn (?Chain $chain): array => self::tags(
            new DelegationSeen('a.com', self::BOTH, 3600, [], [self::server(0), self::server(1)], chain: $chain),
        );
        $chain = fn (ChainState $state, ?Instant $until = null): Chain => Chain::kept($state, null, null, $until);
        self::assertSame([], $found(null));
        self::assertSame([], $found($chain(ChainState::Unsigned)));
        self::assertSame([], $found($chain(ChainState::Unreadable)));
        self::assertSame(['signed_without_delegate'], $found($chain(ChainState::NoDelegate)));
        self::assertSame(['dnssec_broken'], $found($chain(ChainState::Dark)));
        self::assertSame([], $found($chain(ChainState::Whole, $now->plusDays(3))));
        self::assertSame(['signatures_lapse'], $found($chain(ChainState::Whole, $now->plusDays(2))));
    }

    public function test_a_zone_is_served_when_every_host_says_exactly_the_list(): void
    {
        $set = ServerSet::ofHosts(self::BOTH);
        $seen = fn (ServerSeen ...$servers): DelegationSeen => new DelegationSeen('a.com', self::BOTH, 1, [], array_values($servers));
        $is = fn (ServerSeen ...$servers): bool => $seen(...$servers)->isServedBy($set);
        self::assertTrue($is(self::server(0), self::server(1)));
        self::assertFalse($is(self::server(0)));
        self::assertFalse($is(self::server(0), self::server(1, Answer::Refused)));
        self::assertFalse($is(self::server(0), self::server(1, names: ['ns1.a.example', 'ns3.a.example'])));
        self::assertFalse((new DelegationSeen('a.com', [], 1, [], []))->isServedBy(ServerSet::of([])));
    }

    /** @return list<string> */
    private static function tags(DelegationSeen $seen): array
    {
        return array_map(
            fn (Finding $one): string => (string) $one->tag->value,
            $seen->findings(Instant::of('2026-10-06T09:00:00Z')),
        );
    }
}
