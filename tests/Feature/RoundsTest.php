<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Rounds\WriteMorningLetters;
use App\Actions\Standings\MakeStandings;
use App\Models\Docket;
use App\Models\Holding;
use App\Models\Import;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Price;
use App\Queries\Rounds\ReadRounds;
use App\Queries\Rounds\Rounds;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use App\View\WeeksDrawing;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/**
 * Rounds: every kind of thing that falls due, by what it costs to miss it; what people say of them; the letter. Today is 6 October 2026.
 */
final class RoundsTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House(['plain_after_days' => 20, 'late_until_days' => 40]);
        Price::query()->create([
            'registrar_id' => $this->house->skerry->id,
            'suffix' => 'com',
            'action' => 'late',
            'amount' => '75.40',
            'currency' => 'GBP',
            'span' => Span::since(Instant::of('2020-01-01')),
        ]);
    }

    private function rounds(): Rounds
    {
        return app(ReadRounds::class)->handle(app(TradeClock::class)->today(), null);
    }

    /** @return array{RoundsItem, string} the only thing that says so, and its section */
    private function item(string $title): array
    {
        $found = array_values(array_filter($this->rounds()->items, fn (RoundsItem $item): bool => $item->title === $title));
        self::assertCount(1, $found, $title);

        return [$found[0], $found[0]->section->value];
    }

    private function docket(Name ...$names): Docket
    {
        $ids = array_values(array_map(fn (Name $name): int => $name->id, $names));

        return app(PrepareDocket::class)->handle(
            $this->house->clerk,
            House::token(),
            'hand_over',
            $ids,
            $this->house->terms()->pack(),
            $ids,
        );
    }

    public function test_names_fall_due_by_what_it_costs_to_miss_them(): void
    {
        $this->house->name('ends.com', facts: ['ends_on' => Instant::of('2026-10-12')]);
        $this->house->name('ends-too.com', facts: ['ends_on' => Instant::of('2026-10-12')]);
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-24')]);
        $this->house->name('dear.com', facts: ['ends_on' => Instant::of('2026-09-05')]);
        $this->house->name('ask.com', facts: ['ends_on' => Instant::of('2026-10-25'), 'intent' => Intent::AskClient]);
        $this->house->name('charged.com', facts: ['ends_on' => Instant::of('2026-10-18'), 'intent' => Intent::ByItself]);
        $this->house->name('unseen.com', facts: ['ends_on' => Instant::of('2026-10-09'), 'intent' => Intent::ByItself]);
        $this->house->name('held.com', facts: ['statuses' => [Status::ClientHold->value]]);
        $this->house->name('young.com', facts: ['created_on' => Instant::of('2026-08-14'), 'ends_on' => Instant::of('2027-08-14')]);
        $this->house->name('calm.com');

        [$ends, $section] = $this->item('ends.com and 1 more');
        self::assertSame(['dark', '2026-10-12', 2, null], [$section, $ends->due->date(), $ends->names, $ends->loss?->text()]);
        [$late, $section] = $this->item('late.com');
        self::assertSame(
            ['now', '2026-10-06', '£75.40', '£9.90 to renew, then £75.40 more', '2026-10-14'],
            [$section, $late->due->date(), $late->loss?->text(), $late->cost, $late->last?->date()],
        );
        self::assertSame('now', $this->item('dear.com')[1]);
        self::assertSame(['waits', '2026-10-11'], [$this->item('ask.com')[1], $this->item('ask.com')[0]->due->date()]);
        self::assertSame(['look', '£9.90'], [$this->item('charged.com')[1], $this->item('charged.com')[0]->cost]);
        self::assertSame('look', $this->item('unseen.com')[1]);
        self::assertSame(['now', '2026-10-06'], [$this->item('held.com')[1], $this->item('held.com')[0]->due->date()]);
        self::assertSame(['look', 'nothing is lost'], [$this->item('young.com')[1], $this->item('young.com')[0]->cost]);
        self::assertSame([], array_filter($this->rounds()->items, fn (RoundsItem $item): bool => str_contains($item->title, 'calm')));

        $this->actingAs($this->house->reader)->get('/')->assertRedirect('/rounds');
        $this->get('/rounds')
            ->assertSeeInOrder([
                'Tuesday, 6 October.',
                '3 names are late, suspended or deleted.',
                'things',
                '3 of them today',
                'If nothing is done this week',
                '2 names stop working',
                'Late, suspended or deleted',
                'held.com',
                'late.com',
                'dear.com',
                'Stops working',
                'ends.com and 1 more',
                'Waits for somebody',
                'ask.com',
                'Worth a look',
            ])
            ->assertDontSee('name="how"', false);
    }

    public function test_missing_names_dockets_and_lists_are_there_too(): void
    {
        $gone = $this->house->name('gone.com');
        Holding::query()
            ->where('name_id', $gone->id)
            ->update(['missing_since' => '2026-10-05']);
        app(MakeStandings::class)->of([$gone->id]);
        self::assertSame('lost', $this->item('gone.com')[1]);

        $prepared = $this->docket($this->house->name('one.com'));
        self::assertSame(
            ['waits', 'prepared; a Steward must settle it'],
            [$this->item('Hand one name to Wickerby Bell Foundry')[1], $this->item('Hand one name to Wickerby Bell Foundry')[0]->says],
        );
        app(EndLines::class)->calledOff($this->house->steward, $prepared);
        $open = $this->docket($this->house->name('two.com'), $this->house->name('three.com'));
        app(SettleDocket::class)->handle($this->house->steward, $open);
        app(BeginDocketLines::class)->handle($open->id);
        self::assertSame('not yet accepted', $this->item('Hand 2 names to Wickerby Bell Foundry')[0]->says);
        app(EndLines::class)->done($this->house->steward, $open, [$open->lines()->firstOrFail()->id], Instant::of('2026-10-06'));
        self::assertSame(
            ['slip begun: 1 of 2 done', 'Continue', '2026-10-06'],
            [
                $this->item('Hand 2 names to Wickerby Bell Foundry')[0]->says,
                $this->item('Hand 2 names to Wickerby Bell Foundry')[0]->deed,
                $this->item('Hand 2 names to Wickerby Bell Foundry')[0]->due->date(),
            ],
        );
        self::assertSame(1, $open->lines()->where('state', LineState::Done)->count());

        $list = Import::query()->create([
            'user_id' => $this->house->clerk->id,
            'file' => 'refused.csv',
            'path' => 'none',
            'registrar_id' => $this->house->skerry->id,
            'shape' => ['headings' => ['name'], 'samples' => []],
            'state' => 'done',
        ]);
        DB::table('import_rows')->insert([
            'import_id' => $list->id,
            'line' => 2,
            'verdict' => 'refused',
            'reason' => '{"value": "x", "why": "no name"}',
        ]);
        Import::query()->create([
            'user_id' => $this->house->clerk->id,
            'file' => 'waits.csv',
            'path' => 'none',
            'registrar_id' => $this->house->skerry->id,
            'shape' => ['headings' => ['name'], 'samples' => []],
            'state' => 'read',
        ]);
        self::assertSame(['look', 'one row of the list was refused'], [$this->item('refused.csv')[1], $this->item('refused.csv')[0]->says]);
        self::assertSame('waits', $this->item('waits.csv')[1]);
    }

    public function test_a_thing_is_done_put_off_and_given(): void
    {
        $this->house->name('ends.com', facts: ['ends_on' => Instant::of('2026-10-12')]);
        [$item] = $this->item('ends.com');
        $this->actingAs($this->house->clerk);
        $say = fn (array $said) => $this->from('/rounds')->post('/rounds', ['thing' => $item->key, ...$said]);
        $say(['how' => 'given', 'to' => $this->house->steward->id])->assertRedirect('/rounds');
        $this->get('/rounds')->assertSee('Steward’s');
        $this->get('/rounds?whose=mine')->assertDontSee('ends.com');
        $this->actingAs($this->house->steward)->get('/rounds?whose=mine')->assertSee('ends.com');

        $this->actingAs($this->house->clerk);
        $say(['how' => 'off', 'until' => '2026-10-08']);
        $this->get('/rounds')->assertSee('Postponed until 8 Oct 2026')->assertDontSee('ends.com</a>', false);
        app(TradeClock::class)->set(Instant::of('2026-10-08T09:00:00Z'));
        $this->get('/rounds')->assertSee('ends.com</a>', false);
        $say(['how' => 'done'])->assertSessionHasErrors(['because' => 'Enter in a few words what was done.']);
        $say(['how' => 'done', 'because' => 'Renewed by telephone']);
        $this->get('/rounds')->assertDontSee('ends.com</a>', false);
        $say(['how' => 'back']);
        $this->get('/rounds')->assertSee('ends.com</a>', false);
        self::assertSame(
            ['thing_given', 'thing_put_off', 'thing_done', 'thing_back'],
            DB::table('log')->where('subject', 'thing')->orderBy('id')->pluck('event')->all(),
        );

        $say(['how' => 'off'])->assertSessionHasErrors('until');
        $say(['how' => 'eaten'])->assertSessionHasErrors('how');
        $this->actingAs($this->house->reader);
        $say(['how' => 'done'])->assertForbidden();
    }

    public function test_done_this_year_it_is_there_again_the_next(): void
    {
        $name = $this->house->name('ends.com', facts: ['ends_on' => Instant::of('2026-10-12')]);
        $this->actingAs($this->house->clerk)->post('/rounds', [
            'thing' => $this->item('ends.com')[0]->key,
            'how' => 'done',
            'because' => 'Renewed',
        ]);
        self::assertSame([], $this->rounds()->items);
        DB::table('registrations')
            ->where('name_id', $name->id)
            ->update(['ends_on' => '2027-10-12']);
        app(TradeClock::class)->set(Instant::of('2027-10-05T09:00:00Z'));
        app(MakeStandings::class)->of([$name->id]);
        self::assertSame('2027-10-12', $this->item('ends.com')[0]->due->date());
    }

    /** What is said is held against what the rules and registries show: tomorrow it is there again, with what was said. */
    public function test_what_is_said_to_be_done_and_is_not_comes_back_the_next_day(): void
    {
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-24')]);
        $this->house->name('charged.com', facts: ['ends_on' => Instant::of('2026-10-18'), 'intent' => Intent::ByItself]);
        $this->actingAs($this->house->clerk)->get('/rounds/dealt-with')->assertOk()->assertSee('Nothing has been marked');
        foreach (['late.com', 'charged.com'] as $title) {
            $this->post('/rounds', ['thing' => $this->item($title)[0]->key, 'how' => 'done', 'because' => "Told Skerry of {$title}"]);
        }
        self::assertCount(0, $this->rounds()->items);
        $this->get('/rounds/dealt-with')->assertOk()->assertSee('Told Skerry of late.com')->assertDontSee('Still so');
        app(TradeClock::class)->set(Instant::of('2026-10-07T06:00:00Z'));
        self::assertSame(
            ['late.com'],
            array_map(fn (RoundsItem $item): string => $item->title, $this->rounds()->items),
            'a charge was only to be looked at',
        );
        $this->get('/rounds')->assertSee('Clerk Tern noted on 6 Oct: “Told Skerry of late.com”. It is still the case.');
        $this->get('/rounds/letter')->assertSee('Clerk Tern noted on 6 Oct: “Told Skerry of late.com”. It is still the case.');
        $this->get('/rounds/dealt-with')->assertSeeInOrder([
            'late.com',
            'Told Skerry of late.com',
            'Clerk',
            'Done on 6 Oct',
            'Still the case: back in Rounds',
        ]);
        // Once the facts agree, nothing is left of it but what was said.
        $name = Name::query()->where('ascii', 'late.com')->sole();
        DB::table('registrations')
            ->where('name_id', $name->id)
            ->update(['ends_on' => '2027-09-24']);
        app(MakeStandings::class)->of([$name->id]);
        $this->get('/rounds/dealt-with')->assertSee('Told Skerry of late.com')->assertDontSee('Still so');
        $this->actingAs($this->house->reader)->get('/rounds/dealt-with')->assertOk()->assertDontSee('Put it back');
    }

    public function test_what_is_put_off_stands_on_a_page_with_who_and_why(): void
    {
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-24')]);
        $this->actingAs($this->house->steward)->post('/rounds', [
            'thing' => $this->item('late.com')[0]->key,
            'how' => 'off',
            'until' => '2026-10-09',
            'because' => 'The client pays on Friday',
        ]);
        $this->get('/rounds/dealt-with')->assertSeeInOrder(
            ['href="/names/late.com"', 'late, for Wickerby Bell Foundry', 'The client pays on Friday', 'Steward', 'Postponed until 9 Oct'],
            false,
        );
        app(TradeClock::class)->set(Instant::of('2026-10-09T06:00:00Z'));
        $this->get('/rounds/dealt-with')->assertSee('which has passed');
        $this->post('/rounds', ['thing' => $this->item('late.com')[0]->key, 'how' => 'back']);
        $this->get('/rounds/dealt-with')->assertDontSee('late.com');
        $this->get('/rounds/dealt-with?after[]=x')->assertOk();
        $this->get('/rounds/dealt-with?after=2026-10-06+09:00:00%2B00~x')->assertOk();
    }

    /** Whatever is missing of its registrar's terms, and whenever its last day is. */
    public function test_what_is_late_stands_at_the_top_today_in_a_house_that_knows_no_terms(): void
    {
        DB::table('prices')->delete();
        DB::table('registrars')->update(['plain_after_days' => null, 'late_until_days' => null]);
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-26')]);
        $this->house->name(
            'deleted.com',
            facts: [
                'ends_on' => Instant::of('2026-09-26'),
                'statuses' => [Status::RedemptionPeriod->value],
                'deleted_since' => Instant::of('2026-10-05'),
            ],
        );
        $this->house->name(
            'lapsing.com',
            facts: ['ends_on' => Instant::of('2026-09-26'), 'intent' => Intent::Lapse, 'statuses' => [Status::ClientHold->value]],
        );
        $this->house->name('asked.com', facts: ['ends_on' => Instant::of('2026-10-17'), 'intent' => Intent::AskClient]);
        $this->house->name('ends.com', facts: ['ends_on' => Instant::of('2026-10-07')]);
        self::assertSame(
            [
                ['now', 'asked.com', '2026-10-06', '2026-10-17'],
                ['now', 'deleted.com', '2026-10-06', '2026-11-04'],
                ['now', 'late.com', '2026-10-06', '2026-11-10'],
                ['dark', 'ends.com', '2026-10-07', null],
            ],
            array_map(
                fn (RoundsItem $item): array => [$item->section->value, $item->title, $item->due->date(), $item->last?->date()],
                $this->rounds()->items,
            ),
        );
        $this->house->name('lapsed.com', facts: ['ends_on' => Instant::of('2026-07-20'), 'intent' => Intent::Lapse]);
        $this->house->name('held.com', facts: ['statuses' => [Status::ServerHold->value]]);
        $this->actingAs($this->house->reader)
            ->get('/roll')
            ->assertSeeInOrder([
                'asked.com',
                'deleted.com',
                'late.com',
                'held.com',
                'on hold: does not work',
                'ends.com',
                'lapsed.com',
                'Lapsed; free from 8 Oct',
                'lapsing.com',
                'Lapses; can be kept until',
            ]);
        $this->get('/roll?sort=next&from=2026-10-01')->assertSee('ends.com')->assertDontSee('deleted.com');
    }

    public function test_the_money_that_falls_due_is_summed_by_currency(): void
    {
        $this->house->name('ends.com', facts: ['ends_on' => Instant::of('2026-10-12')]);
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-24')]);
        $this->house->name('own.com', facts: ['ends_on' => Instant::of('2026-10-14'), 'own_renewal' => '21.50', 'own_currency' => 'EUR']);
        $this->house->name('calm.com');
        $this->house->name('unpriced.org', facts: ['ends_on' => Instant::of('2026-10-14')]);
        $this->actingAs($this->house->reader)
            ->get('/rounds')
            ->assertSee('Keeping what falls due within 14 days costs £19.80, €21.50. One name has no price on record.');
        $this->get('/rounds/letter')->assertSee('Keeping what falls due within 14 days costs £19.80, €21.50.');
        $this->get('/roll?ending=30')->assertSee('Keeping them for their next term costs £9.90, €21.50. One name has no price on record.');
        $this->get('/roll?q=calm')->assertSee('Keeping them for their next term costs £9.90.')->assertDontSee('no price on record');
        $this->get('/roll')->assertDontSee('Keeping them');
    }

    public function test_the_morning_letter_is_written_once_a_day_to_those_who_want_it(): void
    {
        $this->house->name('ends.com', facts: ['ends_on' => Instant::of('2026-10-12')]);
        $this->actingAs($this->house->clerk)
            ->get('/rounds/letter')
            ->assertSee('by 12 Oct: ends.com, ends, for Wickerby Bell Foundry')
            ->assertSee('/names/ends.com');
        $this->post('/rounds/letter', ['morning' => '1'])->assertRedirect();
        self::assertSame([1, 0], [app(WriteMorningLetters::class)->handle(), app(WriteMorningLetters::class)->handle()]);
        self::assertSame(1, DB::table('letters')->whereNotNull('sent_at')->count());
        $this->get('/rounds/letter')
            ->assertSee('Earlier letters')
            ->assertSee('Rounds, Tuesday, 6 October: one thing, none of them today. This week one name stops working.');
        app(TradeClock::class)->set(Instant::of('2026-10-07T06:00:00Z'));
        self::assertSame(1, app(WriteMorningLetters::class)->handle());
        $this->post('/rounds/letter', ['morning' => '0']);
        app(TradeClock::class)->set(Instant::of('2026-10-08T06:00:00Z'));
        self::assertSame(0, app(WriteMorningLetters::class)->handle());
    }

    public function test_the_weeks_are_drawn_from_this_monday(): void
    {
        $item = fn (string $due, RoundsSection $section): RoundsItem => new RoundsItem(
            "x:{$due}",
            $section,
            Instant::of($due),
            'x',
            '',
            '',
            '',
            '',
        );
        $drawing = WeeksDrawing::of(Instant::of('2026-10-06'), [
            $item('2026-10-01', RoundsSection::Waits),
            $item('2026-10-06', RoundsSection::Dark),
            $item('2026-11-08', RoundsSection::Look),
            $item('2026-11-09', RoundsSection::Look),
            ...array_fill(0, 7, $item('2026-10-12', RoundsSection::Money)),
        ]);
        self::assertSame(['5 Oct', '12 Oct', '19 Oct', '26 Oct', '2 Nov'], array_column($drawing->weeks, 'text'));
        self::assertSame(['dark', 'money', 'money', 'money', 'money', 'money', 'waits', 'look'], array_column($drawing->boxes, 'section'));
        // What is overdue stands on today, above what is dearer.
        [$dark, $waits] = [$drawing->boxes[0], $drawing->boxes[6]];
        self::assertSame($dark['x'], $waits['x']);
        self::assertLessThan($dark['y'], $waits['y']);
        self::assertSame(['+2'], array_column($drawing->more, 'text'));
        self::assertSame(
            'Five weeks from 5 Oct 2026: 1 stops working, 7 costs money, 1 waits for somebody, 1 worth a look.',
            $drawing->told,
        );
    }

    public function test_however_many_names_it_is_a_handful_of_questions(): void
    {
        DB::statement(
            "INSERT INTO names (ascii, unicode, suffix) SELECT 'many-' || n || '.com', 'many-' || n || '.com', 'com'
                FROM generate_series(1, 400) n",
        );
        DB::statement(
            "INSERT INTO registrations (name_id, span, ends_on) SELECT id, '[2020-01-01,)',
                '2026-10-07'::timestamptz + (id % 20) * interval '1 day' FROM names",
        );
        DB::statement(
            'INSERT INTO holdings (name_id, registration_id, account_id, client_id, span) SELECT name_id, id, ?, ?, span
                FROM registrations',
            [$this->house->ours->id, $this->house->foundry->id],
        );
        app(MakeStandings::class)->of(array_values(array_filter(Name::query()->pluck('id')->all(), is_int(...))));
        DB::enableQueryLog();
        $rounds = $this->rounds();
        self::assertLessThanOrEqual(33, count(DB::getQueryLog()));
        self::assertCount(20, $rounds->items);
        self::assertSame(400, array_sum(array_map(fn (RoundsItem $item): int => $item->names, $rounds->items)));
    }

    /** Names of sixty clients that end on the seventh, and as many of each on every other day of the month. */
    private function sixtyClients(): void
    {
        DB::statement("INSERT INTO clients (name) SELECT 'Client ' || lpad(n::text, 2, '0') FROM generate_series(1, 60) n");
        DB::statement(
            "INSERT INTO names (ascii, unicode, suffix) SELECT 'many-' || n || '.com', 'many-' || n || '.com', 'com'
                FROM generate_series(1, 600) n",
        );
        DB::statement(
            "INSERT INTO registrations (name_id, span, ends_on) SELECT id, '[2020-01-01,)',
                '2026-10-07'::timestamptz + ((id % 600) / 60) * interval '3 days' FROM names",
        );
        DB::statement(
            "INSERT INTO holdings (name_id, registration_id, account_id, client_id, span) SELECT r.name_id, r.id, ?, c.id, r.span
                FROM registrations r JOIN clients c ON c.name = 'Client ' || lpad((r.name_id % 60 + 1)::text, 2, '0')",
            [$this->house->ours->id],
        );
        app(MakeStandings::class)->of(array_values(array_filter(Name::query()->pluck('id')->all(), is_int(...))));
    }

    public function test_of_very_many_things_the_soonest_are_told_and_it_is_said_that_there_are_more(): void
    {
        $this->sixtyClients();
        $rounds = $this->rounds();
        self::assertTrue($rounds->isCut);
        self::assertCount(RoundsKind::MOST, $rounds->items);
        self::assertSame(
            ['2026-10-07'],
            array_values(array_unique(array_map(fn (RoundsItem $item): string => $item->due->date(), $rounds->items))),
            'No later day may push out a sooner one.',
        );

        $rest = RoundsKind::MOST - 20;
        $page = $this->actingAs($this->house->clerk)
            ->get('/rounds')
            ->assertOk()
            ->assertSee('More than '.RoundsKind::MOST.' things')
            ->assertSee('Only the first '.RoundsKind::MOST.' of each kind are listed here')
            ->assertSee("Show {$rest} more");
        self::assertSame(20, substr_count((string) $page->getContent(), 'class="rounds-due"'));
        $all = $this->get('/rounds?all=1&whose=mine')->assertOk()->assertDontSee('show all');
        self::assertSame(RoundsKind::MOST, substr_count((string) $all->getContent(), 'class="rounds-due"'));
    }

    public function test_what_was_dealt_with_makes_room_for_what_comes_after_it(): void
    {
        $this->sixtyClients();
        $first = $this->rounds()->items;
        foreach (array_slice($first, 0, 20) as $at => $item) {
            DB::table('rounds_marks')->insert([
                'thing' => $item->key,
                'by_id' => $this->house->clerk->id,
                ...$at % 2 === 0 ? ['done_on' => '2026-10-06'] : ['off_until' => '2026-11-01'],
            ]);
        }
        $rounds = $this->rounds();
        self::assertTrue($rounds->isCut);
        self::assertCount(RoundsKind::MOST, $rounds->items);
        self::assertCount(
            RoundsKind::MOST + 20,
            array_unique(array_map(fn (RoundsItem $item): string => $item->key, [...$first, ...$rounds->items])),
        );
        $rest = array_map(
            fn (RoundsItem $item): array => [
                'thing' => $item->key,
                'given_to' => $this->house->steward->id,
                'by_id' => $this->house->clerk->id,
            ],
            $rounds->items,
        );
        DB::table('rounds_marks')->insert($rest);
        self::assertCount(
            RoundsKind::MOST,
            app(ReadRounds::class)->handle(Instant::of('2026-10-06'), $this->house->clerk)->items,
            'what was given to others is not mine, and hides nothing of mine',
        );
    }

    public function test_fewer_than_are_told_come_from_all_the_weeks(): void
    {
        $this->sixtyClients();
        DB::table('standings')->where('client_name', '<>', 'Client 07')->delete();
        $rounds = $this->rounds();
        self::assertFalse($rounds->isCut);
        self::assertSame(
            ['2026-10-07', '2026-11-03'],
            [$rounds->items[0]->due->date(), $rounds->items[count($rounds->items) - 1]->due->date()],
        );
        self::assertSame(10, array_sum(array_map(fn (RoundsItem $item): int => $item->names, $rounds->items)));
    }

    public function test_an_empty_house_is_told_where_to_begin_and_a_quiet_one_that_nothing_is_to_do(): void
    {
        $this->actingAs($this->house->clerk)
            ->get('/rounds')
            ->assertOk()
            ->assertSee('Nothing is on the Roll yet')
            ->assertSee('Import names from a spreadsheet');
        $this->actingAs($this->house->reader)
            ->get('/rounds')
            ->assertOk()
            ->assertSee('Nothing is on the Roll yet')
            ->assertDontSee('Import names from a spreadsheet');
        $this->house->name('quiet.com');
        $this->get('/rounds')
            ->assertSee('Nothing to do today')
            ->assertSee('Nor in the coming weeks')
            ->assertDontSee('Nothing is on the Roll yet');
        $this->house->name('later.com', facts: ['ends_on' => Instant::of('2026-11-01')]);
        $this->get('/rounds')->assertSee('Nothing to do today')->assertSee('comes later');
    }

    public function test_a_reader_is_led_to_what_they_may_see(): void
    {
        $this->house->name('ask.com', facts: ['ends_on' => Instant::of('2026-10-15'), 'intent' => 'ask_client']);
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-30')]);
        $this->house->name('ends.com', facts: ['ends_on' => Instant::of('2026-10-09')]);
        $page = (string) $this->actingAs($this->house->reader)->get('/rounds')->assertOk()->getContent();
        preg_match_all('~<t[dh][^>]*>\s*<a class="[^"]*" href="([^"]+)"~', $page, $links);
        self::assertGreaterThanOrEqual(6, count($links[1]));
        foreach (array_unique($links[1]) as $link) {
            $this->get(html_entity_decode($link))->assertOk();
        }
    }

    public function test_the_weeks_are_written_as_the_house_writes_days(): void
    {
        app(HouseSettings::class)->set(['dates' => 'points']);
        self::assertSame(
            ['05.10.', '12.10.', '19.10.', '26.10.', '02.11.'],
            array_column(WeeksDrawing::of(Instant::of('2026-10-06'), [])->weeks, 'text'),
        );
    }
}
