<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Precision;
use Acre\Core\Time\Span;
use App\Models\Casts\AsSpan;
use App\Models\Registration;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;
use UnexpectedValueException;

/** Values on their way into the tables and out again. */
final class CastsTest extends TestCase
{
    #[TestWith(['2026-10-06', null])]
    #[TestWith(['2026-10-06T09:00:01Z', '2027-01-01'])]
    #[TestWith([null, '2026-10-06'])]
    #[TestWith([null, null])]
    public function test_a_span_is_the_same_after_the_database_has_had_it(?string $from, ?string $until): void
    {
        $span = Span::of($from === null ? null : Instant::of($from), $until === null ? null : Instant::of($until));
        $text = Row::of(DB::selectOne('SELECT (?::tstzrange)::text AS span', [AsSpan::write($span)]))->text('span');
        $read = AsSpan::read($text);
        self::assertSame([$from, $until], [$read->from?->iso(), $read->until?->iso()]);
    }

    #[TestWith(['empty'])]
    #[TestWith([''])]
    #[TestWith(['2026-10-06'])]
    public function test_what_is_no_span_is_not_read_as_one(string $text): void
    {
        $this->expectException(UnexpectedValueException::class);
        AsSpan::read($text);
    }

    public function test_a_fact_of_time_keeps_its_precision(): void
    {
        $house = new House();
        $house->name('day.com', facts: ['ends_on' => Instant::of('2027-11-02')]);
        $house->name('second.com', facts: ['ends_on' => Instant::of('2027-11-02T21:10:00Z')]);
        $house->name('none.com', facts: ['ends_on' => null]);
        $ends = fn (string $name): ?Instant => Registration::query()->whereRelation('name', 'ascii', $name)->sole()->ends_on;
        self::assertSame(['2027-11-02', Precision::Day], [$ends('day.com')?->iso(), $ends('day.com')?->precision]);
        self::assertSame('2027-11-02T21:10:00Z', $ends('second.com')?->iso());
        self::assertNull($ends('none.com'));
        $this->actingAs($house->reader)->get('/names/second.com')->assertSee('2 Nov 2027');
    }

    public function test_a_row_gives_only_what_was_asked_of_its_type(): void
    {
        $row = Row::of(
            DB::selectOne(
                "SELECT 7 AS number, 'text' AS word, true AS flag, NULL AS nothing, timestamptz '2026-10-06 09:00+00' AS at,
                    'infinity'::timestamptz AS never, '{\"a\": 1}'::jsonb AS json",
            ),
        );
        self::assertSame(
            [7, 'text', true, null, null, '2026-10-06T09:00:00Z', null, ['a' => 1]],
            [
                $row->int('number'),
                $row->text('word'),
                $row->bool('flag'),
                $row->intOrNull('nothing'),
                $row->textOrNull('missing'),
                $row->instant('at')?->iso(),
                $row->instant('never'),
                $row->json('json'),
            ],
        );
        foreach (['int' => $row->int(...), 'text' => $row->text(...), 'json' => $row->json(...)] as $type => $read) {
            try {
                $read('nothing');
                self::fail("NULL was taken as {$type}.");
            } catch (UnexpectedValueException $e) {
                self::assertStringContainsString('nothing', $e->getMessage());
            }
        }
    }

    public function test_the_trade_clock_runs_on_from_where_it_was_set(): void
    {
        $clock = app(TradeClock::class);
        $clock->set(Instant::of('2030-01-31T23:59:58Z'));
        self::assertGreaterThanOrEqual(Instant::of('2030-01-31T23:59:58Z')->epoch, $clock->now()->epoch);
        $clock->forget();
        self::assertSame(
            '2030-01',
            substr(
                $clock
                    ->today()
                    ->plusDays(-1)
                    ->iso(),
                0,
                7,
            ),
        );
        $offset = Row::of(DB::table('settings')->where('key', 'trade_offset')->sole())->text('value');
        self::assertRunsWithTheMachine($clock, (int) $offset);
        DB::table('settings')->delete();
        $clock->forget();
        self::assertRunsWithTheMachine($clock, 0);
    }

    /** However slow the machine, its own time before and after the question holds the answer between them. */
    private static function assertRunsWithTheMachine(TradeClock $clock, int $offset): void
    {
        $before = time();
        $shown = $clock->now()->epoch - $offset;
        self::assertGreaterThanOrEqual($before, $shown);
        self::assertLessThanOrEqual(time(), $shown);
    }
}
