<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Dnssec\ChainState;
use Acre\Core\Finding\Finding;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use App\Outside\Dns\Dns;
use App\Support\TradeClock;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\Process;
use Tests\Feature\Worldly;
use Tests\TestCase;

/**
 * Zones of the simulated world, sound and broken in every way, under its signed root: our judgement held against a validating resolver's
 * (Debian: unbound-host), which is given the root's key and the addresses, and nothing else. RFC 4035 §5, RFC 4470.
 */
#[Group('world')]
final class SignedWorldTest extends TestCase
{
    use Worldly;

    private const HOSTS = ['ns1.signed-quay.example', 'ns2.signed-quay.example'];

    private const SERVERS = ['192.0.2.170', '198.51.100.170'];

    /** What the resolver is told: a file. */
    private string $config = '';

    /** By their numbers, all that RFC 8624 wants implemented. */
    private const ALGORITHMS = [8, 13, 14, 15];

    /**
     * What a name is, how we judge it, what we find, and what the resolver says.
     *
     * @return array<string, array{array<string, mixed>|null, list<array<string, mixed>>|null, ChainState, string|null, string}> `signed` of
     *     its zone, DS where it is not its own key's, state, finding, verdict
     */
    private static function habits(int $algorithm): array
    {
        $ds = fn (int $type): array => [['tag' => 60485, 'algorithm' => $algorithm, 'type' => $type, 'digest' => str_repeat('AB', 32)]];
        $signed = ['algorithm' => $algorithm, 'published' => true];

        return [
            'whole' => [$signed, null, ChainState::Whole, null, 'secure'],
            'its second key' => [$signed + ['turn' => 1], null, ChainState::Whole, null, 'secure'],
            'soon' => [$signed + ['lasts' => 86_400], null, ChainState::Whole, 'signatures_lapse', 'secure'],
            'unsigned' => [null, null, ChainState::Unsigned, null, 'insecure'],
            'no ds' => [['algorithm' => $algorithm], null, ChainState::NoDelegate, 'signed_without_delegate', 'insecure'],
            'unknown digest' => [['algorithm' => $algorithm], $ds(250), ChainState::Unreadable, null, 'insecure'],
            'lapsed' => [$signed + ['lasts' => -86_400], null, ChainState::Dark, 'dnssec_broken', 'bogus'],
            'garbled' => [$signed + ['garbled' => ['A']], null, ChainState::Dark, 'dnssec_broken', 'bogus'],
            'garbled keys' => [$signed + ['garbled' => ['DNSKEY']], null, ChainState::Dark, 'dnssec_broken', 'bogus'],
            'stray key' => [['algorithm' => $algorithm], $ds(2), ChainState::Dark, 'dnssec_broken', 'bogus'],
            'no keys' => [null, $ds(2), ChainState::Dark, 'dnssec_broken', 'bogus'],
        ];
    }

