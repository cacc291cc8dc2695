<?php

declare(strict_types=1);

namespace Tests\Faults;

use Acre\Core\Lifecycle\Intent;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Gates\SetGatePassword;
use App\Actions\Proofs\VerifyProofs;
use App\Actions\Standings\MakeStandings;
use App\Models\Client;
use App\Models\Confirmation;
use App\Models\Docket;
use App\Models\DocketState;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Role;
use App\Models\Secret;
use App\Models\User;
use App\Support\Fault;
use App\Support\Row;
use Closure;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Symfony\Component\Process\Process;
use Tests\Feature\House;
use Tests\Until;

/**
 * Two hands that meet: one stands still after a statement of the database, the other does its thing as far as it can, then the first
 * goes on. Whatever the statement, neither is told of a deadlock, and afterwards nothing is lost, doubled or half done. The
 * order in which rows are locked stands in docs/handbook.md.
 */
final class RacesTest extends TestCase
{
    private static ?House $house = null;

    private static int $trials = 0;

    protected function setUp(): void
    {
        parent::setUp();
        Queue::fake();
        if (self::$house === null) {
            Artisan::call('migrate:fresh', ['--database' => 'owner', '--force' => true]);
            self::$house = new House();
        }
    }

    protected function tearDown(): void
    {
        // Hundreds of meetings would else hold hundreds of connections.
        DB::purge();
        parent::tearDown();
    }

    /** @return iterable<string, array{string, int}> every pair that meets, paused early and late */
    public static function few(): iterable
    {
        foreach (array_keys(self::pairs()) as $pair) {
            // What takes one statement has no other.
            foreach (str_contains($pair, 'Owners') ? [1] : [5, 13] as $at) {
                yield "{$pair}, paused after statement {$at}" => [$pair, $at];
            }
        }
    }

    /** @return iterable<string, array{string, int}> */
    public static function all(): iterable
    {
        foreach (array_keys(self::pairs()) as $pair) {
            for ($at = 1; $at <= 48; $at++) {
                yield "{$pair}, paused after statement {$at}" => [$pair, $at];
            }
        }
    }

    #[DataProvider('few')]
    public function test_two_that_meet(string $pair, int $at): void
    {
        $this->meet($pair, $at);
    }

    #[Group('heavy')]
    #[DataProvider('all')]
    public function test_two_that_meet_at_any_statement(string $pair, int $at): void
    {
        $this->meet($pair, $at);
    }

    /**
     * @return array<string, Closure(self): array{list<string>, list<string>, Closure(): void}> the two hands, and what must be so
     *     afterwards
     */
    private static function pairs(): array
    {
        return [
            'a docket that begins, and calling it off' => fn (self $test): array => $test->docket('begin', 'call-off'),
            'a docket that begins, and ticking what has begun' => fn (self $test): array => $test->docket('begin', 'tick', 55),
            'ticking a docket, and its beginning' => fn (self $test): array => $test->docket('tick', 'begin', 55),
            'calling off, and what its registrar has done' => fn (self $test): array => $test->orders('call-off', 'done-outside'),
            'what its registrar has done, and ticking it' => fn (self $test): array => $test->orders('done-outside', 'tick'),
            'what its registrar refuses, and calling it off' => fn (self $test): array => $test->orders('refused-outside', 'call-off'),
            'a receiver’s yes, and a docket that begins' => fn (self $test): array => $test->word('accept', 'begin'),
            'a docket that begins, and a receiver’s yes' => fn (self $test): array => $test->word('begin', 'accept'),
            'a receiver’s yes, and asking them again' => fn (self $test): array => $test->word('accept', 'ask-again'),
            'both sides’ yes at once' => fn (self $test): array => $test->sides(),
            'standings, and saving a client' => fn (self $test): array => $test->standings('save-client'),
            'standings, and saving a name' => fn (self $test): array => $test->standings('save-name'),
            'standings of two workers' => fn (self $test): array => $test->standings('standings'),
            'looking outside, and a list' => fn (self $test): array => $test->list('look'),
            'two lists with the same names' => fn (self $test): array => $test->list('import'),
            'names given to a client, and that client merged' => fn (self $test): array => $test->clients(true),
            'a client merged, and names given to it' => fn (self $test): array => $test->clients(false),
            'two edits of a contact' => fn (self $test): array => $test->contact(),
            'two Owners who demote each other' => fn (self $test): array => $test->owners(),
        ];
    }

