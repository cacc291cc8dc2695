<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Finding\Finding;
use Acre\Core\Name\DomainName;
use App\Actions\Outside\LookAtServers;
use App\Outside\Dns\Dns;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Name servers that send what is no message, and zones that go round in circles: named, counted, and nobody else’s trouble. */
#[Group('world')]
final class HostileServersTest extends TestCase
{
    use Worldly;

    private const HOSTS = ['ns1.hostile-quay.example', 'ns2.hostile-quay.example'];

    private const ADDRESSES = ['192.0.2.184', '198.51.100.184'];

    /** @param  list<array{name: string, type: string, data: string}>|null  $records */
    private function registered(string $label, ?array $records = null): string
    {
        $ascii = "{$label}-".self::$trials++.'-'.getmypid().'.com';
        $this->world->add([
            'hosts' => array_map(
                fn (string $host, string $address): array => ['host' => $host, 'addresses' => [$address]],
                self::HOSTS,
                self::ADDRESSES,
            ),
            'moods' => [],
            'names' => [self::atRegistry($ascii, self::HOSTS)],
            'zones' => $records === null ? [] : [[
                'zone' => $ascii,
                'records' => str_replace('@', $ascii, json_encode(['records' => $records], JSON_THROW_ON_ERROR)),
            ]],
        ]);

        return $ascii;
    }

    public function test_one_that_sends_rubbish_is_named_and_counted_by_host(): void
    {
        $this->world();
        $house = new House();
        $ascii = $this->registered('rubbish');
        $name = $house->name($ascii, facts: ['servers' => self::HOSTS]);
        $this->world->mood(self::ADDRESSES[1], 'garbled');
        try {
            app(LookAtServers::class)->of([$name->id]);
        } finally {
            $this->world->mood(self::ADDRESSES[1], 'fine');
        }
        $this->actingAs($house->clerk)
            ->get("/names/{$ascii}/points")
            ->assertSee(self::HOSTS[1].' does not answer for it (sends what can’t be read)');
        $this->get('/servers/faults')->assertSee(self::HOSTS[1]);
    }

    public function test_aliases_without_an_end_end(): void
    {
        $this->world();
        $ring = $this->registered('ring', [
            ['name' => 'a.@', 'type' => 'CNAME', 'data' => 'b.@.'],
            ['name' => 'b.@', 'type' => 'CNAME', 'data' => 'a.@.'],
        ]);
        $long = $this->registered('long', array_map(
            fn (int $step): array => ['name' => "a{$step}.@", 'type' => 'CNAME', 'data' => 'a'.($step + 1).'.@.'],
            range(0, 60),
        ));
        $told = [];
        $keep = function (string $host, array $addresses, bool $isAlias) use (&$told): void {
            $told[$host] = [$addresses, $isAlias];
        };
        app(Dns::class)->addresses(["a.{$ring}", "a0.{$long}"], $keep);
        self::assertEquals(["a.{$ring}" => [[], true], "a0.{$long}" => [[], true]], $told);
    }

    /** Fifty names, one server of each that sends rubbish: the others answer for all of them. */
    public function test_rubbish_of_one_is_no_silence_of_others(): void
    {
        $this->world();
        $names = array_map(fn (): string => $this->registered('beside'), range(1, 50));
        $this->world->mood(self::ADDRESSES[0], 'garbled');
        $now = $this->world->now() ?? self::fail('The world has no clock.');
        $answers = $found = [];
        try {
            $keep = function (DelegationSeen $seen) use (&$answers, &$found, $now): void {
                foreach ($seen->servers as $server) {
                    $answers[$server->host][$server->answer->value] = ($answers[$server->host][$server->answer->value] ?? 0) + 1;
                }
                $tags = array_map(fn (Finding $one): string => (string) $one->tag->value, $seen->findings($now));
                $found[] = implode(' ', $tags);
            };
            app(Dns::class)->delegations(array_map(DomainName::of(...), $names), $keep);
        } finally {
            $this->world->mood(self::ADDRESSES[0], 'fine');
        }
        self::assertEquals(
            [self::HOSTS[0] => [Answer::Garbled->value => 50], self::HOSTS[1] => [Answer::Authoritative->value => 50]],
            $answers,
        );
        self::assertSame(['server_lame'], array_values(array_unique($found)));
    }
}
