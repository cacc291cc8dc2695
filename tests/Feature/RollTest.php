<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Queries\Roll\Ending;
use App\Queries\Roll\ReadRoll;
use App\Queries\Roll\RollFilter;
use App\Queries\Roll\Sort;
use App\Support\Row;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class RollTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
    }

    /** @return list<string> */
    private function names(RollFilter $filter, int $size = 50): array
    {
        return array_map(
            fn (Row $row): string => $row->text('ascii'),
            app(ReadRoll::class)->page($filter, Instant::of('2026-10-06'), $size)->rows,
        );
    }

    public function test_what_is_due_first_stands_first_and_what_has_no_date_last(): void
    {
        $this->house->name('later.com', facts: ['ends_on' => Instant::of('2027-05-01')]);
        $this->house->name('unknown.com', facts: ['ends_on' => null]);
        $this->house->name('charged.com', facts: ['ends_on' => Instant::of('2026-12-01'), 'intent' => 'by_itself']);
        $this->house->name('sooner.com', facts: ['ends_on' => Instant::of('2026-11-28')]);
        self::assertSame(['charged.com', 'sooner.com', 'later.com', 'unknown.com'], $this->names(new RollFilter()));
        self::assertSame(['sooner.com', 'charged.com', 'later.com', 'unknown.com'], $this->names(new RollFilter(sort: Sort::Ends)));
        self::assertSame(['charged.com', 'later.com', 'sooner.com', 'unknown.com'], $this->names(new RollFilter(sort: Sort::Name)));
    }

    public function test_the_list_starts_at_a_letter_or_a_day(): void
    {
        $this->house->name('alder.com', facts: ['ends_on' => Instant::of('2027-05-01')]);
        $this->house->name('bell.com', facts: ['ends_on' => Instant::of('2026-11-28')]);
        $this->house->name('wren.com', facts: ['ends_on' => null]);
        $this->house->name('öre.com', facts: ['ends_on' => Instant::of('2027-04-30')]);
        self::assertSame(['bell.com', 'wren.com', 'xn--re-eka.com'], $this->names(new RollFilter(sort: Sort::Name, from: 'B')));
        self::assertSame(['xn--re-eka.com'], $this->names(new RollFilter(sort: Sort::Name, from: 'öre')));
        self::assertSame(['alder.com', 'wren.com'], $this->names(new RollFilter(sort: Sort::Ends, from: '2027-05-01')));
        self::assertCount(4, $this->names(new RollFilter(sort: Sort::Ends, from: 'B')), 'no deadline');
        $page = $this->actingAs($this->house->reader)->get('/roll?sort=ends&from=2027-05-01')->assertOk();
        $page->assertSeeInOrder(['4 names', 'from 1 May 2027', 'alder.com', 'Back to the first names'])->assertDontSee('bell.com');
        $this->get('/roll?sort=ends&from=soon')
            ->assertOk()
            ->assertSeeInOrder(['“soon” is not a date', 'bell.com']);
        $this->get('/roll?sort=name&from=z')->assertOk()->assertSee('No names this far down');
    }

    public function test_pages_follow_each_other_without_gap_or_repetition_in_each_order(): void
    {
        foreach (range(1, 23) as $number) {
            // Many share one date, so that the place needs the id too.
            $this->house->name(
                "bell-{$number}.com",
                facts: ['ends_on' => $number % 5 === 0 ? null : Instant::of('2027-0'.(1 + ($number % 3)).'-01')],
            );
        }
        foreach (Sort::cases() as $sort) {
            $seen = [];
            $after = null;
            do {
                $page = app(ReadRoll::class)->page(new RollFilter(sort: $sort, after: $after), Instant::of('2026-10-06'), 4);
                foreach ($page->rows as $row) {
                    $seen[] = $row->int('name_id');
                }
                $after = $page->next;
            } while ($after !== null);
            self::assertCount(23, $seen, $sort->value);
            self::assertCount(23, array_unique($seen), $sort->value);
        }
    }

    public function test_the_sentence_narrows(): void
    {
        $other = $this->house->account('52044', null);
        $this->house->name('ours.com', client: $this->house->harrow, facts: ['ends_on' => Instant::of('2026-10-30')]);
        $this->house->name('theirs.com', $other, facts: ['ends_on' => Instant::of('2026-12-30')]);
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-30')]);
        $this->house->name('glockenwärts.com');
        self::assertSame(['ours.com'], $this->names(new RollFilter(client: $this->house->harrow->id)));
        self::assertSame(['theirs.com'], $this->names(new RollFilter(account: $other->id)));
        self::assertCount(4, $this->names(new RollFilter(registrar: $this->house->skerry->id)));
        self::assertSame(['ours.com'], $this->names(new RollFilter(ending: Ending::Month)));
        self::assertSame(['late.com'], $this->names(new RollFilter(ending: Ending::Late)));
        self::assertSame(['xn--glockenwrts-s8a.com'], $this->names(new RollFilter(text: 'wärts')));
        self::assertSame(['xn--glockenwrts-s8a.com'], $this->names(new RollFilter(text: 'https://GLOCKENWÄRTS.com/peal')));
        self::assertSame(['theirs.com'], $this->names(new RollFilter(text: '52044')));
        self::assertSame([], $this->names(new RollFilter(text: '%')));
        self::assertSame([], $this->names(new RollFilter(text: 'o_r')));
    }

    public function test_an_address_that_makes_no_sense_is_read_as_if_the_word_were_not_there(): void
    {
        $this->house->name('bell.com');
        foreach (
            [
                'client=x',
                'sort=price',
                'after=garbage',
                'after='.urlencode('2026-13-45 00:00:00+00~1'),
                'after='.urlencode('2026-10-06 25:61:00+00~1'),
                'from=2026-13-45',
                'from[]=1',
                'after=2026~99999999999999999999',
                'ending=-1',
                'q[]=1',
                'registrar=-5',
                'after='.urlencode("2026-13-45 00:00:00+00~1'"),
            ] as $query
        ) {
            $this->actingAs($this->house->reader)
                ->get('/roll?'.$query)
                ->assertOk()
                ->assertSee('bell.com');
        }
    }

    public function test_a_page_costs_the_same_queries_whatever_its_size(): void
    {
        $count = function (): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->actingAs($this->house->reader)->get('/roll')->assertOk();

            return count(DB::getQueryLog());
        };
        $this->house->name('bell-0.com');
        $few = $count();
        foreach (range(1, 40) as $number) {
            $this->house->name("bell-{$number}.com");
        }
        self::assertSame($few, $count());
    }

    public function test_the_empty_roll_asks_for_a_list_and_a_narrow_sentence_says_so(): void
    {
        $this->actingAs($this->house->clerk)->get('/roll')->assertSee('Import names from a spreadsheet');
        $this->house->name('bell.com');
        $this->actingAs($this->house->clerk)->get('/roll?q=nothing')->assertSee('No names match');
    }

    public function test_a_label_that_looks_like_markup_is_only_text(): void
    {
        $this->house->foundry->update(['name' => '<script>alert(1)</script>']);
        $this->house->name('bell.com');
        $this->actingAs($this->house->reader)->get('/roll')->assertDontSee('<script>alert', false)->assertSee('<script>alert(1)</script>');
    }

    public function test_the_sheaf_is_ones_own_and_takes_only_names_that_are_held(): void
    {
        $one = $this->house->name('bell.com');
        $this->actingAs($this->house->clerk)
            ->postJson('/sheaf', ['names' => [$one->id, 999_999]])
            ->assertJson(['count' => 1, 'told' => '1 client, 1 registrar']);
        $this->actingAs($this->house->steward)->get('/hand-over?of=sheaf')->assertSee('Your sheaf is empty');
        $this->actingAs($this->house->clerk)
            ->patchJson('/sheaf', ['names' => [$one->id]])
            ->assertJson(['count' => 0]);
        $this->actingAs($this->house->reader)
            ->postJson('/sheaf', ['names' => [$one->id]])
            ->assertForbidden();
        $this->actingAs($this->house->clerk)
            ->postJson('/sheaf', ['names' => ['bell.com']])
            ->assertUnprocessable();
    }
}
