<?php

declare(strict_types=1);

namespace App\Console;

use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Hosting\Place;
use Acre\Core\Hosting\PlaceKind;
use Acre\Core\Hosting\Site;
use Acre\Core\Hosting\SiteJudged;
use Acre\Core\Hosting\SiteSeen;
use Acre\Core\Name\DomainName;
use Acre\Core\Record\Source;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Acre\Core\Zone\Comparison;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\ZoneCopy;
use Acre\Wire\Dns\MasterFile;
use Acre\Wire\Dns\Name as DnsName;
use Acre\Wire\Epp\Command\DomainChange;
use Acre\Wire\Epp\Command\DomainInfo;
use Acre\Wire\Epp\Command\DomainUpdate;
use Acre\Wire\Epp\Command\Poll;
use Acre\Wire\Epp\EppFrame;
use Acre\Wire\Epp\EppFraming;
use Acre\Wire\Rdap\RdapAnswer;
use Acre\Wire\Rdap\RdapDomain;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Handover\HandOverNames;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Orders\ReceiveMessages;
use App\Actions\Orders\SendOrders;
use App\Actions\Standings\MakeStandings;
use App\Models\Account;
use App\Models\Client;
use App\Models\Docket;
use App\Models\Holding;
use App\Models\Name;
use App\Models\Registrar;
use App\Models\Registration;
use App\Models\Secret;
use App\Models\User;
use App\Outside\Directory\Directory;
use App\Outside\Directory\RecordOfRdap;
use App\Outside\Dns\ChangeWanted;
use App\Outside\Dns\Dns;
use App\Outside\Dns\ZoneWanted;
use App\Outside\Reach\Hosts;
use App\Outside\Reach\TlsSocket;
use App\Outside\Registrar\Gate;
use App\Outside\Registrar\GatePin;
use App\Outside\Registrar\Gates;
use App\Outside\World;
use App\Support\TradeClock;
use Generator;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use RuntimeException;
use Symfony\Component\Process\Process;

/** Measures asking and telling the outside, against the simulated world; part of `./acre bench`. */
final class BenchOutside extends Command
{
    /** Whom the world's certificate names. */
    private const HOST = 'epp.skerry.example';

    private const NAMES = 1_000;

    /** Times that an answer is read, and turns of each command. */
    private const RUNS = 2_000;

    /** Times that each name is judged wholly, in one run. */
    private const ROUNDS = 100;

    private const HOSTS = 25_000;

    private const COMPARED = 10_000;

    protected $signature = 'acre:bench-outside';

    protected $description = 'Measure directories, name servers and the gate on a temporary database';

    public function handle(World $world, Directory $directory, Dns $dns, TradeClock $clock, MakeStandings $standings): int
    {
        Queue::fake();
        $account = $this->account($world);
        $names = $this->names($world, $account, $standings);
        $rows = [
            $this->parsing($directory),
            $this->zoneFile(),
            $this->comparison(),
            $this->delegations($dns, $names),
            $this->wholly($dns, $names, $clock->now()),
            $this->changes($dns, $names),
            ...$this->commands($account, $names),
        ];
        $this->table(['outside', 'measured', 'wanted'], $rows);
        $this->handovers($world, $account, $names, $clock->now());

        return self::SUCCESS;
    }

    private function account(World $world): Account
    {
        $registrar = Registrar::query()->where('link', 'wire')->firstOrFail();
        $secret = Secret::query()->create(['kind' => 'gate_password', 'about' => 'the bench', 'value' => 'oystercatchers']);
        $accounts = array_map(
            fn (string $number): Account => Account::query()->create([
                'registrar_id' => $registrar->id,
                'number' => $number,
                'login' => "login-{$number}",
                'access' => 'ours',
                'proven_at' => Instant::of('2026-01-01'),
            ]),
            ['BENCH-G', 'BENCH-R'],
        );
        $accounts[0]->update(['gate_secret_id' => $secret->id, 'gate_for' => GatePin::of($accounts[0]->registrar)]);
        $world->add([
            'names' => [],
            'moods' => [],
            'zones' => [],
            'hosts' => [],
            'accounts' => array_map(
                fn (Account $one): array => [
                    'number' => $one->number,
                    'registrar' => 'skerry',
                    'login' => (string) $one->login,
                    'mailbox' => 'a@b.example',
                    'password' => 'oystercatchers',
                    'balance' => 0,
                ],
                $accounts,
            ),
        ]);

        return $accounts[0];
    }