    private function meet(string $pair, int $at): void
    {
        [$first, $second, $after] = self::pairs()[$pair]($this);
        $before = $this->deadlocks();
        $one = $this->hand($first, Fault::STATEMENT.":{$at}:stop");
        Until::so(
            'the first hand to stand still',
            fn (): bool => ! $one->isRunning() ||
                (str_contains($one->getErrorOutput(), trim(Fault::STRUCK)) && $this->isStopped((int) $one->getPid())),
        );
        $other = $this->hand($second);
        Until::so(
            'the second hand to end, or to wait',
            fn (): bool => ! $other->isRunning() ||
                Row::of(DB::selectOne('SELECT count(*) AS n FROM pg_locks WHERE NOT granted'))->int('n') > 0,
        );
        if ($one->isRunning()) {
            posix_kill((int) $one->getPid(), SIGCONT);
        }
        foreach ([$one, $other] as $hand) {
            $code = $hand->wait();
            $said = $hand->getOutput().$hand->getErrorOutput();
            // That somebody was first is an answer; a fault that is told and ends with 0 is none.
            self::assertTrue(
                ($code === 0 && str_contains($hand->getOutput(), 'done')) ||
                    preg_match('/DeedError|ChangedMeanwhile|users_owner_left/', $said) === 1,
                $said,
            );
        }
        $after();
        self::assertSame($before, $this->deadlocks(), 'two waited for each other');
        self::assertSame(
            [],
            array_filter(iterator_to_array(app(VerifyProofs::class)->handle(), false), fn (array $proof): bool => $proof[1] !== null),
        );
    }

    /** @param  list<string>  $arguments */
    private function hand(array $arguments, ?string $fault = null): Process
    {
        $hand = new Process(
            [PHP_BINARY, __DIR__.'/hand.php', ...$arguments],
            base_path(),
            $fault === null ? null : ['ACRE_FAULT' => $fault],
            null,
            120,
        );
        $hand->start();

        return $hand;
    }

    private function isStopped(int $pid): bool
    {
        return preg_match('/\) T /', (string) @file_get_contents("/proc/{$pid}/stat")) === 1;
    }

    private function deadlocks(): int
    {
        return Row::of(DB::selectOne('SELECT deadlocks FROM pg_stat_database WHERE datname = current_database()'))->int('deadlocks');
    }

    private function house(): House
    {
        return self::$house ?? self::fail('There is no house.');
    }

    /** @return list<int> */
    private function names(int $many): array
    {
        $trial = ++self::$trials;

        return array_map(fn (int $one): int => $this->house()->name("race-{$trial}-{$one}.com")->id, range(1, $many));
    }

    /**
     * @param  list<int>  $names
     * @param  array<string, mixed>  $terms
     */
    private function settled(string $deed, array $names, array $terms): Docket
    {
        $docket = app(PrepareDocket::class)->handle($this->house()->clerk, House::token(), $deed, $names, $terms, $names);
        app(SettleDocket::class)->handle($this->house()->steward, $docket);

        return $docket;
    }

    /** @return array<string, int> lines by state */
    private function lines(Docket $docket): array
    {
        $lines = [];
        foreach ($docket->lines()->get() as $line) {
            $lines[$line->state->value] = ($lines[$line->state->value] ?? 0) + 1;
        }
        ksort($lines);

        return $lines;
    }

