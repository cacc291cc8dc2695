<?php

declare(strict_types=1);

namespace Tests\Standin;

use Acre\Wire\Json\JsonNode;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Standin\Directory\RdapPages;
use Standin\Directory\TextServer;
use Standin\Http\HttpRequest;
use Standin\Http\HttpResponse;
use Standin\World;

/** The simulated directories without a network: who answers for what, their limits, and what they are behind. */
final class DirectoriesTest extends TestCase
{
    private Gatehouse $house;

    private World $world;

    private RdapPages $rdap;

    protected function setUp(): void
    {
        $this->house = new Gatehouse();
        $this->world = $this->house->world;
        $this->world->load(
            JsonNode::read(
                json_encode(
                    [
                        'hosts' => [],
                        'moods' => [],
                        'zones' => [],
                        'names' => [
                            [
                                'name' => 'bell.de',
                                'registrar' => 'anchorage',
                                'created' => 0,
                                'ends' => null,
                                'updated' => (int) strtotime('2026-09-01T10:00:00Z'),
                                'statuses' => [],
                                'servers' => ['ns1.a.example'],
                                'shown' => [],
                                'holder' => ['handle' => 'H-1', 'name' => 'The Secretary'],
                                'autoRenew' => true,
                                'account' => 'p1',
                                'due' => 4_000_000_000,
                            ],
                        ],
                    ],
                    JSON_THROW_ON_ERROR,
                ),
                100_000,
            ),
            false,
        );
        $this->rdap = new RdapPages($this->world);
    }

    private function ask(string $host, string $path, string $method = 'GET'): HttpResponse
    {
        return $this->rdap->answer(new HttpRequest($method, $path, '', ['host' => $host], '', '127.0.0.9'));
    }

    #[TestWith(['rdap.harbour-registry.example', '/domain/bell.com', 200])]
    #[TestWith(['rdap.harbour-registry.example', '/domain/BELL.com', 200])]
    #[TestWith(['rdap.skerry.example', '/domain/bell.com', 200])]
    #[TestWith(['rdap.oriel-names.example', '/domain/bell.com', 404])]
    #[TestWith(['rdap.wharf-names.example', '/domain/bell.com', 404])]
    #[TestWith(['rdap.harbour-registry.example', '/domain/nobody.com', 404])]
    #[TestWith(['rdap.harbour-registry.example', '/domain/not a name', 400])]
    #[TestWith(['rdap.harbour-registry.example', '/entity/H-1', 400])]
    #[TestWith(['rdap.harbour-registry.example', '/help', 200])]
    #[TestWith(['nobody.example', '/domain/bell.com', 404])]
    #[TestWith(['bootstrap.example', '/dns.json', 200])]
    #[TestWith(['bootstrap.example', '/asn.json', 404])]
    public function test_each_directory_answers_for_what_it_keeps(string $host, string $path, int $status): void
    {
        self::assertSame($status, $this->ask($host, $path)->status);
    }

    public function test_only_reading_is_understood(): void
    {
        self::assertSame(
            [405, 200],
            [
                $this->ask('rdap.harbour-registry.example', '/domain/bell.com', 'POST')->status,
                $this->ask('rdap.harbour-registry.example', '/domain/bell.com', 'HEAD')->status,
            ],
        );
    }

    public function test_the_bootstrap_names_the_directory_of_every_suffix_that_has_one(): void
    {
        $services = json_decode($this->ask('bootstrap.example', '/dns.json')->body, true);
        self::assertIsArray($services);
        $of = json_encode($services['services'] ?? []);
        self::assertStringContainsString('[["uk"],["https:\/\/rdap.wharf-names.example\/"]]', (string) $of);
        self::assertStringNotContainsString('"de"', (string) $of, 'that one answers by text only');
    }

    public function test_whoever_asks_too_often_is_told_for_how_long_to_wait(): void
    {
        $last = null;
        // Over two minutes, should one end meanwhile.
        for ($time = 0; $time <= 1_202; $time++) {
            $last = $this->ask('rdap.harbour-registry.example', '/domain/bell.com');
            if ($last->status === 429) {
                break;
            }
        }
        self::assertSame(429, $last?->status);
        self::assertMatchesRegularExpression('/^[1-9]\d?$/', $last->headers['Retry-After'] ?? '');
        self::assertSame(200, $this->ask('rdap.skerry.example', '/domain/bell.com')->status, 'another host has a limit of its own');
    }

