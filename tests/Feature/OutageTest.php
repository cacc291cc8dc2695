<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Middleware\SecurityHeaders;
use App\Support\ScheduleLock;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use PDOException;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;
use Tests\Until;

/** When the database is away or full: a calm page that comes back by itself. The states: PostgreSQL, appendix A. */
final class OutageTest extends TestCase
{
    #[TestWith(['08006', 'connection to server failed: Connection refused'])]
    #[TestWith(['57P01', 'terminating connection due to administrator command'])]
    #[TestWith(['57P03', 'the database system is starting up'])]
    #[TestWith(['53100', 'could not extend file: No space left on device'])]
    #[TestWith(['HY000', 'server closed the connection unexpectedly'])]
    public function test_it_is_told_calmly(string $state, string $said): void
    {
        $wrong = new PDOException("SQLSTATE[{$state}] [7] {$said}");
        Route::match(['get', 'post'], 'out', fn () => throw new QueryException('pgsql', 'SELECT 1', [], $wrong));
        $this->get('/out')
            ->assertStatus(503)
            ->assertHeader('Retry-After', '5')
            ->assertHeader('Content-Security-Policy', SecurityHeaders::POLICY)
            ->assertSee('Temporarily unavailable')
            ->assertSee('http-equiv="refresh"', false);
        $this->post('/out')->assertStatus(503)->assertSee('What you just sent was not saved')->assertDontSee('http-equiv="refresh"', false);
    }

    public function test_work_on_schedule_is_done_by_one_and_by_another_as_soon_as_that_one_is_gone(): void
    {
        $events = app(Schedule::class);
        $event = $events->call(fn () => null)->name('once at a time')->withoutOverlapping();
        $other = $events->call(fn () => null)->name('something else')->withoutOverlapping();
        $gone = new ScheduleLock(DB::connection('owner'));
        self::assertTrue($gone->create($event));
        self::assertFalse($event->filtersPass($this->app), 'another is at it');
        self::assertTrue($event->shouldSkipDueToOverlapping());
        self::assertTrue($other->filtersPass($this->app));
        // Killed, it says nothing more; its connection ends.
        DB::purge('owner');
        unset($gone);
        Until::so('its work is free', fn (): bool => $event->filtersPass($this->app));
        self::assertFalse($event->shouldSkipDueToOverlapping());
        self::assertFalse($event->filtersPass($this->app));
        $event->mutex->forget($event);
        self::assertTrue($event->filtersPass($this->app));
    }

    public function test_a_question_that_is_wrong_is_no_outage(): void
    {
        Route::get('wrong', fn () => DB::select('SELECT nothing_like_this'));
        $this->get('/wrong')->assertStatus(500)->assertSee('Something went wrong');
    }
}
