<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Names\GatherNames;
use App\Actions\Names\WatchNames;
use App\Actions\Standings\MakeStandings;
use App\Actions\Words\GiveWords;
use App\Models\Name;
use App\Models\SavedView;
use App\Models\Word;
use App\Queries\Roll\ReadRoll;
use App\Queries\Roll\RollFilter;
use App\Queries\Roll\Sort;
use App\Support\Row;
use App\View\RollColumn;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** The Roll's further conditions, its columns, and sentences kept by name. */
final class NarrowedRollTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->house->name(
            'bell.com',
            facts: [
                'registrant' => 'The Bell Foundry',
                'mailbox' => 'ledger@bells.example',
                'created_on' => Instant::of('2019-04-27'),
                'servers' => ['ns1.quay.example', 'ns2.quay.example'],
                'disclosure' => 'replaced',
            ],
        );
        $this->house->name(
            'kelp.co.uk',
            facts: ['lock' => 'on', 'intent' => 'lapse', 'created_on' => Instant::of('2026-09-01'), 'ends_on' => Instant::of('2027-09-01')],
        );
        $late = $this->house->name(
            'late.org',
            facts: ['ends_on' => Instant::of('2026-09-20'), 'lock' => 'unknown', 'reference' => 'S-8812'],
        );
        app(GiveWords::class)->give([$late->id], ['Shop', 'to sell']);
        app(MakeStandings::class)->of([$late->id]);
    }

    /** @return list<string> */
    private static function names(string $address): array
    {
        parse_str($address, $words);
        $rows = app(ReadRoll::class)->page(RollFilter::read($words), Instant::of('2026-10-06'), 50)->rows;

        return array_map(fn (Row $row): string => $row->text('ascii'), $rows);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function conditions(): iterable
    {
        yield 'suffix' => ['suffix=co.uk', ['kelp.co.uk']];
        yield 'suffix with its dot, in capitals' => ['suffix=.ORG', ['late.org']];
        yield 'phase' => ['phase=grace', ['late.org']];
        yield 'intent' => ['intent=lapse', ['kelp.co.uk']];
        yield 'lock' => ['lock=off', ['bell.com']];
        yield 'public record' => ['disclosure=replaced', ['bell.com']];
        yield 'name server' => ['server=ns2.quay.example', ['bell.com']];
        yield 'the domain of its servers' => ['server=QUAY.example', ['bell.com']];
        yield 'registrant' => ['registrant=the+bell+foundry', ['bell.com']];
        yield 'year' => ['created=2019', ['bell.com']];
        yield 'no year' => ['created=last', []];
        yield 'created between' => ['created_from=2019-04-27&created_to=2020-11-02', ['late.org', 'bell.com']];
        yield 'created after' => ['created=2026-09-01..', ['kelp.co.uk']];
        yield 'several suffixes' => ['suffix=.org, com', ['late.org', 'bell.com']];
        yield 'several, ticked' => ['phase[]=grace&phase[]=redemption', ['late.org']];
        yield 'several locks' => ['lock=on,unknown', ['late.org', 'kelp.co.uk']];
        yield 'several servers' => ['server=ns1.quay.example,ns9.nobody.example', ['bell.com']];
        yield 'several findings' => ['finding=lifecycle.lapses,lifecycle.lock_off', ['kelp.co.uk', 'bell.com']];
        yield 'a registrant with a comma is one' => ['registrant=The Bell Foundry, Somebody', []];
        yield 'held' => ['held=held', ['late.org', 'kelp.co.uk', 'bell.com']];
        yield 'watched' => ['held=watched', []];
        yield 'either' => ['held=watched,held&suffix=com', ['bell.com']];
        yield 'auto-renew' => ['auto_renew=on', []];
        yield 'does not' => ['auto_renew=off&suffix=com,org', ['late.org', 'bell.com']];
        yield 'ends between' => ['ends_from=2026-09-20&ends_to=2027-09-01', ['late.org', 'kelp.co.uk']];
        yield 'ends before' => ['ending=..2026-09-20', ['late.org']];
        yield 'ends from' => ['ending=2027-09-02..', ['bell.com']];
        yield 'ends on a day' => ['ending=2027-09-01', ['kelp.co.uk']];
        yield 'finding' => ['finding=lifecycle.lapses', ['kelp.co.uk']];
        yield 'lock off and not moving' => ['finding=lifecycle.lock_off', ['bell.com']];
        yield 'two together' => ['lock=on&suffix=com', []];
        yield 'nonsense' => ['phase=elsewhere', []];
        yield 'under three letters, from the beginning' => ['q=be', ['bell.com']];
        yield 'under three letters, not inside' => ['q=el', []];
        yield 'reference' => ['q=s-8812', ['late.org']];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('conditions')]
    public function test_each_condition_narrows(string $address, array $expected): void
    {
        self::assertSame($expected, self::names($address));
        $this->actingAs($this->house->reader)
            ->get('/roll?'.$address)
            ->assertOk();
    }

    public function test_a_day_with_an_hour_is_that_day(): void
    {
        $this->house->name('hour.com', facts: ['ends_on' => Instant::of('2027-03-31T22:30:00Z'), 'ends_is_day' => false]);
        self::assertSame(['hour.com'], self::names('ending=2027-03-31'));
        self::assertSame([], self::names('ending=..2027-03-30&suffix=com'));
    }

    public function test_what_was_chosen_is_said_and_leads_on(): void
    {
        $page = $this->actingAs($this->house->reader)->get(
            '/roll?'.
                http_build_query(['suffix' => 'com,org', 'ends_from' => '2026-09-01', 'ends_to' => '2027-12-31', 'auto_renew' => ['off']]),
        );
        $page
            ->assertSee('ending from 1 Sep 2026 to 31 Dec 2027')
            ->assertSee('under .com or org')
            ->assertSee('auto-renew off')
            ->assertSee('suffix=com%2Corg', false)
            ->assertSee('ending=2026-09-01..2027-12-31', false);
        $this->get('/roll?ending=2027-01-01..')->assertSee('ending after 31 Dec 2026');
        $this->get('/roll?created=..2020-11-02')->assertSee('registered before 3 Nov 2020');
        $this->get('/roll?ends_from=2027-12-31&ends_to=2027-01-01')
            ->assertSee('“2027-12-31..2027-01-01” is not a range of dates')
            ->assertSee('bell.com');
        $this->get('/roll?created_from=yesterday')->assertSee('“yesterday..” is not a range of dates');
    }

    public function test_held_and_watched_are_counted_apart(): void
    {
        $watched = Name::query()->create(['ascii' => 'gone.com', 'unicode' => 'gone.com', 'suffix' => 'com']);
        app(WatchNames::class)->watch($this->house->clerk, $watched, $this->house->foundry, 'sold last year');
        self::assertSame(['gone.com'], self::names('held=watched'));
        self::assertSame(['gone.com'], self::names('held=watched&sort=name'));
        self::assertSame([], self::names('intent=when_told,ask_client&held=watched'));
        self::assertSame([], self::names('auto_renew=off&suffix=com&held=watched'), 'nobody here renews it, or doesn’t');
        foreach (['', "?client={$this->house->foundry->id}"] as $address) {
            $this->actingAs($this->house->reader)
                ->get('/roll'.$address)
                ->assertSeeInOrder(['3 names', 'held and one that is only watched, for']);
        }
        $this->get('/roll?held=watched')
            ->assertSee('One name that is only watched')
            ->assertSee('<strong>only watched</strong> (', false)
            ->assertSee('expiry not known; only watched');
        $this->get('/roll?held=held')->assertSeeInOrder(['3 names', 'held for']);
        $this->actingAs($this->house->clerk)
            ->postJson('/sheaf', ['names' => [$watched->id, Name::query()->where('ascii', 'bell.com')->sole()->id]])
            ->assertJson(['count' => 2, 'told' => '1 client, 1 registrar, 1 only watched']);
    }

    public function test_a_word_narrows_and_is_said_in_the_sentence(): void
    {
        $word = Word::query()->where('label', 'to sell')->sole();
        self::assertSame(['late.org'], self::names("word={$word->id}"));
        $this->actingAs($this->house->reader)
            ->get("/roll?word={$word->id}")
            ->assertSee('with the word “to sell”')
            ->assertSee('late.org')
            ->assertDontSee('kelp.co.uk');
    }

    #[TestWith(['marks', 'finding=lifecycle.lock_off'])]
    #[TestWith(['text', 'q=bell-'])]
    #[TestWith(['several values', 'suffix=com,org&q=bell-'])]
    #[TestWith(['two locks', 'lock=off,on'])]
    #[TestWith(['two words', 'client=1&lock=off'])]
    public function test_what_no_index_keeps_in_order_comes_in_order_all_the_same(string $what, string $address): void
    {
        foreach (range(1, 9) as $number) {
            $this->house->name("bell-{$number}.com", facts: ['ends_on' => Instant::of('2027-0'.(10 - $number).'-11')]);
        }
        parse_str(str_replace('client=1', "client={$this->house->foundry->id}", $address), $words);
        foreach (Sort::cases() as $sort) {
            $seen = [];
            $after = null;
            do {
                $page = app(ReadRoll::class)->page(
                    RollFilter::read([...$words, 'sort' => $sort->value, 'after' => $after]),
                    Instant::of('2026-10-06'),
                    3,
                );
                array_push($seen, ...array_map(fn (Row $row): string => $row->text($sort->column()), $page->rows));
                $after = $page->next;
            } while ($after !== null);
            $sorted = $seen;
            sort($sorted);
            self::assertContains(count($seen), [9, 10, 11], $what);
            self::assertSame($sorted, $seen, $what.' '.$sort->value);
        }
    }

    public function test_columns_are_kept_for_the_person(): void
    {
        $this->actingAs($this->house->reader)
            ->from('/roll')
            ->post('/roll/looks', ['columns' => ['line', 'servers', 'words'], 'compact' => '1'])
            ->assertRedirect('/roll');
        $page = $this->get('/roll')->assertSee('ns1.quay.example ns2.quay.example')->assertSee('Shop, to sell')->assertSee('roll-close');
        self::assertStringContainsString('c-line', (string) $page->getContent());
        $this->actingAs($this->house->clerk)->get('/roll')->assertDontSee('ns1.quay.example')->assertDontSee('roll-close');
        $this->actingAs($this->house->reader)->post('/roll/looks', ['columns' => ['registrant']]);
        self::assertStringNotContainsString('c-line', (string) $this->get('/roll')->getContent());
    }

    public function test_every_column_says_something_for_a_name_that_has_it(): void
    {
        // Whose mailbox must be verified.
        $this->house->name(
            'new.com',
            facts: ['created_on' => Instant::of('2026-10-01'), 'registrant' => 'The Bell Foundry', 'mailbox' => 'new@bells.example'],
        );
        foreach (array_chunk(array_column(RollColumn::cases(), 'value'), RollColumn::MOST) as $columns) {
            $this->actingAs($this->house->reader)
                ->post('/roll/looks', ['columns' => $columns])
                ->assertSessionHasNoErrors();
            $page = $this->get('/roll')->assertOk();
            foreach (array_diff($columns, ['line']) as $column) {
                $label = __('roll.column.'.$column);
                self::assertMatchesRegularExpression(
                    '/data-label="'.(is_string($label) ? $label : '').'">[^<]/u',
                    (string) $page->getContent(),
                    $column,
                );
            }
        }
        $this->post('/roll/looks', ['columns' => array_column(RollColumn::cases(), 'value')])->assertSessionHasErrors('columns');
        $this->post('/roll/looks', ['columns' => ['nonsense']])->assertSessionHasErrors();
    }

    public function test_a_view_is_kept_by_name_with_its_columns_and_shared_if_wanted(): void
    {
        $this->actingAs($this->house->clerk)->post('/roll/looks', ['columns' => ['lock']]);
        $this->post('/roll/views', ['name' => 'Unlocked', 'lock' => 'off', 'sort' => 'name', 'shared' => '1'])->assertRedirect();
        $this->post('/roll/views', ['name' => 'unlocked'])->assertSessionHasErrors('name');
        $this->post('/roll/views', ['name' => 'Mine alone', 'suffix' => 'com'])->assertSessionHasNoErrors();
        $view = SavedView::query()->where('name', 'Unlocked')->sole();
        $this->get('/roll')->assertSee('Mine alone');
        $this->actingAs($this->house->reader)->get('/roll')->assertSee('Unlocked')->assertDontSee('Mine alone');
        $page = $this->get("/roll?lock=off&sort=name&view={$view->id}")
            ->assertSee('bell.com')
            ->assertDontSee('kelp.co.uk');
        self::assertStringContainsString('data-label="Lock"', (string) $page->getContent());
        $this->delete("/roll/views/{$view->id}")->assertForbidden();
        $this->actingAs($this->house->clerk)
            ->delete("/roll/views/{$view->id}")
            ->assertRedirect();
        self::assertSame(['Mine alone'], SavedView::query()->pluck('name')->all());
    }

    public function test_all_that_a_sentence_shows_goes_into_the_sheaf_up_to_its_limit(): void
    {
        config(['house.selection_limit' => 2]);
        $this->actingAs($this->house->clerk)
            ->post('/sheaf/all', ['lock' => 'off'])
            ->assertRedirect('/roll?lock=off');
        $this->get('/sheaf')->assertSee('bell.com')->assertDontSee('kelp.co.uk')->assertSee('1 name in the sheaf');
        $this->post('/sheaf/all')->assertSessionHas('told', 'The sheaf holds at most 2 names; one did not fit.');
        self::assertSame(2, DB::table('selection_names')->count());
        $this->actingAs($this->house->reader)->post('/sheaf/all')->assertForbidden();
    }

    public function test_all_that_matched_is_kept_as_its_sentence_with_exceptions_and_can_be_followed(): void
    {
        $late = Row::of(DB::table('names')->where('ascii', 'late.org')->first())->int('id');
        $kelp = Row::of(DB::table('names')->where('ascii', 'kelp.co.uk')->first())->int('id');
        $sheaf = fn (): array => app(GatherNames::class)->sheaf($this->house->clerk)->ids;
        $this->actingAs($this->house->clerk)->post('/sheaf/all', ['ending' => 'late', 'sort' => 'name']);
        self::assertSame([$late], $sheaf());
        $this->get('/sheaf')->assertSee('past their expiry')->assertSee('one of its names is here')->assertSee('unchanged');

        // It ends later after all, and two others have come to the sentence.
        $this->house->name('over.net', facts: ['ends_on' => Instant::of('2026-09-25')]);
        $over = Row::of(DB::table('names')->where('ascii', 'over.net')->first())->int('id');
        $out = $this->house->name('taken-out.net', facts: ['ends_on' => Instant::of('2026-09-26')])->id;
        DB::table('registrations')
            ->where('name_id', $late)
            ->update(['ends_on' => '2027-09-20']);
        app(MakeStandings::class)->of([$late]);
        self::assertSame([$late], $sheaf(), 'What was ticked is what was seen.');
        $this->get('/sheaf')->assertSee('2 more match today, one no longer matches');
        $this->get('/deeds/change_lock?of=sheaf')->assertSee('The names that match your search have changed');
        $sentence = Row::of(DB::table('selection_sentences')->first())->int('id');
        $this->post("/sheaf/sentences/{$sentence}")
            ->assertRedirect('/sheaf')
            ->assertSessionHas('told', 'The sheaf is up to date with that search.');
        self::assertEqualsCanonicalizing([$over, $out], $sheaf());

        // What is taken out is an exception of the sentence; what was put in by hand is just gone.
        $this->post('/sheaf', ['names' => [$kelp]]);
        $this->patch('/sheaf', ['names' => [$out, $kelp]]);
        $this->post('/sheaf/all', ['ending' => 'late']);
        self::assertSame([$over], $sheaf());
        $this->get('/sheaf')->assertSee('one removed')->assertSee('unchanged');
        self::assertFalse(DB::table('selection_names')->where('name_id', $kelp)->exists());
        // Put in again by hand, it is no exception any more.
        $this->post('/sheaf', ['names' => [$out]]);
        self::assertEqualsCanonicalizing([$over, $out], $sheaf());

        $this->actingAs($this->house->steward)
            ->post("/sheaf/sentences/{$sentence}")
            ->assertNotFound();
    }

    public function test_a_pasted_list_goes_into_the_sheaf_and_what_is_not_known_is_said(): void
    {
        $this->actingAs($this->house->clerk)
            ->post('/sheaf/list', ['names' => "bell.com; https://www.kelp.co.uk/shop\tnobody.net|no_name.com\n\nlate.org,bell.com"])
            ->assertRedirect('/sheaf')
            ->assertSessionHas('told', '3 names were added. 2 are not on the Roll: no_name.com, nobody.net.');
        $this->get('/sheaf')->assertSee('3 names in the sheaf')->assertSee('late.org');
        $this->post('/sign-out');
        $this->actingAs($this->house->clerk)->get('/sheaf')->assertSee('3 names in the sheaf');
        $this->post('/sheaf/list', ['names' => ''])->assertSessionHasErrors('names');
    }
}
