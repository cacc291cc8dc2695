<?php

declare(strict_types=1);

namespace App\Console;

use Acre\Core\Planner\Candidate;
use Acre\Core\Planner\Limits;
use Acre\Core\Planner\Planner;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Transfer\Approver;
use Acre\Core\Transfer\CodeKnown;
use Acre\Core\Transfer\Gaining;
use Acre\Core\Transfer\Losing;
use Acre\Core\Transfer\ServersKnown;
use Acre\Core\Transfer\Transfer;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Handover\HandOverNames;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Imports\ReadImport;
use App\Actions\Standings\MakeStandings;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\LineState;
use App\Models\User;
use App\Queries\Almanac\AccountRun;
use App\Queries\Almanac\Asked;
use App\Queries\Almanac\ReadAlmanac;
use App\Queries\Almanac\Scope;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Support\Helper;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use RuntimeException;

/** Measures, in medians of several runs: the Roll's pages as it grows, the core, and making the standings again. */
final class Bench extends Command
{
    private const RUNS = 15;

    /** Each size is asked so often for a page, the others between. */
    private const TURNS = 25;

    private const JIT = ['-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M'];

    private const HANDOVERS = 1_000;

    /** Lines of the list that is brought in. */
    private const LIST = 100_000;

    protected $signature = 'acre:bench {--pages= : the databases whose pages are measured, smallest first} {--list= : only a list of so '
        .'many lines}';

    protected $description = 'Measure the Roll, the core and the standings on a temporary database';

    public function handle(
        TradeClock $clock,
        CaseFiles $files,
        Rulebook $book,
        MakeStandings $standings,
        ReadImport $read,
        PrepareDocket $prepare,
        SettleDocket $settle,
        BeginDocketLines $begin,
        ReadAlmanac $almanac,
    ): int {
        if ($this->option('list') !== null) {
            $this->bringIn($read, (int) $this->option('list'));

            return self::SUCCESS;
        }
        $this->pages();
        $this->core($files, $book, $clock->now());
        $this->migration($clock->now());
        $this->forecast($almanac, $clock->now());
        $this->standings($standings);
        $this->docket($prepare, $settle, $begin, $clock->now());
        $this->bringIn($read, self::LIST);

        return self::SUCCESS;
    }

    /** Every page at every size, the sizes in turns. */
    private function pages(): void
    {
        $asked = [];
        foreach (explode(',', $this->option('pages') ?? '') as $database) {
            $process = proc_open(
                [PHP_BINARY, ...self::JIT, base_path('artisan'), 'acre:bench-pages'],
                [['pipe', 'r'], ['pipe', 'w'], STDERR],
                $pipes,
                null,
                [...getenv(), 'DB_DATABASE' => $database],
            );
            $asked[$database] =
                $process === false ? throw new RuntimeException('No process could be started.') : [$pipes[0], $pipes[1], $process];
        }
        $read = function (string $database) use ($asked): array {
            $said = json_decode((string) fgets($asked[$database][1]), true, flags: JSON_THROW_ON_ERROR);

            return is_array($said) ? array_values($said) : [];
        };
        $names = [];
        foreach (array_keys($asked) as $database) {
            $names = array_filter($read($database), is_string(...));
        }
        $table = [];
        foreach ($names as $name) {
            $times = [];
            for ($turn = 0; $turn < self::TURNS; $turn++) {
                foreach ($asked as $database => [$in]) {
                    fwrite($in, $name."\n");
                    $times[$database] ??= [];
                    array_push($times[$database], ...array_filter($read($database), is_float(...)));
                }
            }
            $times = array_values($times);
            // Turn by turn: a machine whose speed changes has one speed within a turn.
            $grows = array_map(
                fn (float $small, float $large): float => $large / max(0.001, $small),
                $times[0] ?? [],
                $times[count($times) - 1] ?? [],
            );
            $table[] = [
                $name,
                ...array_map(fn (array $all): string => number_format(self::middle($all), 2), $times),
                sprintf('%.2f×', self::middle($grows)),
            ];
        }
        foreach ($asked as [$in, $out, $process]) {
            fclose($in);
            fclose($out);
            proc_close($process);
        }
        $this->table(['a page of the Roll, ms', ...array_keys($asked), 'grows'], $table);
    }

    private function core(CaseFiles $files, Rulebook $book, Instant $now): void
    {
        $ids = array_map(
            fn (Row $row): int => $row->int('name_id'),
            Row::all(
                DB::table('standings')
                    ->orderBy('name_id')
                    ->limit(2000)
                    ->get(['name_id']),
            ),
        );
        $cases = array_values($files->held($ids, $now));
        $rates = [
            'lifecycles, with every date' => fn (HeldCase $case) => $case->life($book, $now)->events(),
            'readiness judgements' => fn (HeldCase $case) => $case->handoverTo(null, $now->plusDays(14), $book, $now)->judge(),
            'transfers judged' => fn (HeldCase $case) => (new Transfer(
                $case->life($book, $now),
                new Losing($case->account->registrarName, $case->account->ours),
                Gaining::elsewhere('another'),
                CodeKnown::none(),
                new Approver($case->guard?->mailbox),
                new ServersKnown(),
            ))->judge(),
        ];
        $this->table(
            ['on one core', 'a second'],
            array_map(
                function (string $what, callable $do) use ($cases): array {
                    $ms = $this->median(function () use ($cases, $do): void {
                        foreach ($cases as $case) {
                            $do($case);
                        }
                    });

                    return [$what, number_format((count($cases) / $ms) * 1000)];
                },
                array_keys($rates),
                $rates,
            ),
        );
    }