    /** @return list<Name> */
    private function names(World $world, Account $account, MakeStandings $standings): array
    {
        $client = Client::query()->firstOrFail();
        $names = [];
        $told = [];
        for ($one = 1; $one <= self::NAMES; $one++) {
            $name = Name::query()->create(['ascii' => "bench-wire-{$one}.com", 'unicode' => "bench-wire-{$one}.com", 'suffix' => 'com']);
            $registration = Registration::query()->create([
                'name_id' => $name->id,
                'span' => Span::since(Instant::of('2020-11-02')),
                'created_on' => Instant::of('2020-11-02'),
                'ends_on' => Instant::of('2027-11-02'),
                'lock' => 'off',
            ]);
            Holding::query()->create([
                'name_id' => $name->id,
                'registration_id' => $registration->id,
                'account_id' => $account->id,
                'client_id' => $client->id,
                'span' => Span::since(Instant::of('2024-01-01')),
            ]);
            $names[] = $name;
            $told[] = [
                'name' => $name->ascii,
                'registrar' => 'skerry',
                'created' => 1_604_275_200,
                'ends' => 1_825_113_600,
                'updated' => 0,
                'statuses' => [],
                'servers' => ['ns1.sound-hosting.example', 'ns2.sound-hosting.example'],
                'shown' => [],
                'holder' => ['handle' => 'BN-1', 'organisation' => 'Bench'],
                'autoRenew' => true,
                'account' => $account->number,
                'due' => 4_000_000_000,
            ];
        }
        $standings->of(array_map(fn (Name $name): int => $name->id, $names));
        $zones = array_map(fn (Name $name): array => [
            'zone' => $name->ascii,
            'records' => json_encode(['records' => [
                ['name' => $name->ascii, 'type' => 'A', 'data' => '192.0.2.80'],
                ['name' => "*.{$name->ascii}", 'type' => 'A', 'data' => '192.0.2.80'],
            ]], JSON_THROW_ON_ERROR),
        ], $names);
        $world->add(['hosts' => [], 'moods' => [], 'zones' => $zones, 'accounts' => [], 'names' => $told]);

        return $names;
    }

    /** @return list<string> */
    private function parsing(Directory $directory): array
    {
        $raw = $directory->ask(DomainName::of('harrow-tern.com'))[0]->raw ?? throw new RuntimeException('The directory did not answer.');
        $start = hrtime(true);
        for ($run = 0; $run < self::RUNS; $run++) {
            $answer = RdapAnswer::read($raw, 'harrow-tern.com');
            if ($answer instanceof RdapDomain) {
                RecordOfRdap::read($answer, Source::Registry);
            }
        }

        return ['answers of a directory read', number_format((self::RUNS / (hrtime(true) - $start)) * 1e9).' a second', '2,000'];
    }

    /** @return list<string> */
    private function zoneFile(): array
    {
        $text = "\$TTL 3600\n@ SOA ns1 staff 1 7200 3600 1209600 300\n";
        for ($host = 0; $host < self::HOSTS; $host++) {
            $text .= "h{$host} A 192.0.2.1\nw{$host} 300 IN CNAME h{$host}\nh{$host} MX 10 mail\nh{$host} TXT \"v=spf1 mx -all\"\n";
        }
        $start = hrtime(true);
        $file = MasterFile::read($text, DnsName::of('bench.example'));
        $rate = (count($file->records) / (hrtime(true) - $start)) * 1e9;

        return ['records of a zone file read', number_format($rate).' a second', '150,000'];
    }

    /** @return list<string> */
    private function comparison(): array
    {
        $entries = [];
        for ($host = 0; $host < self::COMPARED; $host++) {
            $entries[] = new Entry("h{$host}.bench.example", 'A', 3_600, '192.0.2.'.($host % 250));
        }
        $start = hrtime(true);
        $same = Comparison::of(ZoneCopy::of('bench.example', $entries), ZoneCopy::of('bench.example', array_reverse($entries)))->same;
        $seconds = (hrtime(true) - $start) / 1e9;

        return [sprintf('two zones of %s records compared', number_format($same)), sprintf('%.2f s', $seconds), '1 s'];
    }

