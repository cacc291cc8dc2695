<?php

declare(strict_types=1);

namespace Tests\Faults;

use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Models\Docket;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\LineState;
use App\Models\Movement;
use App\Models\Name;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use Tests\Feature\House;

/** Workers killed by the hundred, at places that only chance picks (its seed is fixed): nothing is lost, half done or done twice. */
final class KilledWorkersTest extends TestCase
{
    private const KILLS = 120;

    private Randomizer $random;

    protected function setUp(): void
    {
        parent::setUp();
        Artisan::call('migrate:fresh', ['--database' => 'owner', '--force' => true]);
        Queue::fake();
        $this->random = new Randomizer(new Mt19937(9));
    }

    /**
     * Starts the work again and again and kills each start somewhere, until one comes to its end by itself.
     *
     * @param  list<string>  $command
     * @param  callable(): bool  $isDone
     */
    private function killUntilDone(array $command, callable $isDone): int
    {
        $kills = 0;
        while (! $isDone()) {
            $worker = new Process([PHP_BINARY, 'artisan', ...$command], base_path(), null, null, 300);
            $worker->start();
            if ($kills < self::KILLS) {
                // Booting takes most of a start; the kill falls anywhere from then until well into the work.
                usleep($this->random->getInt(60_000, 340_000));
                if ($worker->isRunning()) {
                    $worker->signal(SIGKILL);
                    $kills++;
                }
            }
            $worker->wait();
        }

        return $kills;
    }

    public function test_a_docket_of_six_hundred_names_is_begun_once_each(): void
    {
        $house = new House;
        $names = array_map(fn (int $number): int => $house->name("bell-{$number}.com")->id, range(1, 600));
        $docket = app(PrepareDocket::class)->handle($house->clerk, House::token(), 'hand_over', $names, $house->terms()->pack(), $names);
        app(SettleDocket::class)->handle($house->steward, $docket);
        $kills = $this->killUntilDone(['acre:begin', (string) $docket->id], fn (): bool => $docket->lines()->where('state', LineState::Waiting)->doesntExist());

        self::assertGreaterThan(0, $kills);
        self::assertSame(600, $docket->lines()->where('state', LineState::Begun)->count());
        self::assertSame(600, Movement::query()->whereNull('closed_on')->count());
        self::assertSame(1200, DB::table('legs')->count());
        self::assertSame(600, DB::table('log')->where('event', 'begun')->count());
        self::assertSame(600, DB::table('standings')->where('next_kind', 'handover')->count());
        self::assertSame(1, Docket::query()->count());
    }

    public function test_a_list_of_four_thousand_names_is_read_and_written_once_each(): void
    {
        $house = new House;
        $rows = implode("\n", array_map(fn (int $number): string => "bell-{$number}.com,2027-11-02,2020-11-02", range(1, 4000)));
        Storage::put('imports/faults.csv', "name,ends,created\n{$rows}\n");
        $import = Import::query()->create([
            'user_id' => $house->clerk->id, 'file' => 'faults.csv', 'path' => 'imports/faults.csv', 'registrar_id' => $house->skerry->id, 'account_id' => $house->ours->id, 'client_id' => $house->foundry->id,
            'shape' => ['headings' => ['name', 'ends', 'created'], 'samples' => []], 'matched' => ['columns' => ['name', 'ends', 'created'], 'order' => 'ymd'], 'state' => ImportState::Reading,
        ]);
        $state = fn (): string => Import::query()->findOrFail($import->id)->state->value;
        $kills = $this->killUntilDone(['acre:work-list', (string) $import->id], fn (): bool => $state() !== 'reading');
        self::assertSame(1, Import::query()->where('state', ImportState::Read)->count());
        self::assertSame(4000, DB::table('import_rows')->where('verdict', 'new')->count());

        $import->update(['state' => ImportState::Writing, 'rows_total' => 4000, 'rows_written' => 0]);
        $kills += $this->killUntilDone(['acre:work-list', (string) $import->id], fn (): bool => $state() !== 'writing');
        self::assertGreaterThan(0, $kills);
        self::assertSame(['done', 4000], [$state(), Import::query()->findOrFail($import->id)->rows_written]);
        self::assertSame([4000, 4000, 4000, 4000], [Name::query()->count(), DB::table('registrations')->count(), DB::table('holdings')->count(), DB::table('standings')->count()]);
        self::assertSame(4000, DB::table('log')->where('event', 'brought_in')->count());
        Storage::delete('imports/faults.csv');
    }
}
