<?php

declare(strict_types=1);

namespace Tests\Faults;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Acre\Wire\Mail\MailLetter;
use App\Actions\Books\ChangeIntent;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Handover\HandOverNames;
use App\Actions\Handover\ReceiverAnswers;
use App\Actions\Imports\ReadImport;
use App\Actions\Imports\WriteImport;
use App\Actions\Money\RenewNames;
use App\Actions\Money\RestoreNames;
use App\Actions\Plans\PlanTerms;
use App\Actions\Plans\SavePlan;
use App\Actions\Plans\StartLot;
use App\Actions\Plans\WatchPlans;
use App\Actions\Post\SendLetters;
use App\Actions\Proofs\VerifyProofs;
use App\Actions\Registrants\SideAnswers;
use App\Actions\Transfer\TransferNames;
use App\Actions\Transfer\TransferTerms;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\LineState;
use App\Models\Name;
use App\Models\PlanState;
use App\Models\Price;
use App\Models\Proof;
use App\Models\Registrar;
use App\Models\Secret;
use App\Outside\Registrar\GatePin;
use App\Outside\World;
use App\Providers\OutsideServiceProvider;
use App\Support\Failpoint;
use App\Support\Fault;
use App\Support\TradeClock;
use Closure;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Random\Engine\Mt19937;
use Random\Randomizer;
use RuntimeException;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Process;
use Tests\Feature\House;
use Tests\Until;

/**
 * The worker, or PostgreSQL, killed with -9 in the middle of a list, of a docket of three hundred and of one by wire: at each named place,
 * and after answers of the database that chance picks (its seed is fixed). Afterwards nothing is lost, doubled or half done.
 */
final class KilledTest extends TestCase
{
    private const NAMES = 300;

    /** Three chunks of a list. */
    private const LINES = 1_100;

    private const WORKER = 'worker';

    private const DATABASE = 'database';

    private static ?House $house = null;

    private static int $works = 0;

    protected function setUp(): void
    {
        parent::setUp();
        Queue::fake();
        if (self::$house === null) {
            Artisan::call('migrate:fresh', ['--database' => 'owner', '--force' => true]);
            // The test stack is fast and forgetful; here a commit must be one.
            DB::connection('owner')->statement(
                'ALTER DATABASE '.DB::connection('owner')->getDatabaseName().' SET synchronous_commit = on',
            );
            DB::purge();
            self::$house = new House();
        }
    }

    /** @return iterable<string, array{Failpoint, string}> */
    public static function places(): iterable
    {
        foreach (Failpoint::cases() as $place) {
            foreach ([self::WORKER, self::DATABASE] as $victim) {
                yield "the {$victim} at {$place->value}" => [$place, $victim];
            }
        }
    }

    #[DataProvider('places')]
    public function test_killed_at_a_named_place(Failpoint $place, string $victim): void
    {
        $fault = fn (): string => $this->fault($place->value, 1, $victim);
        $kills = match (true) {
            str_starts_with($place->value, 'order_'), str_starts_with($place->value, 'message_') => $this->wire(20, $fault, 1),
            str_starts_with($place->value, 'letter_'), str_starts_with($place->value, 'accepted_') => $this->letter(120, $fault, 1),
            str_starts_with($place->value, 'confirmed_') => $this->confirm(120, $fault, 1),
            str_starts_with($place->value, 'list_') => $this->list($fault, 1, str_contains($place->value, 'taken_back')),
            str_starts_with($place->value, 'docket_') => $this->change($this->names(), $fault, 1),
            default => $this->handOver($this->names(), $fault, 1),
        };
        self::assertSame(1, $kills, 'The work never came by.');
    }

    #[TestWith([2])]
    public function test_killed_anywhere(int $times): void
    {
        $random = new Randomizer(new Mt19937(25));
        $fault = fn (): string => $this->fault(
            Fault::STATEMENT,
            $random->getInt(1, 60),
            $random->getInt(0, 2) === 0 ? self::DATABASE : self::WORKER,
        );
        $kills = 0;
        while ($kills < $times) {
            $before = $kills;
            $kills += $this->list($fault, min(intdiv($times, 2) + 1, $times - $kills), false);
            $kills += $this->handOver($this->names(), $fault, $times - $kills);
            self::assertGreaterThan($before, $kills, 'Nothing was killed.');
        }
        self::assertSame($times, $kills);
    }

