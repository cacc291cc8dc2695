<?php

declare(strict_types=1);

namespace Tests\Standin;

use Acre\Wire\Dns\Record;
use PHPUnit\Framework\TestCase;
use Standin\Dns\Zone;

/** What a zone of the simulated world has at a name. */
final class ZoneTest extends TestCase
{
    /** @return list<string> */
    private static function at(Zone $zone, string $name): array
    {
        return array_map(fn (Record $record): string => (string) $record->data, $zone->at($name));
    }

    /** RFC 4592 §2.2.1: what exists, and what lies between, is not covered; nor what lies below an existing name. */
    public function test_wildcards_cover_what_does_not_exist(): void
    {
        $zone = Zone::of(
            'a.com',
            ['ns1.b.example'],
            (string) json_encode([
                'records' => [
                    ['name' => '*.a.com', 'type' => 'TXT', 'data' => 'wild'],
                    ['name' => 'host1.a.com', 'type' => 'A', 'data' => '192.0.2.1'],
                    ['name' => '_telnet._tcp.host2.a.com', 'type' => 'TXT', 'data' => 'srv'],
                ],
            ]),
            'ns1.b.example',
        );
        self::assertSame(['"wild"'], self::at($zone, 'host3.a.com'));
        self::assertSame(['"wild"'], self::at($zone, 'foo.bar.a.com'));
        self::assertSame(['192.0.2.1'], self::at($zone, 'host1.a.com'));
        self::assertSame([], self::at($zone, 'sub.host1.a.com'));
        self::assertSame([], self::at($zone, '_telnet._tcp.host1.a.com'));
        self::assertSame([], self::at($zone, 'host2.a.com'), 'an empty name between exists');
        self::assertTrue($zone->exists('host2.a.com'));
        self::assertFalse($zone->exists('host3.a.com'));
    }

    public function test_what_a_zone_says_of_itself_may_be_other_than_what_its_registry_has(): void
    {
        $zone = Zone::of(
            'a.com',
            ['ns1.b.example'],
            '{"servers": ["ns2.b.example"], "servedBy": ["ns1.b.example", "ns2.b.example"], "serial": 7}',
            'ns1.b.example',
        );
        self::assertSame(['ns2.b.example.'], array_map(fn (Record $record): string => (string) $record->data, $zone->ns()));
        self::assertSame(['ns1.b.example', 'ns2.b.example'], $zone->servedBy);
        self::assertSame(7, $zone->serial);
    }

    public function test_another_host_may_have_another_zone_of_a_name(): void
    {
        $told = '{"serial": 7, "elsewhere": [{"servedBy": ["ns1.c.example"], "servers": ["ns1.c.example"], "serial": 9, "records": []}]}';
        $here = Zone::of('a.com', ['ns1.b.example'], $told, 'ns1.b.example');
        $there = Zone::of('a.com', ['ns1.b.example'], $told, 'ns1.c.example');
        self::assertSame([7, ['ns1.b.example']], [$here->serial, $here->servedBy]);
        self::assertSame([9, ['ns1.c.example']], [$there->serial, $there->servedBy]);
        self::assertSame(['192.0.2.80'], self::at($here, 'a.com') === [] ? [] : [self::at($here, 'a.com')[0]]);
        self::assertSame([], self::at($there, 'a.com'));
    }
}