    /** @return array{list<string>, list<string>, Closure(): void} */
    private function docket(string $first, string $second, int $many = 6): array
    {
        $docket = $this->settled('hand_over', $this->names($many), $this->house()->terms()->pack());
        if ($first === 'tick') {
            // Some are on the slip, some wait: as a worker that died leaves it.
            DB::table('docket_lines')
                ->where('docket_id', $docket->id)
                ->orderByDesc('id')
                ->limit(5)
                ->update(['state' => 'prepared']);
            app(BeginDocketLines::class)->handle($docket->id);
            DB::table('docket_lines')
                ->where('docket_id', $docket->id)
                ->where('state', 'prepared')
                ->update(['state' => 'waiting']);
        }

        return [
            [$first, (string) $docket->id],
            [$second, (string) $docket->id],
            function () use ($docket, $many): void {
                app(BeginDocketLines::class)->handle($docket->id);
                $lines = $this->lines($docket);
                self::assertSame($many, array_sum($lines));
                self::assertSame([], array_diff(array_keys($lines), ['begun', 'called_off', 'done']), (string) json_encode($lines));
                $isOpen = isset($lines['begun']);
                self::assertSame($isOpen ? DocketState::Settled : DocketState::Closed, $docket->refresh()->state);
                self::assertSame($isOpen ? 0 : 1, DB::table('proofs')->where('docket_id', $docket->id)->count());
                self::assertSame(
                    $lines['begun'] ?? 0,
                    DB::table('movements')->where('docket_id', $docket->id)->whereNull('closed_on')->count(),
                );
            },
        ];
    }

    /** @return array{list<string>, list<string>, Closure(): void} */
    private function orders(string $first, string $second): array
    {
        $house = $this->house();
        $house->skerry->update(['link' => 'wire', 'gate' => 'epp.skerry.example:700']);
        $account = $house->account('W-'.++self::$trials, null);
        app(SetGatePassword::class)->handle($house->steward, $account, 'seven gulls');
        $trial = ++self::$trials;
        $names = array_map(fn (int $one): int => $house->name("race-{$trial}-{$one}.com", $account)->id, range(1, 4));
        $docket = $this->settled('hand_over', $names, $house->terms()->pack());
        app(BeginDocketLines::class)->handle($docket->id);
        $house->skerry->update(['link' => 'slip']);
        Order::query()
            ->whereIn('name_id', $names)
            ->update(['state' => OrderState::Pending, 'sent_at' => gmdate('c')]);
        $ids = array_map(
            strval(...),
            array_values(array_filter(Order::query()->whereIn('name_id', $names)->pluck('id')->all(), is_int(...))),
        );
        $hand = fn (string $step): array => str_ends_with($step, 'outside') ? [$step, ...$ids] : [$step, (string) $docket->id];

        return [
            $hand($first),
            $hand($second),
            function () use ($docket, $names): void {
                $lines = $this->lines($docket);
                self::assertSame([4, 1], [array_sum($lines), count($lines)], (string) json_encode($lines));
                self::assertArrayNotHasKey(LineState::Begun->value, $lines);
                self::assertSame(1, DB::table('proofs')->where('docket_id', $docket->id)->count());
                self::assertSame(
                    isset($lines['done']) ? 4 : 0,
                    DB::table('holdings')
                        ->whereIn('name_id', $names)
                        ->whereRaw('upper_inf(span)')
                        ->where('account_id', $this->house()->theirs->id)
                        ->count(),
                );
            },
        ];
    }

    /** @return array{list<string>, list<string>, Closure(): void} */
    private function word(string $first, string $second): array
    {
        $house = $this->house();
        $house->skerry->update(['accepts_by' => 'letter']);
        $many = 8;
        $docket = $this->settled('hand_over', $this->names($many), $house->terms()->pack());
        DB::table('docket_lines')
            ->where('docket_id', $docket->id)
            ->orderByDesc('id')
            ->limit(4)
            ->update(['state' => 'prepared']);
        app(BeginDocketLines::class)->handle($docket->id);
        DB::table('docket_lines')
            ->where('docket_id', $docket->id)
            ->where('state', 'prepared')
            ->update(['state' => 'waiting']);
        $token = basename(Secret::query()->where('kind', 'link')->latest('id')->firstOrFail()->value);
        $hand = fn (string $step): array => $step === 'accept'
            ? [$step, $token, $house->theirs->number, (string) $house->theirs->login]
            : [$step, (string) $docket->id];

        return [
            $hand($first),
            $hand($second),
            function () use ($docket, $many, $house): void {
                app(BeginDocketLines::class)->handle($docket->id);
                $house->skerry->update(['accepts_by' => 'page']);
                self::assertSame(['begun' => $many], $this->lines($docket));
                $isAnswered = DB::table('acceptances')->where('docket_id', $docket->id)->where('accepted', true)->exists();
                self::assertSame(
                    $isAnswered ? 0 : 1,
                    DB::table('links')->where('docket_id', $docket->id)->whereNull('used_at')->whereNull('withdrawn_at')->count(),
                    'one link is good, or none that is used',
                );
            },
        ];
    }

