<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Acre\Core\Name\DomainName;

/**
 * A second web host, to which twelve names may move: it has their zones already, but for what makes the verdicts worth reading. Mail of one
 * is missing there, the keys of another, and a third is known to one of its two servers only.
 */
final class Servers
{
    public const THERE = ['ns1.sandpiper.example', 'ns2.sandpiper.example'];

    private const ADDRESSES = ['203.0.113.51', '198.51.100.51'];

    /** Under wire, bridge and slip. */
    public const MOVING = [
        'tern.works',
        'harrow-tern.com',
        'quayside-theatre.com',
        'quayside-gala.com',
        'footlight-fund.com',
        'footlight-fund.org',
        'fowl-advice.org',
        'bell-tuning.org',
        'glockenwärts.com',
        'sound-kelp.co.uk',
        'kelp-recipes.co.uk',
        'the-low-quay-tramway-museum-and-its-friends-in-wickerby-sound.org',
    ];

    private const WITHOUT_MAIL = 'quayside-theatre.com';

    private const SIGNED = 'harrow-tern.com';

    private const ON_ONE_SERVER = 'bell-tuning.org';

    /** A welcome letter, as it is pasted. */
    public const LETTER = <<<'TEXT'
        Dear customer,

        welcome to Sandpiper. Your plan "Shoreline" is ready.

        Please set these name servers for your domains:

          Primary name server:    ns1.sandpiper.example   (203.0.113.51)
          Secondary name server:  ns2.sandpiper.example   (198.51.100.51)

        Your control panel:  https://panel.sandpiper.example/login
        FTP host:            ftp.sandpiper.example
        Questions? help@sandpiper.example
        TEXT;

    /** @return list<array<string, mixed>> rows of sets */
    public static function sets(): array
    {
        $one = fn (string $host): array => ['host' => $host, 'addresses' => []];

        return [
            ['name' => 'Sound Hosting', 'kind' => 'host', 'operator' => 'Sound Hosting', 'servers' => array_map($one, Outside::SERVERS)],
            ['name' => 'Tidemark', 'kind' => 'host', 'operator' => 'Tidemark', 'servers' => array_map($one, Outside::servers('choir'))],
        ];
    }

    /** @return list<array{host: string, addresses: list<string>}> */
    public static function hosts(): array
    {
        return array_map(
            fn (string $host, string $address): array => ['host' => $host, 'addresses' => [$address]],
            self::THERE,
            self::ADDRESSES,
        );
    }

    /** @return list<array{zone: string, records: string}> */
    public static function zones(): array
    {
        return array_map(function (string $name): array {
            $zone = DomainName::of($name)->ascii;
            $here = self::records($zone, '192.0.2.80');
            $there = self::records($zone, '203.0.113.80');
            if ($name === self::WITHOUT_MAIL) {
                $there = array_values(
                    array_filter($there, fn (array $one): bool => $one['type'] !== 'MX' && $one['name'] !== "k1._domainkey.{$zone}"),
                );
            }

            return [
                'zone' => $zone,
                'records' => json_encode(
                    [
                        'servedBy' => Outside::SERVERS,
                        'servers' => Outside::SERVERS,
                        'records' => $here,
                        'signed' => $name === self::SIGNED ? ['algorithm' => 13, 'published' => true] : null,
                        'elsewhere' => [
                            [
                                'servedBy' => $name === self::ON_ONE_SERVER ? [self::THERE[0]] : self::THERE,
                                'servers' => self::THERE,
                                'serial' => 2_026_100_601,
                                'records' => $there,
                            ],
                        ],
                    ],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES,
                ),
            ];
        }, self::MOVING);
    }

    /** @return list<array{name: string, type: string, data: string}> */
    private static function records(string $zone, string $web): array
    {
        return [
            ['name' => $zone, 'type' => 'A', 'data' => $web],
            ['name' => "www.{$zone}", 'type' => 'A', 'data' => $web],
            ['name' => $zone, 'type' => 'MX', 'data' => '10 mail.sound-hosting.example.'],
            ['name' => $zone, 'type' => 'TXT', 'data' => 'v=spf1 mx -all'],
            ['name' => "_dmarc.{$zone}", 'type' => 'TXT', 'data' => 'v=DMARC1; p=quarantine'],
            ['name' => "k1._domainkey.{$zone}", 'type' => 'TXT', 'data' => 'v=DKIM1; k=rsa; p='.base64_encode(hash('sha512', $zone, true))],
        ];
    }
}