    /**
     * Delegation, DNSSEC, and what present and other servers have of it.
     *
     * @param  list<Name>  $names
     * @return list<string>
     */
    private function changes(Dns $dns, array $names): array
    {
        $none = ServerSet::of([]);
        $to = ServerSet::ofHosts(['ns1.sound-hosting.example', 'ns2.sound-hosting.example']);
        $wanted = array_map(
            fn (Name $name): ChangeWanted => new ChangeWanted(new ZoneWanted(DomainName::of($name->ascii), $none), $to),
            $names,
        );
        $read = 0;
        $start = hrtime(true);
        $dns->changes($wanted, function (ChangeWanted $one, ChangeSeen $seen) use (&$read): void {
            $read += $seen->before === null ? 0 : 1;
        });

        return [
            sprintf('changes of name servers judged, %s of %s read', number_format($read), number_format(count($wanted))),
            number_format((count($wanted) / (hrtime(true) - $start)) * 1e9).' a second',
            '',
        ];
    }

    /**
     * @param  list<Name>  $names
     * @return list<string>
     */
    private function delegations(Dns $dns, array $names): array
    {
        $asked = [];
        foreach ([1, 2, 3] as $round) {
            array_push($asked, ...array_map(fn (Name $name): DomainName => DomainName::of($name->ascii), $names));
        }
        $seen = 0;
        $before = memory_get_peak_usage();
        $start = hrtime(true);
        $dns->delegations($asked, function (DelegationSeen $one) use (&$seen): void {
            $seen += $one->answers() ? 1 : 0;
        });

        return [
            sprintf(
                'delegations and DNSSEC checked, %s of %s answering, %.0f MB more',
                number_format($seen),
                number_format(count($asked)),
                (memory_get_peak_usage() - $before) / 1e6,
            ),
            number_format((count($asked) / (hrtime(true) - $start)) * 1e9).' a second',
            '2,000',
        ];
    }

    /**
     * A hundred thousand names in one run: delegation, DNSSEC, and whether pages are at their place.
     *
     * @param  list<Name>  $names
     * @return list<string>
     */
    private function wholly(Dns $dns, array $names, Instant $now): array
    {
        $place = Place::of('the bench', '', PlaceKind::Pages, ['192.0.2.80'], null);
        $each = function () use ($names): Generator {
            for ($round = 0; $round < self::ROUNDS; $round++) {
                foreach ($names as $name) {
                    yield $round => $name->ascii;
                }
            }
        };
        $judged = $there = 0;
        $before = memory_get_peak_usage();
        $start = hrtime(true);
        $dns->delegations(
            (function () use ($each): Generator {
                foreach ($each() as $ascii) {
                    yield DomainName::of($ascii);
                }
            })(),
            function (DelegationSeen $one) use (&$judged, $now): void {
                $one->findings($now);
                $judged += $one->answers() ? 1 : 0;
            },
        );
        $dns->addresses(
            (function () use ($each): Generator {
                foreach ($each() as $round => $ascii) {
                    yield "bench-{$round}.{$ascii}";
                }
            })(),
            function (string $host, array $addresses) use (&$there, $place, $now): void {
                $site = new Site($host, '', $place, null);
                $seen = new SiteSeen(array_values(array_filter($addresses, is_string(...))), null, null, null, null, $now);
                $there += SiteJudged::of($site, $seen, [], null)->findings($now) === [] ? 1 : 0;
            },
        );
        $count = count($names) * self::ROUNDS;

        return [
            sprintf(
                'whole judgements, %s in one run: %s answering, %s at their place, %.0f MB more',
                number_format($count),
                number_format($judged),
                number_format($there),
                (memory_get_peak_usage() - $before) / 1e6,
            ),
            number_format(($count / (hrtime(true) - $start)) * 1e9).' a second',
            '300',
        ];
    }

