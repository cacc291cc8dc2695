<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Acre\Core\Contact\Phone;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;

/**
 * What the simulated world holds on the demo's first day: the names as the house has them, but for those that tell of a
 * world that went on without it.
 */
final class Outside
{
    /** The two hosts that serve the agency's names, on two networks. */
    public const SERVERS = ['ns1.sound-hosting.example', 'ns2.sound-hosting.example'];

    /** Of clients who have their own. */
    private const THEIRS = [
        'observatory' => ['ns1.gannet-net.example', 'ns2.gannet-net.example'],
        'choir' => ['ns1.tidemark.example', 'ns2.tidemark.example'],
    ];

    /** Hosts of mailboxes that take mail; the veterinary practice's is gone. */
    private const TAKE_MAIL = [
        'harrow-tern.example',
        'kelp-post.example',
        'lowquay.example',
        'gannet-head.example',
        'quayside-stage.example',
        'soundchoirs.example',
        'marrow-yard.example',
        'kettle-post.example',
        'rooke.example',
    ];

    /** @return list<string> the name servers that our books have */
    public static function servers(string $client): array
    {
        return self::THEIRS[$client] ?? self::SERVERS;
    }

    /**
     * @param  list<array{name: string, account: string, client: string, created: string, ends: string|null, intent: string, moved?: string,
     *     lock?: string, statuses?: list<string>, registrant?: string, mailbox?: string}>  $told
     * @return array<string, mixed> what the world loads
     */
    public static function document(array $told, Instant $now): array
    {
        return [
            'now' => $now->epoch,
            'names' => [...array_map(fn (array $one): array => self::name($one, $now), $told), ...self::strangers($now)],
            'hosts' => [
                self::host('ns1.sound-hosting.example', '192.0.2.21'),
                self::host('ns2.sound-hosting.example', '198.51.100.21'),
                self::host('ns1.gannet-net.example', '192.0.2.22'),
                self::host('ns2.gannet-net.example', '198.51.100.22'),
                self::host('ns1.tidemark.example', '192.0.2.23'),
                self::host('ns2.tidemark.example', '192.0.2.24'),
                self::host('ns1.farshore.example', '203.0.113.31'),
                self::host('ns2.farshore.example', '203.0.113.32'),
                self::host('mail.sound-hosting.example', '192.0.2.90'),
                self::host('ns1.wickerby-bells.com', '198.51.100.40'),
                self::host('ns2.wickerby-bells.com', '203.0.113.40'),
                ...array_map(fn (string $host): array => self::host($host, '192.0.2.91'), self::TAKE_MAIL),
                ...Servers::hosts(),
            ],
            'accounts' => self::accounts(),
            'mailboxes' => self::mailboxes(),
            'moods' => [['address' => '192.0.2.24', 'mood' => 'silent']],
            'zones' => [
                // The second server was never told of this name; and the list in the zone is an older one.
                ['zone' => 'gannet-head.org', 'records' => '{"servedBy": ["ns1.gannet-net.example"]}'],
                ['zone' => 'tramway-museum.org', 'records' => '{"servers": ["ns1.sound-hosting.example", "ns3.sound-hosting.example"]}'],
                ...Servers::zones(),
            ],
            'pages' => Hosting::pages($now),
        ];
    }

