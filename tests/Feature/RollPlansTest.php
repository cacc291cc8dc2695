<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Queries\Roll\ReadRoll;
use App\Queries\Roll\RollFilter;
use App\Queries\Roll\Sort;
use App\Support\Row;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A page of the Roll walks an index in its own order, whatever the sentence: nothing is sorted, so size does not matter. */
final class RollPlansTest extends TestCase
{
    /** @return iterable<string, array{Sort, string|null}> */
    public static function sentences(): iterable
    {
        foreach (Sort::cases() as $sort) {
            foreach ([null, 'client', 'registrar', 'account'] as $word) {
                yield $sort->value.' of '.($word ?? 'all') => [$sort, $word];
            }
        }
    }

    #[DataProvider('sentences')]
    public function test_each_order_with_each_word_has_its_index(Sort $sort, ?string $word): void
    {
        $house = new House();
        $house->name('bell.com');
        $filter = new RollFilter(
            client: $word === 'client' ? $house->foundry->id : null,
            registrar: $word === 'registrar' ? $house->skerry->id : null,
            account: $word === 'account' ? $house->ours->id : null,
            sort: $sort,
            after: ['name' => 'bell.com~1', 'ends' => '2026-10-06 00:00:00+00~1', 'next' => '1~2026-10-06 00:00:00+00~1'][$sort->value],
        );
        $asked = [];
        DB::listen(function (QueryExecuted $query) use (&$asked): void {
            $asked[] = [$query->sql, $query->bindings];
        });
        app(ReadRoll::class)->page($filter, Instant::of('2026-10-06'), 50);
        self::assertCount(2, $asked);
        // On so small a table the planner would rather sort: here it is asked what it could do without.
        DB::statement('SET LOCAL enable_seqscan = off');
        DB::statement('SET LOCAL enable_sort = off');
        DB::statement('SET LOCAL enable_bitmapscan = off');
        $plan = implode(
            "\n",
            array_map(fn (Row $line): string => $line->text('QUERY PLAN'), Row::all(DB::select('EXPLAIN '.$asked[1][0], $asked[1][1]))),
        );
        self::assertStringContainsString(
            'Index Scan using standings_'.
                ($word === null ? '' : $word.'_').
                ['next' => 'next', 'ends' => 'ends', 'name' => 'ascii'][$sort->value],
            $plan,
        );
        self::assertStringNotContainsString('Sort', $plan);
        self::assertStringContainsString('Index Cond', $plan);
    }

    /** An index that no page asks for is written with every name, for nobody. */
    public function test_each_index_of_standings_is_asked_for_by_a_page(): void
    {
        $house = new House();
        $name = $house->name('bell.com');
        $asked = [];
        DB::listen(function (QueryExecuted $query) use (&$asked): void {
            if (str_contains($query->sql, 'standings') && preg_match('/^\s*(select|with)/i', $query->sql) === 1) {
                $asked[$query->sql] = $query->bindings;
            }
        });
        $filters = array_map(
            fn (array $sentence): RollFilter => new RollFilter(
                client: $sentence[1] === 'client' ? $house->foundry->id : null,
                registrar: $sentence[1] === 'registrar' ? $house->skerry->id : null,
                account: $sentence[1] === 'account' ? $house->ours->id : null,
                sort: $sentence[0],
            ),
            array_values([...self::sentences()]),
        );
        foreach (
            [
                ['phase' => 'grace'],
                ['intent' => 'lapse'],
                ['lock' => 'off'],
                ['disclosure' => 'shown'],
                ['suffix' => 'com'],
                ['created' => '2020'],
                ['registrant' => 'Bell'],
                ['server' => 'wire.example'],
            ] as $facets
        ) {
            $filters[] = new RollFilter(facets: $facets);
            $filters[] = new RollFilter(facets: $facets, sort: Sort::Ends);
        }
        $filters[] = new RollFilter(text: 'bell');
        $this->actingAs($house->owner);
        $pages = [
            ...array_map(fn (RollFilter $filter): string => $filter->address(), $filters),
            '/rounds',
            '/find?q=bell',
            '/find?q=bel',
            '/verification',
            "/clients/{$house->foundry->id}",
            "/accounts/{$house->ours->id}",
            "/names/{$name->ascii}",
            '/contacts?risk=no_mailbox',
        ];
        foreach ($pages as $page) {
            $this->get($page);
        }
        $all = array_map(
            fn (Row $row): string => $row->text('indexname'),
            Row::all(DB::select("SELECT indexname FROM pg_indexes WHERE tablename = 'standings'")),
        );
        $used = [];
        foreach (['off', 'on'] as $bitmap) {
            foreach (['off', 'on'] as $sort) {
                DB::statement('SET LOCAL enable_seqscan = off');
                DB::statement("SET LOCAL enable_bitmapscan = {$bitmap}");
                DB::statement("SET LOCAL enable_sort = {$sort}");
                foreach ($asked as $sql => $bindings) {
                    foreach (Row::all(DB::select('EXPLAIN '.$sql, $bindings)) as $line) {
                        preg_match_all('/\bstandings_\w+/', $line->text('QUERY PLAN'), $found);
                        array_push($used, ...$found[0]);
                    }
                }
            }
        }
        self::assertSame([], array_values(array_diff($all, $used)));
    }
}
