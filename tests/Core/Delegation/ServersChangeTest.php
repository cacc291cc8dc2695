<?php

declare(strict_types=1);

namespace Tests\Core\Delegation;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\ServersChange;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Delegation\ServersFinding;
use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\DelegatesBefore;
use Acre\Core\Dnssec\Key;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\ZoneCopy;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands in the way of other name servers, and what they would lose. */
final class ServersChangeTest extends TestCase
{
    private const HOSTS = ['ns1.there.example', 'ns2.there.example'];

    private const HERE = [
        'a.com A 192.0.2.80',
        'www.a.com A 192.0.2.80',
        'a.com MX 10 mail.here.example.',
        'a.com TXT "v=spf1 mx -all"',
        'k1._domainkey.a.com TXT "v=DKIM1; p=abc"',
        'shop.a.com NS ns1.shop.example.',
        'a.com TYPE65280 \# 1 00',
    ];

    /** @return iterable<string, array{list<string>, list<string>, list<string>}> records there, findings, those that stop it */
    public static function zones(): iterable
    {
        yield 'the same' => [self::HERE, [], []];
        yield 'another web address, as meant' => [
            str_replace('192.0.2.80', '203.0.113.80', self::HERE),
            ['web_elsewhere'],
            [],
        ];
        yield 'without mail' => [self::without('MX'), ['loses_mail'], ['loses_mail']];
        yield 'mail elsewhere' => [
            str_replace('mail.here', 'mail.there', self::HERE),
            ['mail_elsewhere'],
            ['mail_elsewhere'],
        ];
        yield 'without pages' => [self::without(' A '), ['loses_web'], ['loses_web']];
        yield 'without DKIM' => [self::without('_domainkey'), ['loses_mail_trust'], ['loses_mail_trust']];
        yield 'without a delegated part' => [self::without(' NS '), ['loses_part'], ['loses_part']];
        yield 'without something else' => [self::without('TYPE'), ['loses_other'], ['loses_other']];
        yield 'more there' => [[...self::HERE, 'new.a.com A 192.0.2.9'], [], []];
    }

    /**
     * @param  list<string>  $there
     * @param  list<string>  $findings
     * @param  list<string>  $stops
     */
    #[DataProvider('zones')]
    public function test_what_the_new_servers_lack_is_told_with_what_it_breaks(array $there, array $findings, array $stops): void
    {
        $found = self::judge(self::seen(after: self::zone($there)));
        self::assertSame($findings, array_map(fn (Finding $one): string => (string) $one->tag->value, $found));
        self::assertSame($stops, self::stopping($found));

        // Whoever means it may say so.
        $accepted = array_map(ServersFinding::from(...), $findings);
        self::assertSame([], self::stopping(self::judge(self::seen(after: self::zone($there)), accepted: $accepted)));
    }

    public function test_nobody_asked_is_not_known_and_an_old_answer_is_nobody_asked(): void
    {
        $old = self::seen(after: self::zone(self::HERE), at: self::now()->plusSeconds(-3_601));
        foreach ([null, $old] as $seen) {
            $found = self::judge($seen);
            self::assertSame(['not_asked'], array_map(fn (Finding $one): string => (string) $one->tag->value, $found));
            self::assertSame(Effect::NotKnown, $found[0]->effect);
        }
        $fresh = self::seen(after: self::zone(self::HERE), at: self::now()->plusSeconds(-3_600));
        self::assertSame([], self::judge($fresh));
    }

