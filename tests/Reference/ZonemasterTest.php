<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Finding\Finding;
use Acre\Core\Name\DomainName;
use App\Outside\Dns\Dns;
use App\Support\TradeClock;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Process;
use Tests\Feature\Worldly;
use Tests\TestCase;

/**
 * Delegations of the simulated world, sound and broken, held against Zonemaster (Debian: zonemaster-cli), which asks the same world in a
 * network of its own.
 */
#[Group('world')]
#[Group('published')]
final class ZonemasterTest extends TestCase
{
    use Worldly;

    private const HOSTS = ['ns1.master-quay.example', 'ns2.master-quay.example'];

    private const OTHERS = ['ns1.master-cove.example', 'ns2.master-cove.example'];

    /**
     * What Zonemaster wants of every zone and this world has nowhere: public addresses of both versions, reverse zones, an answer to later
     * versions of EDNS, a mailbox in the SOA, and slow refreshing.
     */
    private const OF_THE_WORLD = [
        'NAMESERVER_IP_PRIVATE_NETWORK',
        'NAMESERVER_IP_WITHOUT_REVERSE',
        'NO_IPV6_NS_CHILD',
        'NO_IPV6_NS_DEL',
        'N10_EDNS_RESPONSE_ERROR',
        'RNAME_MAIL_DOMAIN_INVALID',
        'REFRESH_MINIMUM_VALUE_LOWER',
    ];

    /**
     * Each with what we find, and what Zonemaster finds beside what it finds of a sound one.
     *
     * @return array<string, array{array<string, mixed>, array<string, mixed>|null, list<string>, list<string>}> the name and its zone
     */
    private static function habits(): array
    {
        $signed = ['algorithm' => 13, 'published' => true];
        $stray = ['ds' => [['tag' => 60485, 'algorithm' => 13, 'type' => 2, 'digest' => str_repeat('AB', 32)]]];

        return [
            'sound' => [[], ['signed' => $signed], [], []],
            'sound-rsa' => [[], ['signed' => ['algorithm' => 8] + $signed], [], []],
            'unsigned' => [[], null, [], ['NOT_SIGNED']],
            'no-ds' => [[], ['signed' => ['algorithm' => 13]], ['signed_without_delegate'], ['DNSKEY_BUT_NOT_DS']],
            'lapsed' => [
                [],
                ['signed' => $signed + ['lasts' => -86_400]],
                ['dnssec_broken'],
                ['DS02_RRSIG_NOT_VALID_BY_DNSKEY', 'RRSIG_EXPIRED'],
            ],
            'garbled' => [
                [],
                ['signed' => $signed + ['garbled' => ['DNSKEY']]],
                ['dnssec_broken'],
                ['DS02_DNSKEY_NOT_SIGNED_BY_ANY_DS', 'DS08_RRSIG_NOT_VALID_BY_DNSKEY'],
            ],
            'stray-ds' => [$stray, ['signed' => ['algorithm' => 13]], ['dnssec_broken'], ['DS02_NO_DNSKEY_FOR_DS']],
            'no-keys' => [$stray, null, ['dnssec_broken'], ['DS_BUT_NOT_DNSKEY']],
            'lame' => [
                [],
                ['servedBy' => [self::HOSTS[0]]],
                ['server_lame'],
                ['NS_FAILED', 'CN01_UNEXPECTED_RCODE_SOA_QUERY_UDP'],
            ],
            'nobody' => [
                [],
                ['servedBy' => ['ns9.master-quay.example']],
                ['nobody_answers', 'server_lame', 'server_lame'],
                ['NS_FAILED', 'CANNOT_CONTINUE'],
            ],
            'apart' => [
                [],
                ['servers' => [self::HOSTS[0], self::OTHERS[0]]],
                ['lists_differ'],
                ['EXTRA_NAME_PARENT', 'EXTRA_NAME_CHILD'],
            ],
            'one' => [
                ['servers' => [self::HOSTS[0]]],
                ['servers' => [self::HOSTS[0]]],
                ['one_server'],
                ['NOT_ENOUGH_NS_DEL'],
            ],
            'silent' => [
                ['servers' => self::OTHERS],
                ['servers' => self::OTHERS],
                ['server_silent'],
                ['CN01_NO_RESPONSE_UDP'],
            ],
            'behind' => [
                ['servers' => ['ns1.master-cove.example', 'ns3.master-cove.example']],
                ['servers' => ['ns1.master-cove.example', 'ns3.master-cove.example']],
                ['out_of_step'],
                ['MULTIPLE_SOA_SERIALS'],
            ],
        ];
    }

