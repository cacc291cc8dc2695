<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Lifecycle\Status;
use Acre\Core\Name\DomainName;
use App\Outside\Directory\Directory;
use App\Outside\World;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/**
 * The simulated world asked by programs of others: `dig` (BIND), dnspython, `whois`, curl and `Net::EPP`. Our client against our
 * stand-in alone would prove nothing.
 */
final class WorldReferenceTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $text = str_repeat('long enough not to fit into five hundred octets, ', 16);
        (new World(...self::page()))->add([
            'moods' => [],
            'hosts' => [
                ['host' => 'ns1.dig-host.example', 'addresses' => ['192.0.2.151']],
                ['host' => 'ns2.dig-host.example', 'addresses' => ['198.51.100.151']],
                ['host' => 'ns1.dig-trial.com', 'addresses' => ['203.0.113.151']],
            ],
            'zones' => [
                [
                    'zone' => 'dig-trial.com',
                    'records' => json_encode([
                        'serial' => 2026100699,
                        'records' => [
                            ['name' => 'dig-trial.com', 'type' => 'A', 'data' => '192.0.2.80'],
                            ['name' => 'www.dig-trial.com', 'type' => 'CNAME', 'data' => 'web.dig-trial.com'],
                            ['name' => 'web.dig-trial.com', 'type' => 'A', 'data' => '192.0.2.81'],
                            ['name' => '*.wild.dig-trial.com', 'type' => 'A', 'data' => '192.0.2.82'],
                            ['name' => 'long.dig-trial.com', 'type' => 'TXT', 'data' => $text],
                            ['name' => 'dig-trial.com', 'type' => 'MX', 'data' => '10 mail.dig-host.example'],
                            ['name' => 'mute.dig-trial.com', 'type' => 'MX', 'data' => '0 .'],
                        ],
                    ]),
                ],
            ],
            'names' => array_map(
                fn (string $name): array => [
                    'name' => $name,
                    'registrar' => 'skerry',
                    'created' => 1_600_000_000,
                    'ends' => 1_900_000_000,
                    'updated' => 1_600_000_000,
                    'statuses' => ['clientTransferProhibited'],
                    'servers' => $name === 'dig-trial.com'
                            ? ['ns1.dig-host.example', 'ns1.dig-trial.com']
                            : ['ns1.dig-host.example', 'ns2.dig-host.example'],
                    'ds' => [['tag' => 60485, 'algorithm' => 5, 'type' => 1, 'digest' => '2BB183AF5F22588179A53B0A98631FAD1A292118']],
                    'shown' => [],
                    'holder' => ['handle' => 'D-1', 'name' => 'The Secretary'],
                    'autoRenew' => true,
                    'due' => 4_000_000_000,
                ],
                ['dig-trial.com', 'dig-trial.de', 'xn--glocken-trial-gfb.com'],
            ),
        ]);
    }

    /** @param  list<string>  $command */
    private static function run_(array $command): string
    {
        $process = new Process($command, null, ['LC_ALL' => 'C.UTF-8'], null, 30);
        $process->run();

        return $process->getOutput().$process->getErrorOutput();
    }

    private static function dig(string $address, string ...$asked): string
    {
        return self::run_([
            'dig',
            "@{$address}",
            '-p',
            (string) config()->integer('outside.dns.port'),
            '+tries=1',
            '+time=3',
            '+norecurse',
            ...array_values($asked),
        ]);
    }

    /** @return iterable<string, array{string, list<string>, list<string>}> */
    public static function questions(): iterable
    {
        yield 'the root refers downwards, with glue' => [
            '127.53.0.1',
            ['dig-trial.com', 'NS'],
            ['status: NOERROR', 'com.			172800	IN	NS	a.harbour-registry.example.', 'a.harbour-registry.example. 86400 IN	A	192.0.2.11'],
        ];
        yield 'the registry refers to the name, with glue only inside it' => [
            '127.53.0.11',
            ['www.dig-trial.com', 'A'],
            ['AUTHORITY: 2', 'dig-trial.com.		172800	IN	NS	ns1.dig-host.example.', 'ns1.dig-trial.com.	86400	IN	A	203.0.113.151'],
        ];
        yield 'the registry has the DS' => [
            '127.53.0.11',
            ['dig-trial.com', 'DS'],
            ['flags: qr aa', '60485 5 1 2BB183AF5F22588179A53B0A98631FAD1A292118'],
        ];
        yield 'no such name' => ['127.53.0.11', ['nobody-has-this.com', 'NS'], ['status: NXDOMAIN', 'SOA']];
        yield 'the name answers with authority' => ['127.53.0.151', ['dig-trial.com', 'SOA'], ['flags: qr aa', '2026100699']];
        yield 'an alias is followed inside the zone' => [
            '127.53.0.151',
            ['www.dig-trial.com', 'A'],
            ['www.dig-trial.com.	3600	IN	CNAME	web.dig-trial.com.', '192.0.2.81'],
        ];
        yield 'a wildcard' => ['127.53.0.151', ['any.wild.dig-trial.com', 'A'], ['any.wild.dig-trial.com.	3600	IN	A	192.0.2.82']];
        yield 'nothing of that type' => ['127.53.0.151', ['web.dig-trial.com', 'TXT'], ['status: NOERROR', 'ANSWER: 0', 'SOA']];
        yield 'nothing of that name' => ['127.53.0.151', ['none.dig-trial.com', 'A'], ['status: NXDOMAIN', 'SOA']];
        yield 'not its zone' => ['127.53.0.151', ['other.org', 'A'], ['status: REFUSED']];
        yield 'too long for UDP, asked again over TCP' => [
            '127.53.0.151',
            ['+noedns', 'long.dig-trial.com', 'TXT'],
            [';; Truncated, retrying in TCP mode.', 'long enough not to fit'],
        ];
        yield 'with EDNS it fits' => [
            '127.53.0.151',
            ['+bufsize=4096', '+notcp', '+ignore', 'long.dig-trial.com', 'TXT'],
            ['EDNS: version: 0', 'ANSWER: 1'],
        ];
        yield 'over TCP' => ['127.53.0.151', ['+tcp', 'dig-trial.com', 'MX'], ['10 mail.dig-host.example.']];
        yield 'a null MX (RFC 7505)' => [
            '127.53.0.151',
            ['mute.dig-trial.com', 'MX'],
            ['status: NOERROR', 'mute.dig-trial.com.	3600	IN	MX	0 .'],
        ];
        yield 'what is no question' => ['127.53.0.151', ['+opcode=notify', 'dig-trial.com', 'SOA'], ['status: NOTIMP']];
    }

    /**
     * @param  list<string>  $asked
     * @param  list<string>  $wanted
     */
    #[DataProvider('questions')]
    public function test_dig_reads_the_answers(string $address, array $asked, array $wanted): void
    {
        $answer = (string) preg_replace('/[\t ]+/', ' ', self::dig($address, ...$asked));
        foreach ($wanted as $line) {
            self::assertStringContainsString((string) preg_replace('/[\t ]+/', ' ', $line), $answer);
        }
    }

    /** kdig, of another family of name servers. */
    public function test_kdig_reads_the_answers(): void
    {
        $kdig = fn (string $address, string ...$asked): string => (string) preg_replace(
            '/[\t ]+/',
            ' ',
            self::run_([
                'kdig',
                "@{$address}",
                '-p',
                (string) config()->integer('outside.dns.port'),
                '+timeout=3',
                '+retry=0',
                ...array_values($asked),
            ]),
        );
        self::assertStringContainsString(
            'IN DS 60485 5 1 2BB183AF5F22588179A53B0A98631FAD1A292118',
            $kdig('127.53.0.11', 'dig-trial.com', 'DS'),
        );
        $none = $kdig('127.53.0.11', 'nobody-has-this.com', 'NS');
        self::assertStringContainsString('status: NXDOMAIN', $none);
        self::assertStringContainsString('IN SOA', $none);
        $long = $kdig('127.53.0.151', 'long.dig-trial.com', 'TXT');
        self::assertStringContainsString('(TCP)', $long, 'cut short over UDP, it is asked again');
        self::assertStringContainsString('long enough not to fit', $long);
        self::assertStringContainsString('EDNS', $kdig('127.53.0.151', '+edns', 'dig-trial.com', 'SOA'));
    }

    /** delv, which trusts nothing that is not signed, takes the answers as what they are: unsigned, and well formed. */
    public function test_delv_reads_the_answers(): void
    {
        $delv = fn (string ...$asked): string => (string) preg_replace(
            '/[\t ]+/',
            ' ',
            self::run_(['delv', '@127.53.0.151', '-p', (string) config()->integer('outside.dns.port'), '-i', ...array_values($asked)]),
        );
        self::assertStringContainsString('www.dig-trial.com. 3600 IN CNAME web.dig-trial.com.', $delv('www.dig-trial.com', 'A'));
        self::assertStringContainsString('any.wild.dig-trial.com. 3600 IN A 192.0.2.82', $delv('any.wild.dig-trial.com', 'A'));
        self::assertStringContainsString('negative response', $delv('web.dig-trial.com', 'TXT').$delv('none.dig-trial.com', 'A'));
    }

    /** An RDAP client by others reads of every name what we read. */
    public function test_an_rdap_client_of_others_reads_what_we_read(): void
    {
        $at = config()->array('outside.hosts')['bootstrap.example'] ?? '';
        self::assertIsString($at);
        $names = ['dig-trial.com', 'xn--glocken-trial-gfb.com', 'nobody-has-this.com'];
        $process = new Process(
            ['node', 'tests/Reference/rdapper.mjs', (string) preg_replace('/^.*:/', '', $at), ...$names],
            base_path(),
            ['AUTHORITY' => config()->string('outside.authority')],
            null,
            60,
        );
        $process->mustRun();
        $lines = array_map(fn (string $line): mixed => json_decode($line, true), explode("\n", trim($process->getOutput())));
        self::assertCount(3, $lines);
        foreach ($names as $place => $ascii) {
            $theirs = $lines[$place];
            self::assertIsArray($theirs);
            $record = (app(Directory::class)->ask(DomainName::of($ascii))[0] ?? null)?->record;
            self::assertSame($theirs['isRegistered'], $record !== null, $ascii);
            if ($record === null) {
                continue;
            }
            self::assertSame(
                [$theirs['domain'], $theirs['registrar'], $theirs['created'], $theirs['ends'], $theirs['transferLock'], $theirs['servers']],
                [
                    DomainName::of($ascii)->unicode,
                    $record->registrar,
                    $record->created?->isoSecond(),
                    $record->ends?->isoSecond(),
                    $record->has(Status::ClientTransferProhibited),
                    $record->servers,
                ],
            );
        }
    }

    public function test_a_library_in_another_language_walks_down_from_the_root(): void
    {
        $port = config()->integer('outside.dns.port');
        $answer = self::run_([
            '/usr/bin/python3',
            '-c',
            <<<PY
            import dns.message, dns.query
            here = lambda a: a.replace('192.0.2.', '127.53.0.').replace('198.51.100.', '127.53.1.').replace('203.0.113.', '127.53.2.')
            at, steps = '192.0.2.1', 0
            while steps < 5:
                steps += 1
                r = dns.query.udp(dns.message.make_query('web.dig-trial.com', 'A', use_edns=0), here(at), port={$port}, timeout=3)
                if r.answer:
                    print('answer', r.answer[0][0].address, 'steps', steps)
                    break
                at = [rr[0].address for rr in r.additional if rr.rdtype == 1][0]
            PY
            ,
        ]);
        self::assertSame("answer 192.0.2.81 steps 3\n", $answer);
    }

    public function test_a_whois_client_reads_the_old_kind(): void
    {
        $port = (string) preg_replace('/^.*:/', '', (string) json_encode(config()->array('outside.hosts')['text.lode.example'] ?? ''));
        $answer = self::run_(['whois', '-h', '127.0.0.1', '-p', trim($port, '"'), 'dig-trial.de']);
        self::assertStringContainsString("Domain: dig-trial.de\n", str_replace("\r", '', $answer));
        self::assertStringContainsString('Nserver: ns2.dig-host.example', $answer);
        self::assertStringContainsString(
            'Status: free',
            self::run_(['whois', '-h', '127.0.0.1', '-p', trim($port, '"'), 'nobody-has-this.de']),
        );
    }

    /** curl verifies the certificate of the world's own authority, and no other. */
    public function test_the_directory_answers_over_tls_that_others_can_verify(): void
    {
        $at = config()->array('outside.hosts')['rdap.harbour-registry.example'] ?? '';
        self::assertIsString($at);
        $curl = fn (string ...$more): string => self::run_([
            'curl',
            '-s',
            '-i',
            '--connect-to',
            "rdap.harbour-registry.example:443:{$at}",
            ...array_values($more),
            'https://rdap.harbour-registry.example/domain/dig-trial.com',
        ]);
        $answer = $curl('--cacert', config()->string('outside.authority'));
        self::assertStringContainsString('HTTP/1.1 200', $answer);
        self::assertStringContainsString('Content-Type: application/rdap+json', $answer);
        self::assertStringContainsString('"client transfer prohibited"', $answer);
        self::assertSame('', $curl());
    }

    /** `Net::EPP`: logs in over TLS that it verifies, and reads what the gate answers. */
    public function test_an_epp_client_of_others_talks_to_the_gate(): void
    {
        (new World(...self::page()))->add([
            'names' => [],
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'accounts' => [
                [
                    'number' => 'PERL-1',
                    'registrar' => 'skerry',
                    'login' => 'perl-client',
                    'mailbox' => 'a@b.example',
                    'password' => 'two-guillemots',
                    'balance' => 10_000,
                ],
            ],
        ]);
        (new World(...self::page()))->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [
                [
                    'name' => 'perl-trial.com',
                    'registrar' => 'skerry',
                    'created' => 1_600_000_000,
                    'ends' => (int) strtotime('2027-10-19T00:00:00Z'),
                    'updated' => 1_600_000_000,
                    'statuses' => ['clientTransferProhibited'],
                    'servers' => ['ns1.dig-host.example'],
                    'shown' => [],
                    'holder' => [
                        'handle' => 'PT-1',
                        'name' => 'The Secretary',
                        'organisation' => 'Bell Foundry',
                        'street' => '4 Tenter Lane',
                        'town' => 'Wickerby Sound',
                        'region' => 'North Sound',
                        'postcode' => 'WS1 4AB',
                        'country' => 'GB',
                        'voice' => '+44.1632960114',
                        'mailbox' => 'ledger@bells.example',
                    ],
                    'autoRenew' => true,
                    'account' => 'PERL-1',
                    'due' => 4_000_000_000,
                ],
            ],
        ]);
        $port = (string) preg_replace('/^.*:/', '', (string) json_encode(config()->array('outside.hosts')['epp.skerry.example'] ?? ''));
        $script = <<<'PERL'
        use Net::EPP::Simple;
        my $epp = Net::EPP::Simple->new(
            host => '127.0.0.1',
            port => $ARGV[0],
            user => 'PERL-1',
            pass => 'two-guillemots',
            verify => 1,
            ca_file => $ARGV[1],
            timeout => 5,
            reconnect => 0,
        ) or die "$Net::EPP::Simple::Error";
        print "login $Net::EPP::Simple::Code\n";
        print "check ", $epp->check_domain('perl-trial.com'), $epp->check_domain('perl-free.com'), "\n";
        my $d = $epp->domain_info('perl-trial.com');
        print join(' ', $d->{exDate}, $d->{clID}, @{$d->{status}}, @{$d->{ns}}, $d->{registrant}), "\n";
        my $c = $epp->contact_info('PT-1');
        print join(' ', $c->{email}, $c->{voice}, $c->{postalInfo}->{loc}->{org}), "\n";
        print "none ", defined($epp->domain_info('perl-free.com')) ? 'found' : $Net::EPP::Simple::Code, "\n";
        for (1, 2) { $epp->renew_domain(
            {name => 'perl-trial.com', cur_exp_date => '2027-10-19', period => 1},
        ); print "renew $Net::EPP::Simple::Code\n"; }
        $epp->logout;
        PERL;
        $answer = self::run_(['perl', '-e', $script, trim($port, '"'), config()->string('outside.authority')]);
        self::assertSame(
            implode("\n", [
                'login 1000',
                'check 01',
                '2027-10-19T00:00:00.0Z PERL-1 clientTransferProhibited ns1.dig-host.example PT-1',
                'ledger@bells.example +44.1632960114 Bell Foundry',
                'none 2303',
                'renew 1000',
                'renew 2004',
                '',
            ]),
            $answer,
        );
    }

    /** @return array{string, string} address and key of the world's page */
    private static function page(): array
    {
        $page = config('outside.world');
        self::assertIsArray($page);
        self::assertIsString($page['page'] ?? null);
        self::assertIsString($page['key'] ?? null);

        return [$page['page'], $page['key']];
    }
}