    /** A docket of a hundred by wire: told once each, whatever dies in between. */
    #[TestWith([2])]
    public function test_killed_anywhere_on_the_wire(int $times): void
    {
        $fault = $this->anywhere(26, 400);
        for ($kills = 0; $kills < $times; $kills += $more) {
            $more = $this->wire(100, $fault, $times - $kills);
            self::assertGreaterThan(0, $more, 'Nothing was killed.');
        }
    }

    /** Names from one registrar to another: asked for and paid once each, whatever dies in between. */
    #[TestWith([2])]
    public function test_killed_anywhere_between_registrars(int $times): void
    {
        $fault = $this->anywhere(27, 200);
        for ($kills = 0; $kills < $times; $kills += $more) {
            $more = $this->transfers(40, $fault, $times - $kills);
            self::assertGreaterThan(0, $more, 'Nothing was killed.');
        }
    }

    /** Renewals by wire: each name one term longer, each charged once, whatever dies in between. */
    #[TestWith([2])]
    public function test_killed_anywhere_renewing(int $times): void
    {
        $fault = $this->anywhere(29, 200);
        for ($kills = 0; $kills < $times; $kills += $more) {
            $more = $this->renewals(40, $fault, $times - $kills);
            self::assertGreaterThan(0, $more, 'Nothing was killed.');
        }
    }

    #[Group('heavy')]
    public function test_killed_anywhere_renewing_a_hundred_times(): void
    {
        $this->test_killed_anywhere_renewing(100);
    }

    /** Restores by wire: each asked for and reported once, each charged once, whatever dies between the two. */
    #[TestWith([2])]
    public function test_killed_anywhere_restoring(int $times): void
    {
        $fault = $this->anywhere(30, 200);
        for ($kills = 0; $kills < $times; $kills += $more) {
            $more = $this->restores(20, $fault, $times - $kills);
            self::assertGreaterThan(0, $more, 'Nothing was killed.');
        }
    }

    #[Group('heavy')]
    public function test_killed_anywhere_restoring_a_hundred_times(): void
    {
        $this->test_killed_anywhere_restoring(100);
    }

    /** Of six every day, of two hundred where it is heavy; killed at ten places that chance picks. */
    #[TestWith([6, 2, 2, 2])]
    public function test_a_migration_is_killed_on_its_way(int $names, int $perDay, int $pilot, int $times): void
    {
        $fault = $this->anywhere(28, min(200, 20 * $names));
        self::assertSame($times, $this->migration($names, $perDay, $pilot, $fault, $times));
    }

    #[Group('heavy')]
    public function test_a_migration_of_two_hundred_is_killed_on_its_way(): void
    {
        $this->test_a_migration_is_killed_on_its_way(200, 95, 10, 10);
    }

    #[Group('heavy')]
    public function test_killed_anywhere_between_registrars_two_hundred_times(): void
    {
        $this->test_killed_anywhere_between_registrars(200);
    }

    #[Group('heavy')]
    public function test_killed_anywhere_on_the_wire_two_hundred_times(): void
    {
        $this->test_killed_anywhere_on_the_wire(200);
    }

    #[Group('heavy')]
    public function test_killed_anywhere_two_hundred_times(): void
    {
        $this->test_killed_anywhere(200);
    }

    /**
     * Brings a list in, and takes it back where asked, killed so many times on the way.
     *
     * @param  callable(): string  $fault
     */
    private function list(callable $fault, int $times, bool $andBack): int
    {
        $import = $this->import(self::LINES);
        $kills = $this->work(
            ['acre:work-list', (string) $import->id],
            fn (): bool => $this->stateOf($import) !== ImportState::Reading,
            $fault,
            $times,
        );
        self::assertSame(
            [ImportState::Read, self::LINES],
            [$this->stateOf($import), DB::table('import_rows')->where('import_id', $import->id)->where('verdict', 'new')->count()],
        );

        $import->refresh()->update(['state' => ImportState::Writing]);
        $kills += $this->work(
            ['acre:work-list', (string) $import->id],
            fn (): bool => $this->stateOf($import) !== ImportState::Writing,
            $fault,
            $times - $kills,
        );
        $this->assertListIsWritten($import->refresh());

        if ($andBack) {
            $import->update(['state' => ImportState::Undoing]);
            $kills += $this->work(
                ['acre:work-list', (string) $import->id],
                fn (): bool => $this->stateOf($import) !== ImportState::Undoing,
                $fault,
                $times - $kills,
            );
            self::assertSame([ImportState::Undone, 0], [$this->stateOf($import), $import->refresh()->rows_written]);
            self::assertSame(
                0,
                DB::table('names')
                    ->where('ascii', 'like', "fault-{$import->id}-%")
                    ->count(),
            );
            self::assertSame(
                0,
                DB::table('standings')
                    ->where('ascii', 'like', "fault-{$import->id}-%")
                    ->count(),
            );
        }
        Storage::delete($import->path);

        return $kills;
    }