    /** @return array{list<string>, list<string>, Closure(): void} */
    private function sides(): array
    {
        $house = $this->house();
        $trial = ++self::$trials;
        $names = array_map(fn (int $one): Name => $house->name("race-{$trial}-{$one}.com"), range(1, 3));
        app(RecordRegistrants::class)->of(
            array_fill_keys(array_map(fn (Name $name): int => $name->id, $names), [
                'registrant' => "Bell {$trial}",
                'mailbox' => "prior-{$trial}@letters.example",
            ]),
            'typed',
            null,
        );
        $terms =
            ['agent' => 'nobody'] +
            $house->anotherRegistrant($names[0], ['organisation' => "Peal {$trial}", 'mailbox' => "new-{$trial}@letters.example"]);
        $docket = $this->settled('change_registrant', array_map(fn (Name $name): int => $name->id, array_slice($names, 1)), $terms);
        app(BeginDocketLines::class)->handle($docket->id);
        $tokens = array_map(
            fn (Secret $secret): string => basename($secret->value),
            Secret::query()->where('kind', 'link')->latest('id')->limit(2)->get()->all(),
        );
        self::assertCount(2, Confirmation::query()->where('docket_id', $docket->id)->get());

        return [
            ['agree', $tokens[0]],
            ['agree', $tokens[1]],
            function () use ($docket): void {
                self::assertSame(2, Confirmation::query()->where('docket_id', $docket->id)->where('confirmed', true)->count());
            },
        ];
    }

    /** @return array{list<string>, list<string>, Closure(): void} */
    private function standings(string $second): array
    {
        $names = $this->names(6);
        // One of them guards the others: what is meant with it is to be known of them.
        app(RecordRegistrants::class)->of(
            array_fill_keys(array_slice($names, 1), ['registrant' => 'Bell', 'mailbox' => 'post@race-'.self::$trials.'-1.com']),
            'typed',
            null,
        );
        app(MakeStandings::class)->staleNames($names);
        $hand =
            [
                'save-client' => [$second, (string) $this->house()->foundry->id],
                'save-name' => [$second, (string) $names[0]],
                'standings' => [$second],
            ][$second] ?? [];

        return [
            ['standings'],
            $hand,
            function () use ($names, $second): void {
                app(MakeStandings::class)->due();
                self::assertSame(0, DB::table('standings_stale')->whereIn('name_id', $names)->count());
                if ($second === 'save-name') {
                    self::assertSame(Intent::Lapse->value, DB::table('standings')->where('name_id', $names[0])->value('intent'));
                }
            },
        ];
    }

    /** @return array{list<string>, list<string>, Closure(): void} */
    private function list(string $second): array
    {
        $names = $this->names(8);
        $trial = self::$trials;
        $imports = array_map(fn (bool $isReversed): Import => $this->import($trial, $names, $isReversed), [false, true]);

        return [
            ['import', (string) $imports[0]->id],
            $second === 'look' ? ['look', ...array_map(strval(...), $names)] : ['import', (string) $imports[1]->id],
            function () use ($imports, $names, $trial, $second): void {
                self::assertSame(ImportState::Done, $imports[0]->refresh()->state);
                self::assertSame(8, DB::table('registrations')->whereIn('name_id', $names)->where('reference', 'brought in')->count());
                self::assertSame(
                    4,
                    DB::table('names')
                        ->where('ascii', 'like', "new-{$trial}-%")
                        ->count(),
                );
                self::assertSame(
                    4,
                    DB::table('holdings')
                        ->join('names', 'names.id', '=', 'name_id')
                        ->where('ascii', 'like', "new-{$trial}-%")
                        ->count(),
                    'each new name is held once',
                );
                if ($second === 'import') {
                    self::assertSame(ImportState::Done, $imports[1]->refresh()->state);
                }
            },
        ];
    }