    /**
     * A command against a bare echo, and of that our side alone: at a gate whose answers stand ready.
     *
     * @param  list<Name>  $names
     * @return list<list<string>>
     */
    private function commands(Account $account, array $names): array
    {
        $gate = app(Gates::class)->of($account->load('registrar'));
        $ask = fn (int $run): DomainInfo => new DomainInfo($names[$run % count($names)]->ascii);
        $frame = EppFraming::pack(EppFrame::command($ask(0), 'bench-00001'));
        [$echo, $port] = $this->echo();
        $socket = TlsSocket::open($this->at($port), self::HOST, $port, config()->string('outside.authority'), 5);
        $framing = new EppFraming();
        [$ready, $readyPort] = $this->echo('ready');
        $idle = Gate::open($this->at($readyPort), self::HOST, $readyPort, config()->string('outside.authority'), 5, 'bench', 'bench');
        $lock = new DomainChange(statuses: ['clientTransferProhibited']);
        // In turns, so that all of them have the machine alike.
        [$bare, $ours, $asked, $polled, $changed] = $this->medians(
            function () use ($socket, $frame, $framing): void {
                fwrite($socket, $frame);
                while ($framing->feed((string) fread($socket, 65_536)) === []) {
                    // More is to come.
                }
            },
            fn (int $run) => $idle->command($ask($run), "bench-{$run}"),
            fn (int $run) => $gate->command($ask($run), "bench-{$run}"),
            fn (int $run) => $gate->command(Poll::next(), "bench-{$run}"),
            fn (int $run) => $gate->command(
                $run % 2 === 0 ? new DomainUpdate($names[0]->ascii, add: $lock) : new DomainUpdate($names[0]->ascii, remove: $lock),
                "bench-{$run}",
            ),
            // A change is recorded after its answer: whoever comes next waits for that, and it isn't to be the echo.
            fn (int $run) => $gate->command(Poll::next(), "bench-{$run}-after"),
        );
        $echo->stop();
        $ready->stop();
        $row = fn (string $what, float $took, string $wanted = ''): array => [
            $what,
            sprintf('%.2f ms, %.2f ms: %.1f×', $took, $bare, $took / $bare),
            $wanted,
        ];

        return [
            $row('a command of EPP against a bare echo: a name asked about', $asked, '3×'),
            $row('of that our side', $ours),
            $row('messages asked for', $polled),
            $row('a name changed', $changed),
        ];
    }

    private function at(int $port): Hosts
    {
        return new Hosts([self::HOST => "127.0.0.1:{$port}"]);
    }

    /** @return array{Process, int} and its port */
    private function echo(string ...$how): array
    {
        $probe = stream_socket_server('tcp://127.0.0.1:0');
        $port = $probe === false ? '0' : (string) preg_replace('/^.*:/', '', (string) stream_socket_get_name($probe, false));
        if ($probe !== false) {
            fclose($probe);
        }
        $process = new Process([PHP_BINARY, base_path('standins/echo.php'), $port, ...$how]);
        $process->start();
        $process->waitUntil(fn (string $type, string $said): bool => str_contains($said, 'ready'));

        return [$process, (int) $port];
    }

    /** @param  list<Name>  $names */
    private function handovers(World $world, Account $account, array $names, Instant $now): void
    {
        $user = User::query()->firstOrFail();
        $receiver = Account::query()->where('number', 'BENCH-R')->firstOrFail();
        $ids = array_map(fn (Name $name): int => $name->id, $names);
        $start = hrtime(true);
        $docket = app(PrepareDocket::class)->handle(
            $user,
            (string) Str::uuid(),
            HandOverNames::key(),
            $ids,
            (new HandoverTermsChosen($receiver->id, null, $now->toDay()->plusDays(14)))->pack(),
            $ids,
        );
        app(SettleDocket::class)->handle($user, $docket);
        app(BeginDocketLines::class)->handle($docket->id);
        $begun = (hrtime(true) - $start) / 1e9;
        $tell = app(SendOrders::class);
        $start = hrtime(true);
        while ($tell->handle($account->id)) {
            // There is more.
        }
        $told = (hrtime(true) - $start) / 1e9;
        foreach ($names as $name) {
            $world->play($name->ascii, 'accepts');
        }
        $start = hrtime(true);
        do {
            app(ReceiveMessages::class)->handle($account->id);
        } while (
            DB::table('docket_lines')->where('docket_id', $docket->id)->where('state', 'begun')->exists() &&
            (hrtime(true) - $start) / 1e9 < 300
        );
        $taken = (hrtime(true) - $start) / 1e9;
        $this->line(
            sprintf(
                '%s handovers by wire: prepared and begun in %.1f s, told in %.1f s, their messages taken and all settled in %.1f s (%.1f '
                    .'s together, 60 wanted); docket %s.',
                number_format(count($names)),
                $begun,
                $told,
                $taken,
                $begun + $told + $taken,
                Docket::query()->findOrFail($docket->id)->state->value,
            ),
        );
    }

    /**
     * @param  callable(int): mixed  ...$does  each in its turn
     * @return list<float> ms
     */
    private function medians(callable ...$does): array
    {
        $times = array_map(fn (): array => [], $does);
        for ($run = 0; $run < self::RUNS; $run++) {
            foreach ($does as $which => $do) {
                $start = hrtime(true);
                $do($run);
                $times[$which][] = (hrtime(true) - $start) / 1e6;
            }
        }

        return array_values(
            array_map(function (array $all): float {
                sort($all);

                return $all[intdiv(self::RUNS, 2)] ?? 0.0;
            }, $times),
        );
    }
}
