<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Term;
use Acre\Core\Rulebook\EndPhase;
use Acre\Core\Time\Instant;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Given;
use Tests\TestCase;

/** Dates, held against PostgreSQL's intervals and the published periods. */
final class LifecycleReferenceTest extends TestCase
{
    public function test_years_and_months_are_added_as_postgresql_does(): void
    {
        $random = new Randomizer(new Mt19937(29022024));
        $cases = [['2024-02-29', 12], ['2024-02-29', 48], ['2023-02-28', 12], ['2096-02-29', 48]];
        for ($case = 0; $case < 5000; $case++) {
            $cases[] = [
                Instant::of('1995-01-01')->plusDays($random->getInt(0, 22_000))->iso(),
                $random->getInt(0, 1) === 1 ? 12 * $random->getInt(-10, 10) : $random->getInt(-30, 30),
            ];
        }
        /** @var list<object{sum: string}> $rows */
        $rows = DB::select(
            'SELECT (day + months * interval \'1 month\')::date::text AS sum FROM ROWS
                FROM (jsonb_to_recordset(?::jsonb) AS (day date, months int)) WITH ORDINALITY AS t(day, months, place) ORDER BY place',
            [json_encode(array_map(fn (array $case): array => ['day' => $case[0], 'months' => $case[1]], $cases))],
        );
        self::assertCount(count($cases), $rows);
        foreach ($cases as $place => [$day, $months]) {
            self::assertSame($rows[$place]->sum, Instant::of($day)->plusMonths($months)->iso(), "{$day} + {$months} months");
        }
    }

    /** An end that is an anniversary of the first date, renewed again, is the first date plus all the years. */
    public function test_renewals_are_counted_from_the_first_date_as_postgresql_counts(): void
    {
        $random = new Randomizer(new Mt19937(10));
        $cases = [];
        for ($case = 0; $case < 2000; $case++) {
            $cases[] = [
                'day' => Instant::of('2000-01-01')->plusDays($random->getInt(0, 9000))->iso(),
                'had' => $random->getInt(1, 9),
                'more' => $random->getInt(1, 9),
            ];
        }
        /** @var list<object{ends: string, then: string}> $rows */
        $rows = DB::select(
            'SELECT (day + had * interval \'1 year\')::date::text AS ends, (day + (had + more) * interval \'1 year\')::date::text AS then
             FROM ROWS FROM (jsonb_to_recordset(?::jsonb) AS (day date, had int, more int)) WITH ORDINALITY AS t(day, had, more, place)
             ORDER BY place',
            [json_encode($cases)],
        );
        foreach ($cases as $place => $case) {
            self::assertSame(
                $rows[$place]->then,
                Term::extend(Instant::of($case['day']), Instant::of($rows[$place]->ends), 12 * $case['more'])->iso(),
            );
        }
    }

    /** Source: gTLD registry agreements with RFC 3915 §2: auto-renew grace up to 45 days, redemption 30, pending delete 5. */
    public function test_the_periods_of_a_gtld(): void
    {
        foreach (['com', 'net', 'org'] as $suffix) {
            $rules = Given::rulebook()->for($suffix, Instant::of('2026-10-06'));
            self::assertSame(
                [['grace', 45], ['redemption', 30], ['pending_delete', 5]],
                array_map(fn (EndPhase $phase): array => [$phase->phase->value, $phase->days], $rules->end->value),
            );
        }
    }

    /** Source: RFC 3915 §3.1 and §4.2.5, read from the published text: every status that we take for a phase is one of its own. */
    #[Group('published')]
    public function test_the_statuses_of_rfc_3915(): void
    {
        $text = Published::rfc(3915);
        $ours = array_filter(
            Status::cases(),
            fn (Status $status): bool => $status->phase() !== null || str_ends_with($status->value, 'Period'),
        );
        self::assertGreaterThanOrEqual(7, count($ours));
        foreach ($ours as $status) {
            self::assertStringContainsString($status->value, $text);
        }
    }

    /** Source: RFC 5731 §2.3, read from the published text: the list of object statuses, whole. */
    #[Group('published')]
    public function test_the_statuses_of_rfc_5731(): void
    {
        $text = Published::rfc(5731);
        $section = substr($text, (int) strpos($text, '2.3.  Status Values', 5000), 9000);
        preg_match_all('/\b((?:client|server)[A-Z][A-Za-z]+|pending[A-Z][a-z]+|inactive)\b/', $section, $found);
        $ours = array_map(fn (Status $status): string => $status->value, Status::cases());
        self::assertGreaterThan(12, count(array_unique($found[1])));
        self::assertSame([], array_values(array_diff(array_unique($found[1]), $ours)));
    }
}
