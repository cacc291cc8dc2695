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
}