    private function assertListIsWritten(Import $import): void
    {
        $names = DB::table('names')->where('ascii', 'like', "fault-{$import->id}-%");
        $of = fn (string $table): int => DB::table($table)
            ->whereIn('name_id', $names->clone()->select('id'))
            ->count();
        self::assertSame([ImportState::Done, self::LINES], [$import->state, $import->rows_written]);
        self::assertSame(
            [
                'names' => self::LINES,
                'registrations' => self::LINES,
                'holdings' => self::LINES,
                'standings' => self::LINES,
                'name_words' => self::LINES,
            ],
            [
                'names' => $names->count(),
                'registrations' => $of('registrations'),
                'holdings' => $of('holdings'),
                'standings' => $of('standings'),
                'name_words' => $of('name_words'),
            ],
        );
        self::assertSame(
            self::LINES,
            DB::table('log')
                ->where('event', 'brought_in')
                ->whereIn('subject_id', $names->clone()->select('id'))
                ->count(),
        );
    }

    /**
     * @param  list<int>  $names
     * @param  callable(): string  $fault
     */
    private function handOver(array $names, callable $fault, int $times): int
    {
        $docket = $this->settled(HandOverNames::key(), $names, $this->house()->terms()->pack());
        $kills = $this->work(
            ['acre:begin', (string) $docket->id],
            fn (): bool => $docket->lines()->where('state', LineState::Waiting)->doesntExist(),
            $fault,
            $times,
        );

        $lines = DocketLine::query()->where('docket_id', $docket->id);
        self::assertSame(self::NAMES, $lines->clone()->where('state', LineState::Begun)->count());
        $movements = DB::table('movements')->whereNull('closed_on')->whereIn('name_id', $names);
        self::assertSame([self::NAMES, self::NAMES], [$movements->count(), $movements->distinct()->count('name_id')]);
        self::assertSame(
            2 * self::NAMES,
            DB::table('legs')
                ->whereIn('movement_id', $movements->clone()->select('id'))
                ->count(),
        );
        self::assertSame(self::NAMES, DB::table('log')->where('event', 'begun')->whereIn('subject_id', $names)->count());
        self::assertSame(self::NAMES, DB::table('standings')->where('next_kind', 'handover')->whereIn('name_id', $names)->count());

        return $kills;
    }

    /**
     * A deed in our own books, which closes its docket and makes its proof.
     *
     * @param  list<int>  $names
     * @param  callable(): string  $fault
     */
    private function change(array $names, callable $fault, int $times): int
    {
        $docket = $this->settled(ChangeIntent::key(), $names, ['intent' => Intent::Lapse->value]);
        // By the sweeper's own rule: whatever is not closed is found again.
        $isDone = function () use ($docket): bool {
            app(BeginDocketLines::class)->sweep();

            return $docket->refresh()->state === DocketState::Closed;
        };
        $kills = $this->work(['acre:begin', (string) $docket->id], $isDone, $fault, $times, beginsAtOnce: true);

        self::assertSame(
            self::NAMES,
            DB::table('registrations')->whereIn('name_id', $names)->where('intent', Intent::Lapse->value)->where('version', 2)->count(),
        );
        self::assertSame(self::NAMES, DB::table('log')->where('event', ChangeIntent::key())->whereIn('subject_id', $names)->count());
        self::assertSame(
            [1, 1],
            [
                Proof::query()->where('docket_id', $docket->id)->count(),
                DB::table('log')->where('event', 'closed')->where('subject_id', $docket->id)->count(),
            ],
        );
        self::assertSame(
            [],
            array_filter(iterator_to_array(app(VerifyProofs::class)->handle(), false), fn (array $proof): bool => $proof[1] !== null),
        );

        return $kills;
    }