    public function test_servers_that_have_no_zone_stop_it_and_one_of_two_may_be_meant(): void
    {
        self::assertSame(['nobody_answers'], self::stopping(self::judge(self::seen(
            after: null,
            answers: [Answer::Refused, Answer::Silent],
        ))));
        $one = self::seen(after: self::zone(self::HERE), answers: [Answer::Authoritative, Answer::Refused]);
        self::assertSame(['one_does_not_answer'], self::stopping(self::judge($one)));
        self::assertSame([], self::stopping(self::judge($one, accepted: [ServersFinding::OneDoesNotAnswer])));
        // A registry that asks itself takes nobody's word for it.
        $refused = self::judge($one, accepted: [ServersFinding::OneDoesNotAnswer], isChecked: true);
        self::assertSame(['registry_refuses'], self::stopping($refused));
        // Whether an address of a family that this machine can't dial answers is nobody's guess.
        $notAsked = self::seen(after: self::zone(self::HERE), answers: [Answer::Authoritative, Answer::NotAsked]);
        self::assertSame([], self::judge($notAsked));
        $none = self::seen(after: self::zone(self::HERE), answers: [Answer::Authoritative, Answer::NoAddress]);
        self::assertSame(['no_address'], self::stopping(self::judge($none, accepted: ServersFinding::acceptable())));
    }

    public function test_an_alias_is_no_name_server(): void
    {
        $seen = self::seen(after: self::zone(self::HERE), isAlias: true);
        self::assertSame(['is_alias', 'is_alias'], self::stopping(self::judge($seen)));
    }

    /** RFC 4035 §5: with a DS that names none of the zone's keys, resolvers that validate answer nothing. */
    public function test_keys_that_the_registry_does_not_know_break_dnssec(): void
    {
        $key = new Key(257, 3, 13, str_repeat('k', 64));
        $other = new Key(257, 3, 13, str_repeat('o', 64));
        $ds = Delegate::of("\1a\3com\0", $key);
        self::assertSame([], self::dnssec([$ds], [$other, $key]));
        self::assertSame(['breaks_dnssec'], self::dnssec([$ds], [$other]));
        self::assertSame(['breaks_dnssec'], self::dnssec([$ds], []));
        self::assertSame(['dnssec_not_known'], self::dnssec([$ds], null));
        self::assertSame(['dnssec_not_known'], self::dnssec(null, [$key]));
        // A digest that nobody can compute counts as unsigned (RFC 4035 §5.2).
        self::assertSame([], self::dnssec([new Delegate($ds->tag, 13, 250, 'x')], []));
        // A key that nobody can check with proves nothing beside one that somebody can (RFC 4035 §5.2).
        $private = new Key(257, 3, 253, str_repeat('p', 64));
        self::assertSame(['breaks_dnssec'], self::dnssec([$ds, Delegate::of("\1a\3com\0", $private)], [$private]));
        // One of two is enough.
        self::assertSame([], self::dnssec([new Delegate(1, 13, 2, str_repeat('x', 32)), $ds], [$key]));
    }

    /** RFC 6781 §4.3.5.2: a resolver that kept the DS judges by it until its TTL is over. */
    public function test_a_ds_that_is_gone_counts_as_long_as_resolvers_keep_it(): void
    {
        $key = new Key(257, 3, 13, str_repeat('k', 64));
        $other = new Key(257, 3, 13, str_repeat('o', 64));
        $ds = Delegate::of("\1a\3com\0", $key);
        $gone = fn (int $ago, ?int $ttl): DelegatesBefore => new DelegatesBefore([$ds], $ttl, self::now()->plusSeconds(-$ago));
        self::assertSame(['delegate_kept'], self::dnssec([], [], $gone(3_599, 3_600)));
        self::assertSame([], self::dnssec([], [], $gone(3_600, 3_600)));
        // Nobody read its TTL: two days.
        self::assertSame(['delegate_kept'], self::dnssec([], [], $gone(172_799, null)));
        self::assertSame([], self::dnssec([], [], $gone(172_800, null)));
        // Another DS in its place cures nothing for whoever kept the old one; keys that the old one names do.
        self::assertSame(['delegate_kept'], self::dnssec([Delegate::of("\1a\3com\0", $other)], [$other], $gone(0, 60)));
        self::assertSame([], self::dnssec([], [$key], $gone(0, 60)));
        self::assertSame(['dnssec_not_known'], self::dnssec([], null, $gone(0, 60)));
        $seen = self::seen(after: self::zone(self::HERE));
        $found = (new ServersChange(
            DomainName::of('a.com'),
            ServerSet::ofHosts(self::HOSTS),
            $seen,
            self::now(),
            gone: $gone(100, 3_600),
        ))->findings();
        self::assertEquals(self::now()->plusSeconds(3_500), $found[0]->from);
    }