    /**
     * @param  array{name: string, account: string, client: string, created: string, ends: string|null, intent: string, moved?: string,
     *     lock?: string, statuses?: list<string>, registrant?: string, mailbox?: string}  $one
     * @return array<string, mixed>
     */
    private static function name(array $one, Instant $now): array
    {
        $name = DomainName::of($one['name']);
        $suffix = $name->suffix();
        $isTagged = str_ends_with($suffix, 'uk');
        $shop = House::accounts()[$one['account']][0];
        $client = House::clients()[$one['client']];
        $updated = null;
        $ends = $one['ends'] === null ? null : Instant::of($one['ends'])->epoch;
        $statuses = [...$one['statuses'] ?? [], ...($one['lock'] ?? 'off') === 'on' && ! $isTagged ? ['clientTransferProhibited'] : []];
        if (
            $ends !== null &&
            $ends <= $now->epoch &&
            ! $isTagged &&
            $suffix !== 'de' &&
            array_intersect($statuses, ['redemptionPeriod', 'pendingDelete']) === []
        ) {
            // Renewed by the registry itself, which its registrar may still take back.
            $updated = $ends;
            $ends = Instant::second($ends)->plusYears(1)->epoch;
            $statuses[] = 'autoRenewPeriod';
        }
        // From then on its registry counts the days of what comes after.
        $updated ??= match (true) {
            in_array('redemptionPeriod', $statuses, true) => $now->plusDays(-10)->epoch,
            in_array('pendingDelete', $statuses, true) => $now->plusDays(-2)->epoch,
            default => Instant::of($one['moved'] ?? '2026-09-01')->epoch,
        };
        $record = [
            'name' => $name->ascii,
            'registrar' => $shop === 'pellbridge' ? 'anchorage' : $shop,
            'reseller' => $shop === 'pellbridge' ? 'Pellbridge' : null,
            'created' => Instant::of($one['created'])->epoch,
            'ends' => $ends ?? ($suffix === 'de' ? null : Instant::of($one['created'])->plusYears(5)->epoch),
            'updated' => $updated,
            'moved' => isset($one['moved']) ? Instant::of($one['moved'])->epoch : null,
            'statuses' => $statuses,
            'servers' => self::servers($one['client']),
            'ds' => [],
            'holder' => self::holder($one['client'], $one['registrant'] ?? $client['name'], $one['mailbox'] ?? $client['mailbox']),
            'shown' => ['organisation'],
            'validated' => $isTagged ? true : null,
            'autoRenew' => $one['intent'] === 'by_itself',
            'due' => null,
            'account' => (string) $one['account'],
        ];

        return [...$record, ...self::otherwise($record)[$name->ascii] ?? []];
    }

    /**
     * What happened outside that the house has not recorded.
     *
     * @param  array{statuses: list<string>}  $record
     * @return array<string, array<string, mixed>> by name
     */
    private static function otherwise(array $record): array
    {
        return [
            // Renewed at the registrar for three years, and nobody wrote it down.
            'sound-choirs.org' => ['ends' => Instant::of('2030-02-20')->epoch],
            // Its servers were changed last night, by nobody here.
            'bellfounders.net' => [
                'servers' => ['ns1.farshore.example', 'ns2.farshore.example'],
                'updated' => Instant::of('2026-10-05T22:41:07Z')->epoch,
            ],
            // It went to another registrar.
            'peal-records.co.uk' => [
                'registrar' => 'farshore',
                'reseller' => null,
                'updated' => Instant::of('2026-10-04T15:20:00Z')->epoch,
            ],
            // It was to renew by itself, and there was nothing to pay it with.
            'sea-shanty.org' => ['autoRenew' => false],
            // Its client is asked, and its registrar would renew it before they say.
            'dark-sky-week.org' => ['autoRenew' => true],
            'kelp-recipes.co.uk' => ['validated' => false],
            'tramway-museum.org' => ['statuses' => []],
            'kelp-farm-shop.com' => ['statuses' => [...$record['statuses'], 'serverHold', 'serverTransferProhibited']],
            'marrow-slipway.com' => [
                'statuses' => ['pendingTransfer'],
                'transfer' => [
                    'to' => 'farshore',
                    'asked' => Instant::of('2026-10-05T16:12:30Z')->epoch,
                    'by' => Instant::of('2026-10-10T16:12:30Z')->epoch,
                ],
            ],
        ];
    }

    /** @return list<array{string, string, string}> names of others that are watched: name, client, why */
    public static function watched(): array
    {
        return [
            ['sound-kelp.com', 'kelp', 'wanted, should its holder let it go'],
            ['wickerby-bells.net', 'foundry', 'looks like the foundry’s own'],
        ];
    }