    /** @return array<string, mixed> the same for both */
    private function document(int $now): array
    {
        $names = $zones = [];
        foreach (self::habits() as $called => [$name, $zone]) {
            $names[] = self::atRegistry("master-{$called}.com", self::HOSTS, $name);
            if ($zone !== null) {
                $zones[] = ['zone' => "master-{$called}.com", 'records' => json_encode($zone, JSON_THROW_ON_ERROR)];
            }
        }

        return [
            'now' => $now,
            'names' => $names,
            'hosts' => [
                ['host' => self::HOSTS[0], 'addresses' => ['192.0.2.172']],
                ['host' => self::HOSTS[1], 'addresses' => ['198.51.100.172']],
                ['host' => self::OTHERS[0], 'addresses' => ['192.0.2.173']],
                ['host' => self::OTHERS[1], 'addresses' => ['198.51.100.173']],
                ['host' => 'ns3.master-cove.example', 'addresses' => ['203.0.113.173']],
                ['host' => 'ns9.master-quay.example', 'addresses' => ['203.0.113.179']],
            ],
            'moods' => [
                ['address' => '198.51.100.173', 'mood' => 'silent'],
                ['address' => '203.0.113.173', 'mood' => 'out of step'],
            ],
            'zones' => $zones,
        ];
    }

    public function test_zonemaster_finds_what_we_find(): void
    {
        $this->world();
        $now = $this->world->now() ?? self::fail('The world has no clock.');
        app(TradeClock::class)->set($now);
        $this->world->add($this->document($now->epoch));
        $names = array_map(fn (string $called): string => "master-{$called}.com", array_keys(self::habits()));
        $ours = [];
        app(Dns::class)->delegations(array_map(DomainName::of(...), $names), function (DelegationSeen $seen) use (&$ours, $now): void {
            $found = array_map(fn (Finding $one): string => (string) $one->tag->value, $seen->findings($now));
            $ours[$seen->name] = array_values(array_diff($found, ['one_network']));
        });
        $theirs = $this->zonemaster($names, time());
        foreach (self::habits() as $called => [, , $found, $tags]) {
            self::assertSame($found, $ours["master-{$called}.com"], $called);
            $said = $theirs["master-{$called}.com"];
            self::assertSame($tags, array_values(array_intersect($tags, $said)), "{$called}: ".implode(' ', $said));
            if ($found === []) {
                self::assertSame([], array_values(array_diff($said, ['NEITHER_DNSKEY_NOR_DS', 'NOT_SIGNED'])), $called);
            }
        }
    }

    /**
     * @param  list<string>  $names
     * @return array<string, list<string>> tags by name
     */
    private function zonemaster(array $names, int $now): array
    {
        $folder = (string) tempnam(sys_get_temp_dir(), 'acre-master-');
        unlink($folder);
        mkdir($folder);
        file_put_contents("{$folder}/document.json", json_encode($this->document($now), JSON_THROW_ON_ERROR));
        $process = new Process(['unshare', '-rn', __DIR__.'/own-network.sh', $folder, ...$names], timeout: 300);
        self::assertSame(0, $process->run(), $process->getErrorOutput());
        $tags = [];
        foreach ($names as $name) {
            $said = json_decode((string) file_get_contents("{$folder}/{$name}.json"), true, 16, JSON_THROW_ON_ERROR);
            $tags[$name] = array_values(array_unique(array_diff(
                array_filter(array_column(is_array($said) ? $said : [], 'tag'), is_string(...)),
                self::OF_THE_WORLD,
            )));
        }
        foreach (Finder::create()->files()->in($folder) as $file) {
            unlink($file->getPathname());
        }
        rmdir("{$folder}/world");
        rmdir($folder);

        return $tags;
    }
}
