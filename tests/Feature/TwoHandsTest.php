<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Movement;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Symfony\Component\Process\Process;
use Tests\Until;

/** What only two real connections can show: both see the same name free, and one of them wins. */
final class TwoHandsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->fresh();
    }

    protected function tearDown(): void
    {
        $this->fresh();
        parent::tearDown();
    }

    /** Other processes must see what is written, so nothing is rolled back here: the tables are emptied before and after. */
    private function fresh(): void
    {
        Artisan::call('migrate:fresh', ['--database' => 'owner', '--force' => true]);
    }

    public function test_of_two_handovers_of_one_name_one_wins_and_the_others_line_says_so(): void
    {
        Queue::fake();
        $house = new House();
        $other = $house->account('52044', $house->harrow);
        $names = array_map(fn (int $number): int => $house->name("bell-{$number}.com")->id, range(1, 12));
        $dockets = [];
        foreach ([$house->theirs, $other] as $receiver) {
            $docket = app(PrepareDocket::class)->handle(
                $house->clerk,
                House::token(),
                'hand_over',
                $names,
                $house->terms($receiver)->pack(),
                $names,
            );
            app(SettleDocket::class)->handle($house->steward, $docket);
            $dockets[] = $docket->id;
        }
        // Two workers, each a process with a connection of its own, on a name each wants: held back until both are up.
        DB::connection('owner')->beginTransaction();
        DB::connection('owner')->select('SELECT id FROM names ORDER BY id FOR UPDATE');
        $workers = array_map(function (int $id): Process {
            $worker = new Process([PHP_BINARY, 'artisan', 'acre:begin', (string) $id], base_path(), null, null, 60);
            $worker->start();

            return $worker;
        }, $dockets);
        Until::so(
            'the two workers at the lock',
            fn (): bool => DB::connection('owner')->table('pg_locks')->where('granted', false)->distinct()->count('pid') >= 2,
        );
        DB::connection('owner')->rollBack();
        foreach ($workers as $worker) {
            self::assertSame(0, $worker->wait(), $worker->getErrorOutput().$worker->getOutput());
        }

        self::assertSame(count($names), Movement::query()->whereNull('closed_on')->count());
        foreach ($names as $name) {
            $lines = DocketLine::query()->where('name_id', $name)->get();
            self::assertSame(
                ['begun', 'stopped'],
                $lines->map(fn (DocketLine $line): string => $line->state->value)->sort()->values()->all(),
            );
            $stopped = $lines->firstOrFail(fn (DocketLine $line): bool => $line->state === LineState::Stopped);
            $winner = $lines->firstOrFail(fn (DocketLine $line): bool => $line->state === LineState::Begun);
            self::assertSame('movement.under_way', $stopped->findings[0]['key']);
            self::assertEquals(
                ['docket' => ['count', $winner->docket_id]],
                array_intersect_key((array) $stopped->findings[0]['with'], ['docket' => 1]),
            );
        }
        self::assertSame(2, Docket::query()->count());
    }
}