    /** RFC 6781 §4.3.5.1: both operators publish both keys, or answers of the one are not proved by kept keys of the other. */
    public function test_servers_that_sign_without_each_others_keys_break_dnssec_for_some(): void
    {
        $key = new Key(257, 3, 13, str_repeat('k', 64));
        $ds = Delegate::of("\1a\3com\0", $key);
        self::assertSame(['keys_apart'], self::apart(['257 3 13 a', '256 3 13 b'], ['257 3 13 a', '256 3 13 c'], [$ds]));
        self::assertSame(['keys_apart'], self::apart(['257 3 13 a'], ['257 3 13 a', '256 3 13 c'], [$ds]));
        self::assertSame(['keys_apart'], self::apart(['257 3 13 a', '256 3 13 c'], ['257 3 13 a'], [$ds]));
        self::assertSame([], self::apart(['257 3 13 a', '256 3 13 b'], ['256 3 13 b', '257 3 13 a'], [$ds]));
        self::assertSame([], self::apart(['257 3 13 a'], ['257 3 13 c'], []), 'nobody asks for proof');
    }

    /**
     * @param  list<string>  $here  keys, as zone files write them
     * @param  list<string>  $there
     * @param  list<Delegate>  $delegates
     * @return list<string> what stops it
     */
    private static function apart(array $here, array $there, array $delegates): array
    {
        $zone = fn (string ...$keys): ZoneCopy => ZoneCopy::of(
            'a.com',
            self::entries(array_map(fn (string $one): string => "a.com DNSKEY {$one}", array_values($keys))),
        );
        $standing = new DelegationSeen('a.com', ['ns1.here.example'], 172_800, $delegates, []);
        $servers = [new ServerSeen(self::HOSTS[0], '192.0.2.1', Answer::Authoritative, 1, self::HOSTS)];
        $keys = [new Key(257, 3, 13, str_repeat('k', 64))];
        $seen = new ChangeSeen($standing, $zone(...$here), $servers, $zone(...$there), $delegates, $keys, self::now());

        return self::stopping(self::judge($seen));
    }

    public function test_what_could_not_be_read_is_no_loss(): void
    {
        $there = ZoneCopy::of('a.com', self::entries(self::without('MX')), ['a.com MX']);
        self::assertSame([], self::judge(self::seen(after: $there)));
    }

    public function test_of_servers_that_say_nothing_nothing_can_be_lost(): void
    {
        $found = self::judge(self::seen(after: self::zone(self::HERE), isReadBefore: false));
        self::assertSame(['nothing_to_compare'], array_map(fn (Finding $one): string => (string) $one->tag->value, $found));
        self::assertSame([], self::stopping($found));
    }

    public function test_a_set_is_judged_by_itself(): void
    {
        $keys = fn (ServerSet $set, ?string $name = null): array => array_map(
            fn (Finding $one): string => (string) $one->tag->value,
            $set->findings($name === null ? null : DomainName::of($name)),
        );
        self::assertSame(['too_few'], $keys(ServerSet::ofHosts(['ns1.there.example'])));
        self::assertSame(['too_few'], $keys(ServerSet::ofHosts(['ns1.there.example', 'NS1.there.example.'])), 'the same twice is one');
        self::assertSame([], $keys(ServerSet::ofHosts(self::HOSTS)));
        $many = array_map(fn (int $number): string => "ns{$number}.there.example", range(1, 14));
        self::assertSame(['too_many'], $keys(ServerSet::ofHosts($many)));
        self::assertSame([], $keys(ServerSet::ofHosts(array_slice($many, 1))));
        self::assertSame(['needs_glue'], $keys(ServerSet::ofHosts(['ns1.a.com', 'ns2.there.example']), 'a.com'));
        self::assertSame([], $keys(ServerSet::ofHosts(['ns1.a.com', 'ns2.there.example']), 'b.com'));
    }