    /** A migration of 5,000 names, sixty a working day, whose terms end over a year. */
    private function migration(Instant $now): void
    {
        $candidates = array_map(
            function (int $key) use ($now): Candidate {
                $charged = $now->plusDays($key * 7 % 365);

                return new Candidate($key, $now, $charged, $charged->plusDays(20), 990, 990);
            },
            range(1, 5_000),
        );
        $ms = $this->median(fn () => Planner::plan($candidates, new Limits($now, 60, [6, 7], pilot: 20)));
        $this->line(sprintf('A migration of 5,000 names planned in %.2f s.', $ms / 1_000));
    }

    /** Every name of the Roll, in all accounts, run forward two years. */
    private function forecast(ReadAlmanac $almanac, Instant $now): void
    {
        $started = hrtime(true);
        $runs = $almanac->handle(new Asked(Scope::all(), true, true, 24, $now))->runs;
        $this->line(sprintf(
            '%s charges of two years in %d accounts run forward in %.2f s.',
            number_format(array_sum(array_map(fn (AccountRun $run): int => count($run->charges), $runs))),
            count($runs),
            (hrtime(true) - $started) / 1e9,
        ));
    }

    private function standings(MakeStandings $standings): void
    {
        $all = $standings->staleByRulebook(all: true);
        $start = hrtime(true);
        $helper = Helper::start('acre:standings');
        $standings->due();
        $helper->wait();
        $this->line(sprintf('All %s standings updated in %.1f s, by two workers.', number_format($all), (hrtime(true) - $start) / 1e9));
    }

    private function docket(PrepareDocket $prepare, SettleDocket $settle, BeginDocketLines $begin, Instant $now): void
    {
        $user = User::query()->firstOrFail();
        $busiest = Row::of(
            DB::selectOne(
                "SELECT account_id, registrar_id FROM standings WHERE phase = 'in_term' GROUP BY 1, 2 ORDER BY count(*) DESC LIMIT 1",
            ),
        );
        $receiver = Account::query()->create([
            'registrar_id' => $busiest->int('registrar_id'),
            'number' => 'bench',
            'login' => 'bench',
            'mailbox' => 'bench@accounts.example',
            'handle' => 'BENCH',
            'proven_at' => $now->toDay(),
        ]);
        $ids = array_values(
            array_filter(
                DB::table('standings')
                    ->where('registrar_id', $busiest->int('registrar_id'))
                    ->orderByDesc('ends_on')
                    ->limit(self::HANDOVERS)
                    ->pluck('name_id')
                    ->all(),
                is_int(...),
            ),
        );
        $start = hrtime(true);
        Queue::fake();
        $docket = $prepare->handle(
            $user,
            (string) Str::uuid(),
            HandOverNames::key(),
            $ids,
            (new HandoverTermsChosen($receiver->id, null, $now->toDay()->plusDays(14)))->pack(),
            $ids,
        );
        $settle->handle($user, $docket);
        $begin->handle($docket->id);
        $begun = DocketLine::query()->where('docket_id', $docket->id)->where('state', LineState::Begun)->count();
        $this->line(
            sprintf(
                'A docket of %s handovers prepared, settled and begun in %.1f s: %s begun.',
                number_format(count($ids)),
                (hrtime(true) - $start) / 1e9,
                number_format($begun),
            ),
        );
    }

    private function bringIn(ReadImport $read, int $lines): void
    {
        $account = Account::query()->firstOrFail();
        $path = 'imports/bench.csv';
        Storage::put($path, '');
        $handle = fopen(Storage::path($path), 'wb');
        if ($handle === false) {
            throw new RuntimeException('The list can’t be written.');
        }
        fwrite($handle, "name,created,ends,lock,owner,ns1,ns2,price,remarks\n");
        for ($line = 1; $line <= $lines; $line++) {
            fwrite(
                $handle,
                "brought-in-{$line}.com,2019-03-0".
                    (($line % 9) + 1).
                    ',2027-0'.
                    (($line % 9) + 1).
                    "-12,yes,Owner {$line},ns1.wire.example,ns2.wire.example,\"12,50\",kept {$line}\n",
            );
        }
        fclose($handle);
        $import = Import::query()->create([
            'user_id' => User::query()->firstOrFail()->id,
            'file' => 'bench.csv',
            'path' => $path,
            'registrar_id' => $account->registrar_id,
            'account_id' => $account->id,
            'shape' => ['headings' => [], 'samples' => []],
            'matched' => ['columns' => ['name', 'created', 'ends', 'lock', 'registrant', 'servers', 'servers', 'renewal', 'raw']],
            'state' => ImportState::Reading,
        ]);
        $start = hrtime(true);
        memory_reset_peak_usage();
        $read->handle($import);
        $this->line(
            sprintf(
                'A list of %s lines read in %.1f s, with %d MB at most.',
                number_format($lines),
                (hrtime(true) - $start) / 1e9,
                memory_get_peak_usage() >> 20,
            ),
        );
        $import->update(['state' => ImportState::Writing]);
        $start = hrtime(true);
        // Two workers, as the queue has them.
        $workers = [Helper::start('acre:work-list', (string) $import->id), Helper::start('acre:work-list', (string) $import->id)];
        foreach ($workers as $worker) {
            $worker->wait();
        }
        $this->line(sprintf('And written in %.1f s: %s.', (hrtime(true) - $start) / 1e9, $import->refresh()->state->value));
        Storage::delete($path);
    }

    private function median(callable $do): float
    {
        $times = [];
        for ($run = 0; $run < self::RUNS; $run++) {
            $start = hrtime(true);
            $do();
            $times[] = (hrtime(true) - $start) / 1e6;
        }

        return self::middle($times);
    }

    /** @param  list<float>  $times */
    private static function middle(array $times): float
    {
        sort($times);

        return $times[intdiv(count($times), 2)] ?? 0.0;
    }
}