    /** @param  list<int>  $names */
    private function import(int $trial, array $names, bool $isReversed): Import
    {
        $house = $this->house();
        $import = Import::query()->create([
            'user_id' => $house->clerk->id,
            'file' => 'list.csv',
            'path' => 'none',
            'registrar_id' => $house->skerry->id,
            'account_id' => $house->ours->id,
            'client_id' => $house->foundry->id,
            'shape' => ['headings' => ['name'], 'samples' => []],
            'state' => ImportState::Writing,
            'matched' => ['columns' => ['name']],
        ]);
        $rows = [];
        foreach (Name::query()->whereKey($names)->orderBy('id')->pluck('ascii') as $ascii) {
            $rows[] = [
                'verdict' => 'changed',
                'ascii' => $ascii,
                'facts' => '{}',
                'changes' => json_encode([['reference', null, 'brought in']]),
            ];
        }
        for ($one = 1; $one <= 4; $one++) {
            $rows[] = [
                'verdict' => 'new',
                'ascii' => "new-{$trial}-{$one}.com",
                'facts' => json_encode(['ends' => '2028-01-01']),
                'changes' => '[]',
            ];
        }
        $rows = $isReversed ? array_reverse($rows) : $rows;
        DB::table('import_rows')->insert(
            array_map(
                fn (int $line, array $row): array => ['import_id' => $import->id, 'line' => $line + 1] + $row,
                array_keys($rows),
                $rows,
            ),
        );

        return $import;
    }

    /** @return array{list<string>, list<string>, Closure(): void} */
    private function clients(bool $givesFirst): array
    {
        $names = $this->names(5);
        [$kept, $other] = array_map(fn (string $of): Client => Client::query()->create(['name' => "{$of} ".self::$trials]), [
            'Kept',
            'Other',
        ]);
        DB::table('holdings')
            ->whereIn('name_id', array_slice($names, 3))
            ->update(['client_id' => $other->id]);
        $docket = $this->settled('give_to_client', array_slice($names, 0, 3), ['client' => $other->id]);
        $hands = [['begin', (string) $docket->id], ['merge-clients', (string) $kept->id, (string) $other->id]];

        return [
            ...$givesFirst ? $hands : array_reverse($hands),
            function () use ($docket, $names, $kept, $other): void {
                app(BeginDocketLines::class)->handle($docket->id);
                self::assertSame(['done' => 3], $this->lines($docket));
                self::assertSame(
                    5,
                    DB::table('holdings')->whereIn('name_id', $names)->whereRaw('upper_inf(span)')->where('client_id', $kept->id)->count(),
                );
                self::assertSame(
                    [0, $kept->id],
                    [DB::table('holdings')->where('client_id', $other->id)->count(), $other->refresh()->merged_into],
                );
            },
        ];
    }

    /** @return array{list<string>, list<string>, Closure(): void} */
    private function contact(): array
    {
        $name = Name::query()->findOrFail($this->names(1)[0]);
        $contact = $this->house()->anotherRegistrant($name, [
            'organisation' => 'Peal '.self::$trials,
            'mailbox' => 'desk-'.self::$trials.'@peal.example',
        ])['contact'];
        $id = is_int($contact) ? $contact : 0;

        return [
            ['save-contact', (string) $id],
            ['save-contact', (string) $id],
            function () use ($id): void {
                self::assertSame(1, DB::table('contact_versions')->where('contact_id', $id)->whereRaw('upper_inf(span)')->count());
            },
        ];
    }

    /** @return array{list<string>, list<string>, Closure(): void} */
    private function owners(): array
    {
        $trial = ++self::$trials;
        $owners = array_map(
            fn (int $one): User => User::enrol("Owner {$one}", "owner-{$trial}-{$one}@harrow-tern.example", House::PASSWORD, Role::Owner),
            [1, 2],
        );
        User::query()
            ->where('role', Role::Owner)
            ->whereKeyNot(array_map(fn (User $owner): int => $owner->id, $owners))
            ->update(['role' => Role::Reader]);

        return [
            ['demote', (string) $owners[0]->id],
            ['demote', (string) $owners[1]->id],
            function (): void {
                self::assertSame(1, User::query()->where('role', Role::Owner)->count());
            },
        ];
    }
}