    /** @return list<array<string, mixed>> names of others, which a client may ask about */
    private static function strangers(Instant $now): array
    {
        $holder = [
            'handle' => 'FS-2210',
            'name' => 'Ansel Rooke',
            'organisation' => 'Rooke & Daughters',
            'street' => '7 Gansey Row',
            'town' => 'Farshore',
            'region' => 'Outer Sound',
            'postcode' => 'FS1 2AB',
            'country' => 'GB',
            'voice' => '+44.1632960355',
            'mailbox' => 'ansel@rooke.example',
        ];
        $stranger = fn (string $name, string $created, string $ends, array $shown): array => [
            'name' => $name,
            'registrar' => 'farshore',
            'reseller' => null,
            'created' => Instant::of($created)->epoch,
            'ends' => Instant::of($ends)->epoch,
            'updated' => Instant::of('2026-03-03')->epoch,
            'moved' => null,
            'statuses' => ['clientTransferProhibited', 'clientDeleteProhibited'],
            'servers' => ['ns1.farshore.example', 'ns2.farshore.example'],
            'ds' => [],
            'holder' => $holder,
            'shown' => $shown,
            'validated' => null,
            'autoRenew' => true,
            'due' => null,
        ];

        return [
            $stranger('wickerby-bells.net', '2021-03-03', '2027-03-03', ['organisation']),
            $stranger('sound-kelp.com', '2019-11-11', '2026-11-11', ['organisation', 'mailbox']),
        ];
    }

    /** @return array<string, string> */
    private static function holder(string $client, string $organisation, string $mailbox): array
    {
        [$person, $street, $town, $postcode, $country, $voice, $kind] = House::contacts()[$organisation];

        return [
            'handle' => 'WS-'.str_pad((string) ((abs(crc32($client)) % 9000) + 1000), 4, '0'),
            'name' => $person ?? '',
            'organisation' => $kind === 'person' ? '' : $organisation,
            'street' => implode(', ', $street),
            'town' => $town,
            'region' => 'North Sound',
            'postcode' => $postcode ?? '',
            'country' => $country,
            'voice' => Phone::of($voice)->epp(),
            'mailbox' => $mailbox,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function accounts(): array
    {
        return array_values(
            array_map(
                fn (array $account): array => [
                    'number' => $account[1],
                    'registrar' => $account[0] === 'pellbridge' ? 'anchorage' : $account[0],
                    'login' => (string) $account[2],
                    'mailbox' => (string) $account[3],
                    'password' => self::password($account[1]),
                    // Too little for what is charged there six days later.
                    'balance' => $account[1] === '40718' ? 10_40 : 250_00,
                    'handle' => (string) $account[4],
                ],
                House::accounts(),
            ),
        );
    }

    /** @return list<array{address: string, habit: string, to?: string, password?: string}> those with a habit of their own */
    private static function mailboxes(): array
    {
        return [
            ['address' => 'returns@harrow-tern.example', 'habit' => 'reads', 'password' => 'what comes back'],
            ['address' => 'tide@kelp-post.example', 'habit' => 'bounces'],
            ['address' => 'tickets@quayside-stage.example', 'habit' => 'bounces'],
            ['address' => 'notes@soundchoirs.example', 'habit' => 'forwards', 'to' => 'secretary@soundchoirs.example'],
            ['address' => 'slip@marrow-yard.example', 'habit' => 'forwards', 'to' => 'marrow@wherry-mail.example'],
            ['address' => 'trust@gannet-head.example', 'habit' => 'is never read'],
            ['address' => 'box@quayside-stage.example', 'habit' => 'greylists'],
        ];
    }

    /** With which the demo's house signs in at a gate; made up, and good for the simulated world alone. */
    public static function password(string $account): string
    {
        return 'gate-'.substr(hash('sha256', $account), 0, 10);
    }

    /** @return array{host: string, addresses: list<string>} */
    private static function host(string $host, string $address): array
    {
        return ['host' => $host, 'addresses' => [$address]];
    }
}