    /**
     * Handovers told to the simulated registrar, accepted there, and taken as its messages.
     *
     * @param  callable(): string  $fault
     */
    private function wire(int $count, callable $fault, int $times): int
    {
        $this->app->forgetInstance(World::class);
        $this->app->register(OutsideServiceProvider::class, true);
        $world = $this->app->make(World::class);
        $house = $this->house();
        $trial = ++self::$works;
        $house->skerry->update(['link' => 'wire', 'gate' => 'epp.skerry.example:700']);
        [$giver, $receiver] = [$house->account("FG-{$trial}", null), $house->account("FR-{$trial}", $house->foundry)];
        $giver->update([
            'gate_secret_id' => Secret::query()->create(['kind' => 'gate_password', 'about' => 'a trial', 'value' => 'three cormorants'])
                ->id,
            'gate_for' => GatePin::of($giver->registrar()->sole()),
        ]);
        $names = array_map(fn (int $one): Name => $house->name("fault-wire-{$trial}-{$one}.com", $giver), range(1, $count));
        $world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'accounts' => array_map(
                fn (Account $one): array => [
                    'number' => $one->number,
                    'registrar' => 'skerry',
                    'login' => (string) $one->login,
                    'mailbox' => 'a@b.example',
                    'password' => 'three cormorants',
                    'balance' => 0,
                ],
                [$giver, $receiver],
            ),
            'names' => array_map(
                fn (Name $name): array => [
                    'name' => $name->ascii,
                    'registrar' => 'skerry',
                    'created' => 1_600_000_000,
                    'ends' => 1_900_000_000,
                    'updated' => 0,
                    'statuses' => [],
                    'servers' => [],
                    'shown' => [],
                    'holder' => ['handle' => 'F-1'],
                    'autoRenew' => true,
                    'account' => $giver->number,
                    'due' => 4_000_000_000,
                ],
                $names,
            ),
        ]);
        $ids = array_map(fn (Name $name): int => $name->id, $names);
        $docket = $this->settled(HandOverNames::key(), $ids, $house->terms($receiver)->pack());
        app(BeginDocketLines::class)->handle($docket->id);
        $orders = DB::table('orders')->where('account_id', $giver->id);

        $kills = $this->work(
            ['acre:work-gate', (string) $giver->id],
            fn (): bool => $orders
                ->clone()
                ->whereIn('state', ['waiting', 'sent'])
                ->doesntExist(),
            $fault,
            intdiv($times + 1, 2),
        );
        self::assertSame($count, $orders->clone()->where('state', 'pending')->count());
        self::assertSame(
            ['update 1001' => $count],
            array_count_values(
                array_values(array_filter($world->heard($giver->number), fn (string $heard): bool => str_starts_with($heard, 'update'))),
            ),
            'each was told once',
        );

        foreach ($names as $name) {
            $world->play($name->ascii, 'accepts');
        }
        $kills += $this->work(
            ['acre:work-gate', (string) $giver->id],
            fn (): bool => $docket->refresh()->state === DocketState::Closed,
            $fault,
            $times - $kills,
        );
        self::assertSame($count, DB::table('gate_messages')->where('account_id', $giver->id)->count());
        self::assertSame(
            [$count, $count],
            [
                DB::table('holdings')->whereIn('name_id', $ids)->where('account_id', $receiver->id)->count(),
                DB::table('docket_lines')->where('docket_id', $docket->id)->where('state', 'done')->count(),
            ],
        );
        self::assertSame(1, Proof::query()->where('docket_id', $docket->id)->count());
        $house->skerry->update(['link' => 'slip']);

        return $kills;
    }

    /**
     * Transfers by wire at both ends: lock and code there, asked for and paid here, approved there, arrived here.
     *
     * @param  callable(): string  $fault
     */
    private function transfers(int $count, callable $fault, int $times): int
    {
        [$world, $losing, $gaining, $ids] = $this->betweenRegistrars($count);
        $docket = $this->settled(TransferNames::key(), $ids, (new TransferTerms($gaining->id, true))->pack());
        $kills = $this->carried($docket, $losing, $gaining, $fault, $times);
        $this->assertMovedOnce($world, $gaining, $ids);

        return $kills;
    }

    /**
     * A migration: its pilot, then lot after lot as its days come, to the end.
     *
     * @param  callable(): string  $fault
     */
    private function migration(int $count, int $perDay, int $pilot, callable $fault, int $times): int
    {
        [$world, $losing, $gaining, $ids] = $this->betweenRegistrars($count);
        $now = $this->app->make(TradeClock::class)->now();
        $terms = new PlanTerms(new TransferTerms($gaining->id, true), $now->date(), $perDay, true, null, null, $pilot, null, 5);
        $plan = $this->app->make(SavePlan::class)->handle($this->house()->steward, House::token(), $ids, $terms);
        $kills = $lots = 0;
        foreach (DB::table('plan_names')->where('plan_id', $plan->id)->orderBy('day')->distinct()->pluck('day') as $day) {
            self::assertIsString($day);
            // By noon the day has come, wherever it was counted.
            $noon = Instant::of($day)->plusSeconds(43_200);
            $this->app->make(TradeClock::class)->set(Instant::latest($now, $noon));
            $docket = $this->app->make(StartLot::class)->handle($this->house()->steward, $plan);
            $kills += $this->carried($docket, $losing, $gaining, $fault, min($times - $kills, intdiv($times, 3) + 1));
            $this->app->make(WatchPlans::class)->handle();
            $lots++;
        }
        $this->app->make(TradeClock::class)->set($now);
        self::assertSame([PlanState::Ended, 1 + intdiv($count - $pilot, $perDay)], [$plan->refresh()->state, $lots]);
        self::assertSame($lots, Proof::query()->whereIn(
            'docket_id',
            DB::table('plan_names')->where('plan_id', $plan->id)->select('docket_id'),
        )->count());
        $this->assertMovedOnce($world, $gaining, $ids);

        return $kills;
    }

    /** @param  callable(): string  $fault */
    private function renewals(int $count, callable $fault, int $times): int
    {
        $between = $this->betweenRegistrars($count, Instant::of('2027-11-02')->epoch);

        return $this->bought(RenewNames::key(), ['years' => 1], $between, 9_90, '2028-11-02', ['renew 1000' => 1], $fault, $times);
    }

    /** @param  callable(): string  $fault */
    private function restores(int $count, callable $fault, int $times): int
    {
        $deleted = ['redemptionPeriod', 'pendingDelete'];
        $price = ['registrar_id' => $this->house()->skerry->id, 'suffix' => 'com', 'action' => 'restore'];
        Price::query()->where($price)->firstOr(fn () => Price::query()->create(
            $price + ['amount' => '86.00', 'currency' => 'GBP', 'span' => Span::since(Instant::of('2020-01-01'))],
        ));
        $between = $this->betweenRegistrars($count, Instant::of('2026-08-20')->epoch, $deleted, 86_00);
        DB::table('registrations')->whereIn('name_id', $between[3])->update([
            'ends_on' => '2026-08-20',
            'statuses' => json_encode($deleted),
            'deleted_since' => '2026-10-01',
        ]);

        return $this->bought(
            RestoreNames::key(),
            ['reason' => 'money'],
            $between,
            86_00,
            '2027-08-20',
            ['update 1000' => 2],
            $fault,
            $times,
        );
    }

    /**
     * @param  array<string, mixed>  $terms
     * @param  array{World, Account, Account, list<int>}  $between
     * @param  int  $price  pence of each
     * @param  array<string, int>  $heard  how often a registrar hears what of each
     * @param  callable(): string  $fault
     */
    private function bought(
        string $deed,
        array $terms,
        array $between,
        int $price,
        string $ends,
        array $heard,
        callable $fault,
        int $times,
    ): int {
        [$world, $account, , $ids] = $between;
        $count = count($ids);
        $docket = $this->settled($deed, $ids, $terms);
        app(BeginDocketLines::class)->handle($docket->id);
        $kills = $this->work(
            ['acre:work-gate', (string) $account->id],
            fn (): bool => $docket->refresh()->state === DocketState::Closed,
            $fault,
            $times,
        );
        // The balance is enough for each once, and for none twice.
        self::assertSame(
            array_map(fn (int $each): int => $count * $each, $heard),
            array_intersect_key(array_count_values($world->heard($account->number)), $heard),
            'each once',
        );
        self::assertSame(
            [$count, $count, -$price * $count, $count],
            [
                DB::table('docket_lines')->where('docket_id', $docket->id)->where('state', 'done')->count(),
                DB::table('ledger')->whereIn('name_id', $ids)->count(),
                (int) round(100 * (float) DB::table('ledger')->whereIn('name_id', $ids)->sum('amount')),
                DB::table('registrations')->whereIn('name_id', $ids)->where('ends_on', $ends)->count(),
            ],
        );
        $this->house()->skerry->update(['link' => 'slip']);

        return $kills;
    }

    /**
     * @param  list<string>  $statuses
     * @param  int  $each  pence that its account holds for each
     * @return array{World, Account, Account, list<int>} an account at each registrar, told by wire, and names in the first
     */
    private function betweenRegistrars(
        int $count,
        int $ends = 1_900_000_000,
        array $statuses = ['clientTransferProhibited'],
        int $each = 9_90,
    ): array {
        $this->app->forgetInstance(World::class);
        $this->app->register(OutsideServiceProvider::class, true);
        $world = $this->app->make(World::class);
        $house = $this->house();
        $trial = ++self::$works;
        $lantern = Registrar::query()->firstOrCreate(['name' => 'Lantern Wholesale']);
        $lantern->update(['link' => 'wire', 'gate' => 'epp.lantern.example:700']);
        $house->skerry->update(['link' => 'wire', 'gate' => 'epp.skerry.example:700']);
        $price = ['registrar_id' => $lantern->id, 'suffix' => 'com', 'action' => 'transfer'];
        Price::query()->where($price)->firstOr(fn () => Price::query()->create(
            $price + ['amount' => '9.90', 'currency' => 'GBP', 'span' => Span::since(Instant::of('2020-01-01'))],
        ));
        [$losing, $gaining] = [$house->account("FL-{$trial}", null), $house->account("FN-{$trial}", null, $lantern)];
        foreach ([$losing, $gaining] as $account) {
            $secret = Secret::query()->create(['kind' => 'gate_password', 'about' => 'a trial', 'value' => 'three cormorants']);
            $account->update(['gate_secret_id' => $secret->id, 'gate_for' => GatePin::of($account->registrar()->sole())]);
        }
        $names = array_map(
            fn (int $one): Name => $house->name("fault-move-{$trial}-{$one}.com", $losing, facts: ['lock' => 'on']),
            range(1, $count),
        );
        $world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'accounts' => array_map(
                fn (Account $one): array => [
                    'number' => $one->number,
                    'registrar' => $one->is($losing) ? 'skerry' : 'lantern',
                    'login' => (string) $one->login,
                    'mailbox' => 'a@b.example',
                    'password' => 'three cormorants',
                    'balance' => $count * $each,
                ],
                [$losing, $gaining],
            ),
            'names' => array_map(
                fn (Name $name): array => [
                    'name' => $name->ascii,
                    'registrar' => 'skerry',
                    'created' => 1_600_000_000,
                    'ends' => $ends,
                    'updated' => 0,
                    'statuses' => $statuses,
                    'servers' => [],
                    'shown' => [],
                    'holder' => ['handle' => 'F-1'],
                    'autoRenew' => true,
                    'account' => $losing->number,
                    'due' => 4_000_000_000,
                ],
                $names,
            ),
        ]);

        return [$world, $losing, $gaining, array_map(fn (Name $name): int => $name->id, $names)];
    }

    /**
     * A docket of transfers from its first order to its end.
     *
     * @param  callable(): string  $fault
     */
    private function carried(Docket $docket, Account $losing, Account $gaining, callable $fault, int $times): int
    {
        app(BeginDocketLines::class)->handle($docket->id);
        $lines = DB::table('docket_lines')->where('docket_id', $docket->id);
        $count = $lines->count();
        $orders = fn (string $kind, string ...$states): int => DB::table('orders')
            ->whereIn('docket_line_id', $lines->clone()->select('id'))
            ->where('kind', $kind)
            ->whereIn('state', $states)
            ->count();
        $kills = 0;
        // The balance is enough for each once, and for none twice.
        foreach (
            [
                [$losing, fn (): bool => $orders('auth_code', 'done') === $count],
                [$gaining, fn (): bool => $orders('transfer', 'waiting', 'sent') === 0],
                [$losing, fn (): bool => $orders('approve_transfer', 'done') === $count],
                [$gaining, fn (): bool => $docket->refresh()->state === DocketState::Closed],
            ] as [$account, $isDone]
        ) {
            $kills += $this->work(['acre:work-gate', (string) $account->id], $isDone, $fault, $times - $kills);
        }

        return $kills;
    }

    /** @param  list<int>  $ids */
    private function assertMovedOnce(World $world, Account $gaining, array $ids): void
    {
        $asked = array_filter($world->heard($gaining->number), fn (string $heard): bool => $heard === 'transfer 1001');
        self::assertCount(count($ids), $asked, 'each was paid once');
        self::assertSame(
            [count($ids), count($ids), count($ids), 0],
            [
                DB::table('orders')->whereIn('name_id', $ids)->where('kind', 'transfer')->where('state', 'done')->count(),
                DB::table('holdings')->whereIn('name_id', $ids)->where('account_id', $gaining->id)->whereRaw('upper_inf(span)')->count(),
                DB::table('docket_lines')->whereIn('name_id', $ids)->where('state', 'done')->count(),
                DB::table('movements')->whereIn('name_id', $ids)->whereNull('closed_on')->count(),
            ],
        );
        $this->house()->skerry->update(['link' => 'slip']);
    }

    /**
     * A letter that asks a receiver for their word, sent and answered; what waited for it goes on.
     *
     * @param  callable(): string  $fault
     */
    private function letter(int $count, callable $fault, int $times): int
    {
        $this->app->forgetInstance(World::class);
        $this->app->register(OutsideServiceProvider::class, true);
        $world = $this->app->make(World::class);
        $house = $this->house();
        $trial = ++self::$works;
        $house->skerry->update(['accepts_by' => 'letter']);
        $receiver = $house->account("FL-{$trial}", $house->foundry);
        $receiver->update(['mailbox' => "fault-{$trial}@letters.example"]);
        $ids = array_map(fn (int $one): int => $house->name("fault-letter-{$trial}-{$one}.com")->id, range(1, $count));
        $docket = $this->settled(HandOverNames::key(), $ids, $house->terms($receiver)->pack());
        app(BeginDocketLines::class)->handle($docket->id);

        $letters = DB::table('letters')->where('docket_id', $docket->id);
        $kills = $this->work(['acre:work-post'], fn (): bool => $letters->clone()->where('state', 'sent')->exists(), $fault, $times);
        $got = array_map(MailLetter::read(...), $world->letters("fault-{$trial}@letters.example"));
        self::assertSame(
            [1, 1, $letters->clone()->value('message_id')],
            [$letters->clone()->count(), count(array_unique(array_column($got, 'id'))), $got[0]->id],
        );
        self::assertLessThanOrEqual(1 + $kills, count($got), 'given once more, and only after a death');

        self::assertSame(1, preg_match('~/answer/([\\w-]{43})~', $got[0]->text, $link));
        self::assertTrue(
            app(ReceiverAnswers::class)->accept($link[1] ?? '', ['number' => $receiver->number, 'login' => (string) $receiver->login]),
        );
        $kills += $this->work(
            ['acre:work-post'],
            fn (): bool => DB::table('acceptances')->where('docket_id', $docket->id)->whereNotNull('carried_at')->exists(),
            $fault,
            $times - $kills,
        );
        $legs = DB::table('legs')->whereIn('movement_id', DB::table('movements')->where('docket_id', $docket->id)->select('id'));
        self::assertSame(
            [$count, 0],
            [
                $legs->clone()->where('kind', 'accept')->whereNotNull('done_on')->count(),
                $legs->clone()->where('kind', '<>', 'accept')->whereNotNull('done_on')->count(),
            ],
        );
        $house->skerry->update(['accepts_by' => 'page']);

        return $kills;
    }

    /**
     * A new registrant who agrees to a hundred and twenty names: what waited for them stands on the slip, each once.
     *
     * @param  callable(): string  $fault
     */
    private function confirm(int $count, callable $fault, int $times): int
    {
        $this->app->forgetInstance(World::class);
        $this->app->register(OutsideServiceProvider::class, true);
        $world = $this->app->make(World::class);
        $house = $this->house();
        $trial = ++self::$works;
        $names = array_map(fn (int $one): Name => $house->name("fault-agree-{$trial}-{$one}.com"), range(1, $count));
        app(RecordRegistrants::class)->of(
            array_fill_keys(array_map(fn (Name $name): int => $name->id, $names), [
                'registrant' => "Bell {$trial}",
                'mailbox' => "fault-prior-{$trial}@letters.example",
            ]),
            'typed',
            null,
        );
        $terms =
            ['agent' => 'prior'] +
            $house->anotherRegistrant($names[0], ['organisation' => "Peal {$trial}", 'mailbox' => "fault-new-{$trial}@letters.example"]);
        $docket = $this->settled('change_registrant', array_map(fn (Name $name): int => $name->id, array_slice($names, 1)), $terms);
        app(BeginDocketLines::class)->handle($docket->id);
        app(SendLetters::class)->handle();
        self::assertSame(
            1,
            preg_match('~/answer/([\w-]{43})~', MailLetter::read($world->letters("fault-new-{$trial}@letters.example")[0])->text, $link),
        );
        self::assertTrue(app(SideAnswers::class)->yes($link[1] ?? ''));
        $kills = $this->work(
            ['acre:work-post'],
            fn (): bool => DB::table('confirmations')->where('docket_id', $docket->id)->whereNotNull('carried_at')->exists(),
            $fault,
            $times,
        );
        $legs = DB::table('legs')->whereIn('movement_id', DB::table('movements')->where('docket_id', $docket->id)->select('id'));
        self::assertSame(
            [$count - 1, 0],
            [
                $legs->clone()->where('kind', 'confirm_new')->whereNotNull('done_on')->count(),
                $legs->clone()->where('kind', 'registrant')->whereNotNull('done_on')->count(),
            ],
        );
        self::assertCount(
            $count - 1,
            DocketLine::query()->withoutOpenWord()->where('docket_id', $docket->id)->where('state', LineState::Begun)->get(),
        );

        return $kills;
    }

    /** @return list<int> three hundred new names, in our account */
    private function names(): array
    {
        $import = $this->import(self::NAMES);
        app(ReadImport::class)->handle($import);
        $import->refresh()->update(['state' => ImportState::Writing]);
        app(WriteImport::class)->handle($import);
        Storage::delete($import->path);

        return array_values(
            array_filter(
                DB::table('names')
                    ->where('ascii', 'like', "fault-{$import->id}-%")
                    ->orderBy('id')
                    ->pluck('id')
                    ->all(),
                is_int(...),
            ),
        );
    }

    private function import(int $lines): Import
    {
        $house = $this->house();
        $import = Import::query()->create([
            'user_id' => $house->clerk->id,
            'file' => 'faults.csv',
            'path' => 'imports/faults-'.++self::$works.'.csv',
            'registrar_id' => $house->skerry->id,
            'account_id' => $house->ours->id,
            'client_id' => $house->foundry->id,
            'shape' => ['headings' => ['name', 'ends', 'created', 'words'], 'samples' => []],
            'matched' => ['columns' => ['name', 'ends', 'created', 'words'], 'order' => 'ymd'],
            'state' => ImportState::Reading,
        ]);
        $rows = array_map(fn (int $line): string => "fault-{$import->id}-{$line}.com,2027-11-02,2020-11-02,autumn", range(1, $lines));
        Storage::put($import->path, "name,ends,created,words\n".implode("\n", $rows)."\n");

        return $import;
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

    /**
     * Starts a worker again and again until its work is done, the first ones with a fault.
     *
     * @param  list<string>  $command
     * @param  callable(): bool  $isDone
     * @param  callable(): string  $fault
     * @return int how many times something was killed
     */
    private function work(array $command, callable $isDone, callable $fault, int $times, bool $beginsAtOnce = false): int
    {
        $kills = 0;
        for ($starts = 0; ($starts === 0 && $beginsAtOnce) || ! $isDone(); $starts++) {
            $database = $this->postmaster();
            $worker = new Process(
                [PHP_BINARY, 'artisan', ...$command],
                base_path(),
                $kills < $times ? ['ACRE_FAULT' => $fault()] : [],
                null,
                120,
            );
            try {
                $worker->run();
            } catch (ProcessSignaledException) {
                // Which is what was planned.
            }
            if (! str_contains($worker->getErrorOutput(), Fault::STRUCK)) {
                self::assertSame(0, $worker->getExitCode(), $worker->getOutput().$worker->getErrorOutput());

                continue;
            }
            $kills++;
            if (! $worker->hasBeenSignaled()) {
                $this->untilDatabaseIsBack($database);
            }
        }

        return $kills;
    }

    /** @return Closure(): string a fault after an answer of the database that chance picks, among so many; its seed is fixed */
    private function anywhere(int $seed, int $answers): Closure
    {
        $random = new Randomizer(new Mt19937($seed));

        return fn (): string => $this->fault(
            Fault::STATEMENT,
            $random->getInt(1, $answers),
            $random->getInt(0, 3) === 0 ? self::DATABASE : self::WORKER,
        );
    }

    private function fault(string $place, int $arrival, string $victim): string
    {
        return "{$place}:{$arrival}".($victim === self::DATABASE ? ':'.$this->postmaster() : '');
    }

    private function postmaster(): int
    {
        $file = dirname((string) getenv('LARAVEL_STORAGE_PATH')).'/pg/postmaster.pid';
        $lines = is_file($file) ? @file($file) : false;

        // Just made, it is empty for a moment.
        return (int) (($lines === false ? null : $lines[0] ?? null) ?? throw new RuntimeException("{$file} can't be read."));
    }

    private function untilDatabaseIsBack(int $killed): void
    {
        Until::so('the database', function () use ($killed): bool {
            DB::purge();
            DB::purge('owner');
            try {
                return $this->postmaster() !== $killed && DB::select('SELECT 1') !== [];
            } catch (PDOException|RuntimeException) {
                // Neither its process nor its file need be there yet.
                return false;
            }
        });
    }

    private function stateOf(Import $import): ImportState
    {
        return $import->refresh()->state;
    }

    private function house(): House
    {
        return self::$house ?? throw new RuntimeException('There is no house yet.');
    }
}