    public function test_a_validating_resolver_agrees_with_our_judgement_of_every_zone(): void
    {
        $this->world();
        app(TradeClock::class)->set($this->world->now() ?? self::fail('The world has no clock.'));
        $cases = $names = $zones = [];
        foreach (self::ALGORITHMS as $algorithm) {
            foreach (self::habits($algorithm) as $called => $case) {
                $name = str_replace(' ', '-', $called)."-{$algorithm}-".getmypid().'.com';
                $cases[$name] = $case;
                $names[] = self::atRegistry($name, self::HOSTS, ['ds' => $case[1] ?? []]);
                $zones[] = [
                    'zone' => $name,
                    'records' => json_encode([
                        'records' => [
                            ['name' => $name, 'type' => 'A', 'data' => '192.0.2.80'],
                            ['name' => "*.wild.{$name}", 'type' => 'A', 'data' => '192.0.2.81'],
                        ],
                        'signed' => $case[0],
                    ], JSON_THROW_ON_ERROR),
                ];
            }
        }
        $this->world->add([
            'names' => $names,
            'zones' => $zones,
            'moods' => [],
            'hosts' => array_map(
                fn (string $host, string $address): array => ['host' => $host, 'addresses' => [$address]],
                self::HOSTS,
                self::SERVERS,
            ),
        ]);
        $seen = [];
        app(Dns::class)->delegations(array_map(DomainName::of(...), array_keys($cases)), function (DelegationSeen $one) use (&$seen): void {
            $seen[$one->name] = $one;
        });
        $now = app(TradeClock::class)->now();
        $config = $this->config(array_keys($cases), $now);
        foreach ($cases as $name => [, , $state, $finding, $verdict]) {
            self::assertSame($state, $seen[$name]->chain?->state, $name);
            self::assertSame(
                $finding === null ? [] : [$finding],
                array_values(
                    array_filter(
                        array_map(fn (Finding $one): string => (string) $one->tag->value, $seen[$name]->findings($now)),
                        fn (string $tag): bool => str_starts_with($tag, 'dnssec') || str_starts_with($tag, 'sign'),
                    ),
                ),
                $name,
            );
            self::assertSame($verdict, self::verdict($config, $name, 'A'), $name);
        }
        // What is not, and what only a wildcard answers, is proved too.
        foreach (self::ALGORITHMS as $algorithm) {
            $whole = "whole-{$algorithm}-".getmypid().'.com';
            $questions = [
                [$whole, 'AAAA'],
                ["nobody.{$whole}", 'A'],
                ["a.b.{$whole}", 'TXT'],
                ["any.wild.{$whole}", 'A'],
                ["wild.{$whole}", 'A'],
                ["x.y.wild.{$whole}", 'MX'],
            ];
            foreach ($questions as [$host, $type]) {
                self::assertSame('secure', self::verdict($config, $host, $type), "{$host} {$type}");
            }
        }
        $above = [
            ['nobody-has-this.com', 'A'],
            ['nobody.co.uk', 'A'],
            ['nobody.de', 'A'],
            ['nobody', 'A'],
            ['void.example', 'A'],
            ['com', 'NS'],
            ['co.uk', 'SOA'],
            ['co.uk', 'DS'],
            ['de', 'DNSKEY'],
            [self::HOSTS[0], 'A'],
            [self::HOSTS[0], 'AAAA'],
            ['signed-quay.example', 'A'],
        ];
        foreach ($above as [$host, $type]) {
            self::assertSame('secure', self::verdict($config, $host, $type), "{$host} {$type}");
        }
    }

    protected function tearDown(): void
    {
        if ($this->config !== '') {
            unlink($this->config);
        }
        parent::tearDown();
    }

    /** @param  list<string>  $names */
    private function config(array $names, Instant $now): string
    {
        $port = config()->integer('outside.dns.port');
        $root = "127.53.0.1@{$port}";
        $key = new Process(['dig', '+short', '@127.53.0.1', '-p', (string) $port, '.', 'DNSKEY']);
        $key->mustRun();
        $zones = ['.' => $root, 'com.' => "127.53.0.11@{$port}", 'uk.' => "127.53.0.12@{$port}", 'co.uk.' => "127.53.0.12@{$port}"];
        $zones += ['de.' => "127.53.0.13@{$port}", 'example.' => "127.53.0.14@{$port}"];
        foreach ($names as $name) {
            $zones["{$name}."] = "127.53.0.170@{$port}";
        }
        $stubs = '';
        foreach ($zones as $zone => $address) {
            $stubs .= "stub-zone:\n  name: \"{$zone}\"\n  stub-addr: {$address}\n";
        }
        $date = gmdate('YmdHis', $now->epoch);
        $path = (string) tempnam(sys_get_temp_dir(), 'acre-unbound-');
        file_put_contents($path, <<<CONF
            server:
              do-not-query-localhost: no
              do-ip6: no
              trust-anchor: ". DNSKEY {$this->oneLine($key->getOutput())}"
              val-override-date: "{$date}"
              module-config: "validator iterator"
              aggressive-nsec: yes
            {$stubs}
            CONF);

        return $this->config = $path;
    }

    private function oneLine(string $text): string
    {
        return trim(explode("\n", $text)[0]);
    }

    /** @return string `secure`, `insecure` or `bogus` */
    private static function verdict(string $config, string $host, string $type): string
    {
        $asked = new Process(['unbound-host', '-C', $config, '-v', '-t', $type, "{$host}."], null, ['LC_ALL' => 'C.UTF-8'], null, 30);
        $asked->run();
        preg_match('/\((secure|insecure)\)|\((BOGUS)/', $asked->getOutput(), $found);

        return strtolower(($found[1] ?? '') === '' ? $found[2] ?? trim($asked->getOutput().$asked->getErrorOutput()) : $found[1]);
    }
}