    /**
     * @param  list<Delegate>|null  $delegates
     * @param  list<Key>|null  $keys
     * @return list<string> what stops it, whatever else is meant to happen
     */
    private static function dnssec(?array $delegates, ?array $keys, ?DelegatesBefore $gone = null): array
    {
        $seen = self::seen(after: self::zone(self::HERE), delegates: $delegates, keys: $keys);

        return self::stopping(self::judge($seen, accepted: ServersFinding::acceptable(), gone: $gone));
    }

    private static function now(): Instant
    {
        return Instant::of('2026-10-06T09:00:00Z');
    }

    /**
     * @param  list<ServersFinding>  $accepted
     * @return list<Finding>
     */
    private static function judge(
        ?ChangeSeen $seen,
        array $accepted = [],
        ?DelegatesBefore $gone = null,
        bool $isChecked = false,
    ): array {
        $set = ServerSet::ofHosts(self::HOSTS);

        return (new ServersChange(DomainName::of('a.com'), $set, $seen, self::now(), $accepted, $gone, $isChecked))->findings();
    }

    /**
     * @param  list<Answer>  $answers
     * @param  list<Delegate>|null  $delegates
     * @param  list<Key>|null  $keys
     */
    private static function seen(
        ?ZoneCopy $after,
        array $answers = [Answer::Authoritative, Answer::Authoritative],
        ?array $delegates = [],
        ?array $keys = [],
        ?Instant $at = null,
        bool $isAlias = false,
        bool $isReadBefore = true,
    ): ChangeSeen {
        return new ChangeSeen(
            new DelegationSeen('a.com', ['ns1.here.example'], 172_800, $delegates, []),
            $isReadBefore ? self::zone(self::HERE) : null,
            array_map(
                fn (int $place): ServerSeen => new ServerSeen(
                    self::HOSTS[$place],
                    "192.0.{$place}.1",
                    $answers[$place],
                    1,
                    self::HOSTS,
                    $isAlias,
                ),
                [0, 1],
            ),
            $after,
            $delegates,
            $keys,
            $at ?? self::now(),
        );
    }

    /** @return list<string> */
    private static function without(string $part): array
    {
        return array_values(array_filter(self::HERE, fn (string $record): bool => ! str_contains($record, $part)));
    }

    /** @param  list<string>  $records */
    private static function zone(array $records): ZoneCopy
    {
        // What goes with the servers themselves is judged apart.
        return ZoneCopy::of('a.com', [...self::entries($records), new Entry('a.com', 'NS', 60, 'ns.'.count($records).'.'), new Entry(
            'a.com',
            'SOA',
            60,
            'ns. host. '.count($records).' 7200 3600 1209600 '.count($records),
        ), new Entry('a.com', 'DNSKEY', 60, '257 3 13 '.base64_encode(implode(' ', $records)))]);
    }

    /**
     * @param  list<string>  $records
     * @return list<Entry>
     */
    private static function entries(array $records): array
    {
        return array_map(function (string $record): Entry {
            [$host, $type, $data] = explode(' ', $record, 3);

            return new Entry($host, $type, 3600, $data);
        }, $records);
    }

    /**
     * @param  list<Finding>  $found
     * @return list<string>
     */
    private static function stopping(array $found): array
    {
        return array_values(array_map(
            fn (Finding $one): string => (string) $one->tag->value,
            array_filter($found, fn (Finding $one): bool => $one->effect !== Effect::Worth),
        ));
    }
}