    public function test_a_registrys_directory_is_some_minutes_behind_and_its_registrars_too(): void
    {
        $this->house->play('bell.com', 'lock');
        self::assertStringNotContainsString(
            'client transfer prohibited',
            $this->ask('rdap.harbour-registry.example', '/domain/bell.com')->body,
        );
        $this->world->moveTo($this->world->now() + 121);
        self::assertStringContainsString(
            'client transfer prohibited',
            $this->ask('rdap.harbour-registry.example', '/domain/bell.com')->body,
        );
    }

    /** RFC 3915 §3.1; that a registrar's own directory has its own end is common practice. */
    public function test_past_its_end_the_registry_is_a_year_ahead_of_what_its_registrar_was_paid_for(): void
    {
        $ends = function (string $host): array {
            preg_match_all(
                '/"eventAction":"((?:registrar )?expiration)","eventDate":"([\d-]+)T/',
                $this->ask($host, '/domain/bell.com')->body,
                $found,
            );

            return array_combine($found[1], $found[2]);
        };
        self::assertSame(
            [['expiration' => '2027-11-02'], ['expiration' => '2027-11-02', 'registrar expiration' => '2027-11-02']],
            [$ends('rdap.harbour-registry.example'), $ends('rdap.skerry.example')],
        );
        foreach (['2028-11-02' => true, '2027-11-02' => false] as $paid => $renews) {
            $name = $this->world->store->name('bell.com') ?? self::fail('It is gone.');
            $name->autoRenew = $renews;
            $this->world->change($name);
            // A directory is some minutes behind.
            $this->world->moveTo(max((int) strtotime('2027-11-04T09:00:00Z'), $this->world->now() + 3_600));
            self::assertSame(
                [['expiration' => '2028-11-02'], ['expiration' => '2028-11-02', 'registrar expiration' => $paid]],
                [$ends('rdap.harbour-registry.example'), $ends('rdap.skerry.example')],
            );
        }
    }

    private function text(string $line): string
    {
        $listener = new Listener();
        (new TextServer($this->world))->listen($listener);
        $connection = $listener->call();
        foreach (str_split($line, 3) as $bytes) {
            $connection->arrive($bytes);
        }
        self::assertFalse($connection->isOpen, 'one answer, and it closes (RFC 3912)');

        return str_replace("\r\n", "\n", $connection->written);
    }

    public function test_the_old_kind_answers_a_line_with_a_text(): void
    {
        $text = $this->text("bell.de\r\n");
        self::assertStringContainsString(
            "Domain: bell.de\nNserver: ns1.a.example\nStatus: connect\nRegistrar: Anchorage Registrar Services\nChanged: "
                ."2026-09-01T10:00:00Z\n",
            $text,
        );
        self::assertStringNotContainsString('Secretary', $text, 'next to nothing of the holder');
    }

    #[TestWith(["nobody.de\n", "Domain: nobody.de\nStatus: free\n"])]
    #[TestWith(["bell.com\n", '% Error: not a name of this registry'])]
    #[TestWith(["not a name\n", '% Error: not a domain name'])]
    public function test_what_the_old_kind_has_not(string $line, string $said): void
    {
        self::assertStringContainsString($said, $this->text($line));
    }

    public function test_a_line_without_an_end_is_cut(): void
    {
        self::assertStringContainsString('% Error', $this->text(str_repeat('x', 1_001)));
    }

    public function test_the_old_kind_has_a_limit_too(): void
    {
        $listener = new Listener();
        (new TextServer($this->world))->listen($listener);
        $told = '';
        // Over two minutes, should one end meanwhile.
        for ($time = 0; $time <= 122 && ! str_contains($told, 'too many questions'); $time++) {
            $connection = $listener->call();
            $connection->arrive("bell.de\r\n");
            $told = $connection->written;
        }
        self::assertStringContainsString('come back in a minute', $told);
    }
}
