<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Models\Client;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\Extra;
use App\Models\Holding;
use App\Models\LineState;
use App\Models\Movement;
use App\Models\Name;
use App\Models\Proof;
use App\Models\Registrar;
use App\Support\TradeClock;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use RuntimeException;
use Tests\TestCase;

final class HandoverTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House(['lock_first' => true, 'names_giver' => true, 'extras' => ['redirects' => 'ends', 'privacy' => 'along']]);
    }

    /** @param  list<Name>  $names */
    private function prepare(array $names, ?string $token = null): Docket
    {
        $ids = array_map(fn (Name $name): int => $name->id, $names);

        return app(PrepareDocket::class)->handle(
            $this->house->clerk,
            $token ?? House::token(),
            'hand_over',
            $ids,
            $this->house->terms()->pack(),
            $ids,
        );
    }

    /** @param  list<Name>  $names */
    private function settled(array $names): Docket
    {
        $docket = $this->prepare($names);
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        app(BeginDocketLines::class)->handle($docket->id);

        return $docket->refresh();
    }

    public function test_the_page_shows_who_is_meant_what_changes_and_each_names_verdict(): void
    {
        $this->house->name('wickerby-bells.com', facts: ['ends_on' => Instant::of('2026-11-02'), 'intent' => 'lapse']);
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-01')]);
        $this->actingAs($this->house->clerk)
            ->post('/hand-over/list', ['names' => "wickerby-bells.com, LATE.com\nnobody-holds.com"])
            ->assertSessionHas('told');
        $list = DB::table('selections')->where('kind', 'list')->value('id');
        self::assertIsString($list);
        $this->get("/hand-over?of={$list}&receiver={$this->house->theirs->id}")
            ->assertOk()
            ->assertSeeInOrder([
                'Hand over 2 names',
                'Is this the right account?',
                '51877',
                'login-51877',
                'confirmed to belong together',
                'before',
                '40718',
                '51877',
            ])
            ->assertSee('Will lapse on 2 Nov, as intended')
            ->assertSee('Its term ended on 1 Sep: renew first')
            ->assertSee('1 of 2 can go now')
            ->assertSee('Prepare 1 name for Wickerby Bell Foundry');
        self::assertSame(0, Docket::query()->count());
        $this->actingAs($this->house->steward)
            ->get("/hand-over?of={$list}&receiver={$this->house->theirs->id}")
            ->assertSee('or paste them here')
            ->assertDontSee('wickerby-bells');
    }

    public function test_of_very_many_clients_each_can_be_chosen(): void
    {
        DB::statement("INSERT INTO clients (name) SELECT 'Client ' || lpad(n::text, 4, '0') FROM generate_series(1, 600) n");
        $last = Client::query()->where('name', 'Client 0600')->sole();
        $this->house->name('bell.com');
        $page = $this->actingAs($this->house->clerk)
            ->get("/hand-over?name=bell.com&receiver={$this->house->theirs->id}&by=2026-10-12&client={$last->id}")
            ->assertOk();
        $page
            ->assertSee('held afterwards for')
            ->assertSee("<option value=\"{$last->id}\" selected>Client 0600</option>", false)
            ->assertSee('name="by" value="2026-10-12"', false)
            ->assertSee('name="name" value="bell.com"', false);
        $this->get('/deeds/give_to_client?name=bell.com')->assertOk()->assertSee('Client 0600');
    }

    public function test_a_receiver_is_found_by_any_part_of_number_login_handle_or_client(): void
    {
        $this->house->name('bell.com');
        $this->house->theirs->update(['handle' => 'FNDRY']);
        foreach (['518', 'login-51', 'fndr', 'bell found', 'skerry 51877', 'box-51877@'] as $typed) {
            $this->actingAs($this->house->clerk)
                ->get('/hand-over?found=only&name=bell.com&q='.urlencode($typed))
                ->assertOk()
                ->assertSee('51877');
        }
        $this->get('/hand-over?found=only&name=bell.com&q=%25')->assertSee('No account matches');
    }

    /** An account that was unlocked for a handover's sake is locked again by somebody's word, however it ends; until then Rounds say so. */
    #[TestWith(['done'])]
    #[TestWith(['refused'])]
    #[TestWith(['called off'])]
    public function test_an_account_that_was_unlocked_is_locked_again_by_somebodys_word(string $end): void
    {
        $this->house->skerry->update(['unlock_account_first' => true]);
        $docket = $this->settled([$this->house->name('one.com'), $this->house->name('two.com')]);
        $account = $this->house->ours;
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSeeInOrder([
                'Giving side',
                'Unlock the giving account',
                'Offer the names',
                'Lock the giving account again',
                'Receiving side',
            ]);
        $this->get('/rounds')->assertDontSee('nobody has confirmed that it is locked again');
        match ($end) {
            'done' => app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06')),
            'refused' => app(EndLines::class)->refused($this->house->steward, $docket, null, 'not wanted'),
            default => app(EndLines::class)->calledOff($this->house->steward, $docket),
        };
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        $this->get('/rounds')
            ->assertSee("unlocked for docket {$docket->id}; nobody has confirmed that it is locked again")
            ->assertSee(route('accounts.show', $account).'#unlocked');
        $this->get("/accounts/{$account->id}")->assertSeeInOrder(['Unlocked for', 'Record that it is locked again']);
        $this->actingAs($this->house->clerk)
            ->get("/accounts/{$account->id}")
            ->assertSee('Unlocked for')
            ->assertDontSee('Record that it is locked again');
        $this->post("/accounts/{$account->id}/locked")->assertForbidden();
        $this->actingAs($this->house->steward)
            ->post("/accounts/{$this->house->theirs->id}/locked")
            ->assertRedirect();
        $this->get('/rounds')->assertSee('nobody has confirmed that it is locked again');
        $this->post("/accounts/{$account->id}/locked")
            ->assertRedirect("/accounts/{$account->id}")
            ->assertSessionHas('told');
        $this->get('/rounds')->assertDontSee('nobody has confirmed that it is locked again');
        $this->get("/accounts/{$account->id}")->assertDontSee('Unlocked for');
        self::assertSame(1, DB::table('log')->where('event', 'account_locked')->where('subject_id', $account->id)->count(), 'said once');
    }

    public function test_from_the_button_to_the_proof(): void
    {
        $names = [$this->house->name('one.com'), $this->house->name('two.com', facts: ['lock' => 'on']), $this->house->name('three.com')];
        $this->actingAs($this->house->steward)->postJson('/sheaf', ['names' => array_map(fn (Name $name): int => $name->id, $names)]);
        $page = $this->get("/hand-over?of=sheaf&receiver={$this->house->theirs->id}")->assertSee('Hand 3 names to Wickerby Bell Foundry');
        preg_match_all('/<input type="hidden" name="(\w+)" value="([^"]*)">/', (string) $page->getContent(), $fields, PREG_SET_ORDER);
        $form = ['act' => 'settle'];
        foreach ($fields as [, $field, $value]) {
            $form[$field] = html_entity_decode($value);
        }
        $answer = $this->post('/hand-over', $form)->assertSessionHasNoErrors();
        $docket = Docket::query()->sole();
        $answer->assertRedirect("/dockets/{$docket->id}");
        $this->post('/hand-over', $form)->assertRedirect("/dockets/{$docket->id}");
        self::assertSame(1, Docket::query()->count());
        self::assertSame(0, DB::table('selection_names')->count());

        $this->get("/dockets/{$docket->id}")
            ->assertOk()
            ->assertSeeInOrder(
                [
                    'The <span',
                    'Giving side: Skerry Registrations, account 40718',
                    'Lift the lock',
                    'Offer the names',
                    'login-40718',
                    'login-51877',
                    "one.com\ntwo.com\nthree.com",
                    'Receiving side: Skerry Registrations, account 51877',
                    'Accept',
                    'Set the lock again',
                ],
                false,
            );
        $line = DocketLine::query()->where('name_id', $names[0]->id)->sole();
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'done', 'on' => '2026-10-06', 'lines' => [$line->id]])->assertSessionHas(
            'told',
        );
        self::assertSame($this->house->theirs->id, House::holder($names[0]));
        self::assertSame($this->house->ours->id, House::holder($names[1]));
        $this->post("/dockets/{$docket->id}/tick", [
            'how' => 'refused',
            'lines' => [DocketLine::query()->where('name_id', $names[1]->id)->sole()->id],
            'reason' => '',
        ])->assertSessionHasErrors('deed');
        $this->post("/dockets/{$docket->id}/tick", [
            'how' => 'refused',
            'lines' => [DocketLine::query()->where('name_id', $names[1]->id)->sole()->id],
            'reason' => "The receiver\ndid not want it",
        ]);
        $this->get("/dockets/{$docket->id}/proof")->assertNotFound();
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertSessionHasNoErrors();

        $docket->refresh();
        self::assertSame(DocketState::Closed, $docket->state);
        $proof = Proof::query()->sole();
        $this->get("/dockets/{$docket->id}/proof")
            ->assertOk()
            ->assertSee($proof->sha256)
            ->assertSee('handed over on 6 Oct 2026');
        $text = (string) $this->get("/dockets/{$docket->id}/proof.txt")
            ->assertOk()
            ->getContent();
        self::assertSame(hash('sha256', $text), $proof->sha256);
        self::assertStringContainsString(
            "name: two.com\nresult: refused\nbefore: Skerry Registrations 40718, for Wickerby Bell Foundry\nafter: Skerry Registrations "
                ."40718, for Wickerby Bell Foundry\nreason: The receiver did not want it",
            $text,
        );
        $this->get('/names/one.com')->assertSeeInOrder(['Handed to Skerry Registrations 51877', "docket {$docket->id}"]);
        self::assertSame(0, Movement::query()->whereNull('closed_on')->count());
    }

    public function test_what_was_shown_is_what_is_done_or_less_and_never_more(): void
    {
        $one = $this->house->name('one.com');
        $two = $this->house->name('two.com', facts: ['ends_on' => Instant::of('2026-09-01')]);
        $handle = fn (array $shown): Docket => app(PrepareDocket::class)->handle(
            $this->house->clerk,
            House::token(),
            'hand_over',
            [$one->id, $two->id],
            $this->house->terms()->pack(),
            array_values(array_filter($shown, is_int(...))),
        );
        // Two can't go any more, though the page said so: the rest go, and its line says why.
        $docket = $handle([$one->id, $two->id]);
        self::assertSame(
            [LineState::Prepared, LineState::Stopped],
            $docket->lines()->get()->map(fn (DocketLine $line) => $line->state)->all(),
        );
        // One can go now, though the page did not say so: asked again.
        $this->expectException(DeedError::class);
        $handle([$two->id]);
    }

    public function test_an_answer_that_was_not_the_pages_own_is_refused(): void
    {
        $this->house->name('one.com');
        $this->actingAs($this->house->steward)
            ->post('/hand-over', [
                'name' => 'one.com',
                'receiver' => $this->house->theirs->id,
                'client' => 'keep',
                'by' => '2026-10-20',
                'token' => House::token(),
                'shown' => 'W10=',
                'act' => 'settle',
            ])
            ->assertSessionHasErrors('deed');
        self::assertSame(0, Docket::query()->count());
    }

    public function test_a_clerk_prepares_and_a_steward_settles(): void
    {
        $docket = $this->prepare([$this->house->name('one.com')]);
        $this->actingAs($this->house->clerk)
            ->get("/dockets/{$docket->id}")
            ->assertSee('A Steward must settle it')
            ->assertDontSee('Begin: hand');
        $this->post("/dockets/{$docket->id}/settle")->assertForbidden();
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('Start: hand one name');
        $this->post("/dockets/{$docket->id}/settle")->assertRedirect();
        self::assertSame(LineState::Begun, $docket->lines()->sole()->state);
        $this->post("/dockets/{$docket->id}/settle")->assertForbidden();
        $this->actingAs($this->house->clerk)
            ->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])
            ->assertForbidden();
        $this->actingAs($this->house->reader)
            ->get("/dockets/{$docket->id}")
            ->assertOk()
            ->assertDontSee('Mark as done');
    }

    public function test_whoever_prepared_it_may_take_it_back_and_nothing_is_proven(): void
    {
        $docket = $this->prepare([$this->house->name('one.com')]);
        $this->actingAs($this->house->clerk)
            ->post("/dockets/{$docket->id}/call-off")
            ->assertSessionHas('told');
        self::assertSame([DocketState::CalledOff, LineState::CalledOff], [$docket->refresh()->state, $docket->lines()->sole()->state]);
        self::assertSame(0, Proof::query()->count());
    }

    public function test_a_docket_under_way_that_is_called_off_frees_its_names_and_is_proven(): void
    {
        $name = $this->house->name('one.com');
        $docket = $this->settled([$name]);
        $this->assertDatabaseHas('standings', ['name_id' => $name->id, 'next_kind' => 'handover']);
        app(EndLines::class)->calledOff($this->house->steward, $docket);
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertStringContainsString('result: called off', Proof::query()->sole()->text);
        $this->assertDatabaseHas('standings', ['name_id' => $name->id, 'next_kind' => 'ends']);
        self::assertSame(
            LineState::Begun,
            $this->settled([$name])
                ->lines()
                ->sole()->state,
        );
    }

    public function test_a_name_that_another_docket_took_meanwhile_is_stopped_with_the_reason(): void
    {
        $name = $this->house->name('one.com');
        $second = $this->prepare([$name]);
        $first = $this->settled([$name]);
        app(SettleDocket::class)->handle($this->house->steward, $second);
        app(BeginDocketLines::class)->handle($second->id);
        $line = $second->lines()->sole();
        self::assertSame(LineState::Stopped, $line->state);
        self::assertSame('movement.under_way', $line->findings[0]['key']);
        $this->actingAs($this->house->reader)
            ->get("/dockets/{$second->id}")
            ->assertSee("Another movement is under way (docket {$first->id})");
    }

    public function test_beginning_twice_begins_once(): void
    {
        $docket = $this->settled([$this->house->name('one.com'), $this->house->name('two.com')]);
        app(BeginDocketLines::class)->handle($docket->id);
        app(BeginDocketLines::class)->sweep();
        self::assertSame(2, Movement::query()->count());
        self::assertSame(4, DB::table('legs')->count());
    }

    public function test_a_day_that_cannot_be_is_refused_and_nothing_changes(): void
    {
        $name = $this->house->name('one.com', since: '2026-10-02');
        $docket = $this->settled([$name]);
        foreach (
            [
                '2026-10-07' => ['2026-10-06', 'in the future'],
                '2026-10-05' => ['2026-10-06', 'on 5 Oct 2026 this docket was not settled yet'],
                '2026-10-01' => ['2026-09-30', 'on 2 Oct 2026, so'],
            ] as $day => [$settled, $why]
        ) {
            $docket->update(['settled_on' => Instant::of($settled)]);
            $this->actingAs($this->house->steward)
                ->from("/dockets/{$docket->id}")
                ->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => $day])
                ->assertSessionHasErrors('deed');
            $this->get("/dockets/{$docket->id}")->assertSee($why);
        }
        self::assertSame($this->house->ours->id, House::holder($name));
        self::assertSame(LineState::Begun, $docket->lines()->sole()->state);
    }

    public function test_two_handovers_of_one_day_follow_each_other(): void
    {
        $name = $this->house->name('one.com', since: '2026-10-06');
        $docket = $this->settled([$name]);
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        self::assertSame($this->house->theirs->id, House::holder($name));
        self::assertSame(2, Holding::query()->where('name_id', $name->id)->count());
    }

    public function test_extras_that_end_with_a_handover_end(): void
    {
        $name = $this->house->name('one.com');
        $registration = $name->load('registration')->registration;
        self::assertNotNull($registration);
        foreach (['redirects', 'privacy'] as $kind) {
            Extra::query()->create(['registration_id' => $registration->id, 'kind' => $kind]);
        }
        app(EndLines::class)->done($this->house->steward, $this->settled([$name]), null, Instant::of('2026-10-06'));
        self::assertSame(['privacy'], Extra::query()->whereNull('ended_on')->get()->map(fn (Extra $extra) => $extra->kind->value)->all());
    }

    public function test_lots_have_one_giving_account_each_within_the_registrars_limit(): void
    {
        $this->house->skerry->update(['lot_size' => 2]);
        $second = $this->house->account('40799', null);
        $names = array_map(
            fn (int $number): Name => $this->house->name("bell-{$number}.com", $number % 2 === 0 ? $second : null),
            range(1, 6),
        );
        $docket = $this->settled($names);
        $lots = $docket->lines()->get()->groupBy('lot');
        self::assertCount(4, $lots);
        foreach ($lots as $lines) {
            self::assertLessThanOrEqual(2, $lines->count());
            self::assertCount(1, $lines->pluck('giving_account_id')->unique());
        }
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('Lot 4: from account');
    }

    public function test_proofs_are_chained_in_closing_order(): void
    {
        $first = $this->settled([$this->house->name('one.com')]);
        $second = $this->settled([$this->house->name('two.com')]);
        app(EndLines::class)->done($this->house->steward, $second, null, Instant::of('2026-10-06'));
        app(EndLines::class)->done($this->house->steward, $first, null, Instant::of('2026-10-06'));
        [$one, $two] = Proof::query()->orderBy('position')->get()->all();
        self::assertSame([$second->id, $first->id], [$one->docket_id, $two->docket_id]);
        self::assertSame($one->sha256, $two->previous_sha256);
        self::assertStringEndsWith("previous proof: {$one->sha256}\n", $two->text);
    }

    public function test_only_time_cures_it_so_the_date_is_said(): void
    {
        $slow = Registrar::query()->create(['name' => 'Pellbridge', 'handover_hold_days' => 30]);
        $account = $this->house->account('H-2207', null, $slow);
        $receiver = $this->house->account('H-3115', $this->house->foundry, $slow);
        $this->house->name('new.com', $account, facts: ['created_on' => Instant::of('2026-09-19')]);
        $this->actingAs($this->house->steward)
            ->get("/hand-over?name=new.com&receiver={$receiver->id}")
            ->assertSee('Clear from 19 Oct')
            ->assertSee('0 of 1 can go now');
        app(TradeClock::class)->set(Instant::of('2026-10-19T00:00:01Z'));
        $this->get("/hand-over?name=new.com&receiver={$receiver->id}")->assertSee('1 of 1 can go now');
    }

    public function test_log_row_and_deed_stand_or_fall_together(): void
    {
        $name = $this->house->name('one.com');
        $docket = $this->settled([$name]);
        DB::listen(function (QueryExecuted $query): void {
            if (str_starts_with($query->sql, 'INSERT INTO log ')) {
                throw new RuntimeException('no log, no deed');
            }
        });
        try {
            app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
            self::fail('It went on without its log.');
        } catch (RuntimeException $e) {
            self::assertSame('no log, no deed', $e->getMessage());
        }
        self::assertSame([$this->house->ours->id, LineState::Begun], [House::holder($name), $docket->lines()->sole()->state]);
        self::assertSame(1, Movement::query()->whereNull('closed_on')->count());
    }

    public function test_three_hundred_names_cost_one_reading_of_their_files(): void
    {
        $names = array_map(fn (int $number): Name => $this->house->name("bell-{$number}.com"), range(1, 30));
        $docket = $this->settled($names);
        $reads = 0;
        DB::listen(function (QueryExecuted $query) use (&$reads): void {
            $reads += (int) str_contains($query->sql, 'r.statuses, r.');
        });
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        // Once to end them, once to make their standings again.
        self::assertSame(2, $reads);
    }

    public function test_two_holders_at_one_time_cannot_be_stored(): void
    {
        $name = $this->house->name('one.com');
        $held = Holding::query()->sole();
        $this->expectException(QueryException::class);
        $this->expectExceptionMessage('holdings_one_at_a_time');
        DB::insert('INSERT INTO holdings (name_id, registration_id, account_id, client_id, span) VALUES (?, ?, ?, ?, ?)', [
            $name->id,
            $held->registration_id,
            $this->house->theirs->id,
            $this->house->foundry->id,
            '[2026-10-01,2026-10-02)',
        ]);
    }
}
