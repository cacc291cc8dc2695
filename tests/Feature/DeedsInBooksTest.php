<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Names\GatherNames;
use App\Actions\Standings\MakeStandings;
use App\Actions\Words\GiveWords;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\Holding;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Registration;
use App\Models\User;
use App\Support\TradeClock;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Deeds that are written in our own books: judged, done at once, proven, and undone as long as nobody changed them since. */
final class DeedsInBooksTest extends TestCase
{
    use PressesDeeds;

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
    }

    /**
     * Presses the button of the page at that address, as somebody.
     *
     * @return TestResponse<Response>
     */
    private function press(string $address, ?User $by = null): TestResponse
    {
        return $this->pressAs($by ?? $this->house->steward, $address, $by === null ? 'settle' : 'prepare');
    }

    /** @param  list<Name>  $names */
    private function gather(array $names, ?User $by = null): void
    {
        app(GatherNames::class)->add($by ?? $this->house->steward, array_map(fn (Name $name): int => $name->id, $names));
    }

    public function test_a_renewal_is_recorded_in_two_clicks_for_many_at_once_and_taken_back(): void
    {
        $this->house->name('one.com', facts: ['ends_on' => Instant::of('2026-10-12')]);
        $this->house->name('leap.com', facts: ['created_on' => Instant::of('2020-02-29'), 'ends_on' => Instant::of('2026-10-12')]);
        $this->house->name(
            'gone.com',
            facts: [
                'ends_on' => Instant::of('2026-09-12'),
                'statuses' => ['redemptionPeriod'],
                'deleted_since' => Instant::of('2026-10-01'),
            ],
        );
        $this->house->name('noend.com', facts: ['ends_on' => null]);
        $this->house->name('old.com', facts: ['ends_on' => Instant::of('2024-10-12'), 'intent' => 'by_itself']);
        $page = (string) $this->actingAs($this->house->steward)->get('/rounds')->assertSee('Renew')->getContent();
        self::assertSame(
            1,
            preg_match('~href="[^"]+/deeds/renew\?name=leap\.com%2Cone\.com"~', $page),
            'those of one day together',
        );
        $this->get('/deeds/record_renewal?name=leap.com,one.com')
            ->assertOk()
            ->assertSeeInOrder(['Record the renewal of 2 names, for one year', '12 Oct 2026', '12 Oct 2027']);
        $this->get('/deeds/record_renewal?name=gone.com,noend.com,old.com')
            ->assertSee('a renewal counts only after it is restored')
            ->assertSee('nothing can be added')
            ->assertSee('Even then it would have ended on 12 Oct 2025');
        $this->get('/deeds/record_renewal?name=old.com&years=3')->assertSee('1 of 1 can go now');
        $this->get('/deeds/record_renewal?name=one.com&years=10')->assertSee('no more than 10 years ahead');
        foreach (['0', '11', 'x', '-1'] as $odd) {
            $this->get("/deeds/record_renewal?name=one.com&years={$odd}")
                ->assertOk()
                ->assertDontSee('can go now');
        }
        $docket = $this->press('/deeds/record_renewal?name=leap.com,one.com&years=2');
        self::assertSame(
            ['2028-10-12', '2028-10-12'],
            Registration::query()
                ->whereIn(
                    'name_id',
                    Name::query()
                        ->whereIn('ascii', ['one.com', 'leap.com'])
                        ->pluck('id'),
                )
                ->get()
                ->map(fn (Registration $one): ?string => $one->ends_on?->date())
                ->all(),
        );
        $this->get('/rounds')->assertDontSee('leap.com');
        $this->get('/names/one.com/history')->assertSeeInOrder(['Steward Tern', 'ends: 12 Oct 2026 → 12 Oct 2028']);
        $id = basename((string) $docket->headers->get('Location'));
        $this->press("/deeds/undo_docket?docket={$id}")->assertRedirect();
        self::assertSame(
            ['2026-10-12', '2026-10-12'],
            Registration::query()
                ->whereIn(
                    'name_id',
                    Name::query()
                        ->whereIn('ascii', ['one.com', 'leap.com'])
                        ->pluck('id'),
                )
                ->get()
                ->map(fn (Registration $one): ?string => $one->ends_on?->date())
                ->all(),
        );
    }

    public function test_what_is_ours_no_more_is_closed_and_its_past_stays(): void
    {
        [$kept, $gone, $watched] = [
            $this->house->name('kept.com'),
            $this->house->name('gone.com', facts: ['registrant' => 'The Foundry', 'mailbox' => 'post@bells.example']),
            $this->house->name('watched.com'),
        ];
        $address = '/deeds/remove_names?name=gone.com&then=end&because=given+up+in+October';
        $this->actingAs($this->house->steward)
            ->get('/deeds/remove_names?name=gone.com&then=end')
            ->assertOk()
            ->assertSee('What happened to them')
            ->assertDontSee('can go now');
        $this->gather([$kept, $watched]);
        $this->get('/deeds/remove_names?of=sheaf&then=end')->assertSeeInOrder([
            'the sheaf',
            'For',
            'kept.com',
            'watched.com',
            'What happened to them',
        ]);
        $this->get($address)->assertSeeInOrder([
            'Remove one name from our record',
            'Skerry Registrations 40718',
            'leaves the Roll; its history stays',
            'Clear',
            'No directory says that it is gone',
            'See the public record',
            'can’t be undone',
        ]);
        app(TradeClock::class)->set(Instant::of('2026-10-09T10:00:00Z'));
        $this->press($address)->assertRedirect();
        self::assertSame(['kept.com', 'watched.com'], DB::table('standings')->orderBy('ascii')->pluck('ascii')->all());
        foreach (['holdings', 'registrations', 'roles'] as $table) {
            self::assertSame(0, DB::table($table)->where('name_id', $gone->id)->whereRaw('upper_inf(span)')->count(), $table);
            self::assertSame(
                1,
                DB::table($table)->where('name_id', $gone->id)->whereRaw("upper(span)::date = '2026-10-09'")->count(),
                $table,
            );
        }
        $docket = Docket::query()->latest('id')->firstOrFail();
        self::assertSame(DocketState::Closed, $docket->state);
        $this->get("/dockets/{$docket->id}")
            ->assertOk()
            ->assertSee('Remove one name from our record')
            ->assertDontSee('Undo it');
        $this->get("/dockets/{$docket->id}/proof")->assertSee('no longer ours: given up in October; leaves the Roll');
        // Its page is what the directories say of it, and what it was to us.
        $this->get('/names/gone.com')->assertRedirect('/record/gone.com');
        $this->get('/record/gone.com')
            ->assertSee('It is not on the Roll')
            ->assertSeeInOrder(['Held here for Wickerby Bell Foundry at Skerry Registrations 40718', 'until 9 Oct 2026']);
        // Another goes on being looked at.
        $this->press('/deeds/remove_names?name=watched.com&then=watch&because=moved+to+their+own+account')->assertRedirect();
        $this->get('/roll?finding=lifecycle.watched')
            ->assertSeeInOrder(['watched.com', 'watched; not ours'])
            ->assertDontSee('kept.com');
        $this->get('/record/watched.com')->assertSee('moved to their own account')->assertSee('until 9 Oct 2026');
        // What has begun is ended first; what is only prepared stops, and can be called off.
        $this->press('/deeds/change_lock?name=kept.com&lock=on')->assertRedirect();
        $this->get('/deeds/remove_names?name=kept.com&then=end&because=too+early')->assertSeeInOrder([
            'Stopped',
            'which is under way: settle that first',
            'Docket',
        ]);
        $begun = Docket::query()->latest('id')->firstOrFail();
        $this->post("/dockets/{$begun->id}/call-off")->assertRedirect();
        $this->press('/deeds/change_intent?name=kept.com&intent=lapse', $this->house->clerk)->assertRedirect();
        $prepared = Docket::query()->latest('id')->firstOrFail();
        $this->press('/deeds/remove_names?name=kept.com&then=end&because=lapsed')->assertRedirect();
        self::assertSame(1, DB::table('holdings')->where('name_id', $kept->id)->whereRaw('NOT upper_inf(span)')->count());
        $this->actingAs($this->house->steward)
            ->post("/dockets/{$prepared->id}/call-off")
            ->assertRedirect();
        self::assertSame(DocketState::CalledOff, $prepared->refresh()->state);
        // Neither can be closed twice, and what comes back begins anew with its history.
        $this->get('/deeds/remove_names?name=watched.com&then=end&because=again')->assertSee('It is only watched');
        $registration = Registration::query()->create([
            'name_id' => $gone->id,
            'span' => Span::since(Instant::of('2026-10-09T10:00:02Z')),
            'ends_on' => Instant::of('2027-10-09'),
        ]);
        Holding::query()->create([
            'name_id' => $gone->id,
            'registration_id' => $registration->id,
            'account_id' => $this->house->ours->id,
            'client_id' => $this->house->foundry->id,
            'span' => Span::since(Instant::of('2026-10-09T10:00:02Z')),
        ]);
        app(MakeStandings::class)->of([$gone->id]);
        $this->get('/names/gone.com')->assertOk()->assertSee('Removed: no longer ours');
    }

    public function test_whose_they_are_passes_in_our_own_books_and_is_undone(): void
    {
        [$one, $two] = [$this->house->name('one.com'), $this->house->name('two.com', $this->house->theirs)];
        $already = $this->house->name('already.com', client: $this->house->harrow);
        $this->gather([$one, $two, $already]);
        $client = $this->house->harrow->id;
        $this->actingAs($this->house->steward)
            ->get("/deeds/give_to_client?of=sheaf&client={$client}")
            ->assertSeeInOrder(['Hold 3 names for Harrow &amp; Tern', '1 can’t:', 'already so', 'Leave it out', '2 of 3 can go now'], false)
            ->assertSee('It stays in account 51877, which belongs to Wickerby Bell Foundry');
        $this->press("/deeds/give_to_client?of=sheaf&client={$client}&without[]=books.already_so")->assertRedirect();

        $docket = Docket::query()->sole();
        self::assertSame([DocketState::Closed, 2], [$docket->state, $docket->lines()->count()]);
        self::assertSame(
            [$client, $this->house->ours->id],
            array_values(
                (array) DB::table('holdings')
                    ->where('name_id', $one->id)
                    ->whereRaw('upper_inf(span)')
                    ->first(['client_id', 'account_id']),
            ),
        );
        self::assertSame(2, Holding::query()->where('name_id', $one->id)->count());
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder(
            [
                'Hold 2 names for Harrow &amp; Tern',
                'Closed on 6 Oct 2026: 2 of 2 done',
                'Proof',
                'Undo it',
                'Wickerby Bell Foundry',
                'Harrow &amp; Tern',
            ],
            false,
        );
        $this->get("/dockets/{$docket->id}/proof")->assertSee('hold for Harrow &amp; Tern, in the accounts where they are', false);
        $this->get('/names/one.com')->assertSee('Now held for another client');
        self::assertSame([$already->id], app(GatherNames::class)->sheaf($this->house->steward)->ids);

        // Somebody gives one of them on; undoing leaves that one alone.
        $this->press("/deeds/give_to_client?name=two.com&client={$this->house->foundry->id}")->assertRedirect();
        $this->get("/deeds/undo_docket?docket={$docket->id}")->assertSeeInOrder(['Undo docket', '1 can’t:', 'changed again since'], false);
        $this->press("/deeds/undo_docket?docket={$docket->id}")->assertRedirect();
        $undone = Docket::query()->latest('id')->firstOrFail();
        self::assertSame([LineState::Done, LineState::Stopped], [self::line($undone, $one)->state, self::line($undone, $two)->state]);
        self::assertSame(
            $this->house->foundry->id,
            DB::table('holdings')->where('name_id', $one->id)->whereRaw('upper_inf(span)')->value('client_id'),
        );
        $this->get("/dockets/{$undone->id}")
            ->assertSee('Undo docket '.$docket->id)
            ->assertDontSee('Undo it');
    }

    private static function line(Docket $docket, Name $name): DocketLine
    {
        return DocketLine::query()->where('docket_id', $docket->id)->where('name_id', $name->id)->sole();
    }

    public function test_what_is_to_happen_at_their_end(): void
    {
        $one = $this->house->name('one.com', facts: ['intent' => Intent::ByItself]);
        $version = Registration::query()->where('name_id', $one->id)->sole()->version;
        $this->actingAs($this->house->steward)
            ->get('/deeds/change_intent?name=one.com&intent=lapse')
            ->assertSee('Auto-renew at Skerry Registrations is set there, not here');
        $this->press('/deeds/change_intent?name=one.com&intent=lapse')->assertRedirect();
        $registration = Registration::query()->where('name_id', $one->id)->sole();
        self::assertSame(
            [Intent::Lapse, $version + 1, 'docket'],
            [$registration->intent, $registration->version, $registration->sources['intent']['from']],
        );
        self::assertSame('lapse', DB::table('standings')->where('name_id', $one->id)->value('intent'));
        $this->press('/deeds/undo_docket?docket='.Docket::query()->sole()->id)->assertRedirect();
        self::assertSame(Intent::ByItself, $registration->refresh()->intent);
    }

    public function test_words_are_given_and_taken_away(): void
    {
        [$one, $two] = [$this->house->name('one.com'), $this->house->name('two.com')];
        app(GiveWords::class)->give([$two->id], ['Shops', 'old']);
        $this->gather([$one, $two]);
        $this->press('/deeds/change_words?of=sheaf&give=shops,+keep&take=OLD')->assertRedirect();
        self::assertSame(
            [['keep', 'Shops'], ['keep', 'Shops']],
            [app(GiveWords::class)->of([$one->id])[$one->id], app(GiveWords::class)->of([$two->id])[$two->id]],
        );
        $docket = Docket::query()->sole();
        $this->get("/dockets/{$docket->id}")
            ->assertSee('2 names: give “shops”, “keep”, take away “OLD”')
            ->assertSeeInOrder(['no words', 'shops, keep']);
        $this->press("/deeds/undo_docket?docket={$docket->id}")->assertRedirect();
        self::assertSame([$two->id => ['old', 'Shops']], app(GiveWords::class)->of([$one->id, $two->id]));
        // Nothing to do is nothing done.
        $this->get('/deeds/change_words?name=two.com&give=old')->assertSee('It is already so')->assertDontSee('name="act"', false);
    }

    public function test_a_clerk_prepares_and_a_reader_may_not(): void
    {
        $this->house->name('one.com');
        $this->press('/deeds/change_intent?name=one.com&intent=lapse', $this->house->clerk)->assertRedirect();
        self::assertSame(DocketState::Prepared, Docket::query()->sole()->state);
        self::assertSame(Intent::WhenTold, Registration::query()->sole()->intent);
        $this->actingAs($this->house->reader)->get('/deeds/change_intent?name=one.com')->assertForbidden();
        $this->actingAs($this->house->steward)->get('/deeds/hand_over?name=one.com')->assertNotFound();
        $this->get('/deeds/nonsense?name=one.com')->assertNotFound();
        $this->get('/deeds/change_intent')->assertRedirect('/sheaf');
        $this->get('/deeds/change_intent?name=one.com&intent=sometimes')->assertOk()->assertSee('Preview');
        $this->post('/deeds/change_intent', [
            'name' => 'one.com',
            'token' => House::token(),
            'shown' => 'x',
            'act' => 'settle',
        ])->assertSessionHasErrors('deed');
    }

    public function test_what_has_not_begun_is_called_off_and_tried_again(): void
    {
        $names = array_map(fn (int $n): Name => $this->house->name("bell-{$n}.com"), range(1, 3));
        $this->gather($names);
        Queue::fake();
        $this->press('/deeds/change_words?of=sheaf&give=keep');
        $docket = Docket::query()->sole();
        self::line($docket, $names[0])->update([
            'state' => LineState::Done,
            'done_on' => Instant::of('2026-10-06'),
            'was' => ['words' => []],
        ]);
        $this->get("/dockets/{$docket->id}")
            ->assertSee('2 names have not started yet')
            ->assertSee('Cancel what has not started');
        $this->post("/dockets/{$docket->id}/call-off", ['which' => 'waiting'])->assertRedirect();
        app(BeginDocketLines::class)->handle($docket->id);
        self::assertSame(
            [DocketState::Closed, 2],
            [$docket->refresh()->state, $docket->lines()->where('state', LineState::CalledOff)->count()],
        );

        $this->get("/dockets/{$docket->id}")->assertSee('Try the failed 2 again');
        $again = (string) $this->post("/dockets/{$docket->id}/again")
            ->assertRedirect()
            ->headers->get('Location');
        self::assertStringContainsString('give=keep', $again);
        $this->get($again)->assertSee('2 of 2 can go now')->assertSee('bell-2.com')->assertDontSee('bell-1.com');
    }

    public function test_what_was_stopped_in_a_handover_is_tried_again_on_its_terms(): void
    {
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-10-01')]);
        $this->house->name('good.com');
        $ids = Name::query()->orderBy('id')->pluck('id')->all();
        $this->actingAs($this->house->steward);
        $this->gather(array_values(Name::query()->get()->all()));
        $page = $this->get("/hand-over?of=sheaf&receiver={$this->house->theirs->id}")->assertSeeInOrder(
            ['1 can’t:', 'past their expiry: renew first', 'Leave it out'],
            false,
        );
        self::assertCount(2, $ids);
        $page->assertSee('1 of 2 can go now');
        $this->get("/hand-over?of=sheaf&receiver={$this->house->theirs->id}&without[]=movement.past_end")
            ->assertSee('Hand over 1 name')
            ->assertSeeInOrder(['1 left out', 'Include it again'], false)
            ->assertDontSee('late.com</a>', false);
    }

    public function test_five_thousand_names_are_one_page_with_its_groups(): void
    {
        $this->house->name('bell.com', client: $this->house->harrow);
        DB::statement(
            "INSERT INTO names (ascii, unicode, suffix) SELECT 'many-' || n || '.com', 'many-' || n || '.com', 'com'
                FROM generate_series(1, 600) n",
        );
        DB::statement("INSERT INTO registrations (name_id, span) SELECT id, '[2020-01-01,)' FROM names WHERE ascii LIKE 'many-%'");
        DB::statement(
            'INSERT INTO holdings (name_id, registration_id, account_id, client_id, span) SELECT r.name_id, r.id, ?, ?, r.span
                FROM registrations r JOIN names n ON n.id = r.name_id WHERE n.ascii LIKE ?',
            [$this->house->ours->id, $this->house->foundry->id, 'many-%'],
        );
        $ids = array_values(array_filter(Name::query()->pluck('id')->all(), is_int(...)));
        app(MakeStandings::class)->of($ids);
        $this->actingAs($this->house->steward);
        $of = app(GatherNames::class)->list($this->house->steward, $ids);
        $page = (string) $this->get("/deeds/give_to_client?of={$of}&client={$this->house->harrow->id}")
            ->assertSeeInOrder(['1 can’t:', 'bell.com', 'Not shown: 301 names', '600 of 601 can go now'], false)
            ->getContent();
        self::assertSame(300, substr_count($page, '<th scope="row">'));
        self::assertSame(
            601,
            substr_count(
                (string) $this->get("/deeds/give_to_client?of={$of}&client={$this->house->harrow->id}&rows=all")->getContent(),
                '<th scope="row">',
            ),
        );
    }

    public function test_undone_once_there_is_nothing_to_undo_again(): void
    {
        $this->house->name('one.com');
        $this->press('/deeds/change_intent?name=one.com&intent=lapse');
        $docket = Docket::query()->sole();
        $this->press("/deeds/undo_docket?docket={$docket->id}")->assertRedirect();
        $this->get("/deeds/undo_docket?docket={$docket->id}")
            ->assertSee('Somebody has changed it since')
            ->assertDontSee('name="act"', false);
        $this->get('/deeds/undo_docket?docket=999999')->assertRedirect('/sheaf');
        // What happened outside can't be undone in our books.
        $handed = Docket::query()->create([
            'token' => House::token(),
            'deed' => 'hand_over',
            'state' => 'prepared',
            'terms' => $this->house->terms()->pack(),
            'digest' => '',
            'prepared_by' => $this->house->clerk->id,
            'prepared_on' => Instant::of('2026-10-06'),
        ]);
        $this->get("/deeds/undo_docket?docket={$handed->id}")->assertRedirect('/sheaf');
    }

    public function test_a_clerk_can_not_settle_by_what_a_form_says(): void
    {
        $this->house->name('one.com');
        $this->actingAs($this->house->clerk)
            ->get('/deeds/change_intent?name=one.com&intent=lapse')
            ->assertSee('Prepare: ')
            ->assertDontSee('value="settle"', false);
        $shown = Crypt::encryptString((string) json_encode([Name::query()->sole()->id]));
        $this->post('/deeds/change_intent', [
            'name' => 'one.com',
            'intent' => 'lapse',
            'token' => House::token(),
            'shown' => $shown,
            'act' => 'settle',
        ])->assertForbidden();
        self::assertSame(0, Docket::query()->count());
        self::assertSame(Intent::WhenTold, Registration::query()->sole()->intent);
    }

    public function test_more_than_was_shown_is_never_done(): void
    {
        $this->house->name('one.com');
        $two = $this->house->name('two.com');
        $this->gather(array_values(Name::query()->get()->all()));
        $shown = Crypt::encryptString((string) json_encode([$two->id]));
        $this->actingAs($this->house->steward)
            ->post('/deeds/change_intent', [
                'of' => 'sheaf',
                'intent' => 'lapse',
                'token' => House::token(),
                'shown' => $shown,
                'act' => 'settle',
            ])
            ->assertSessionHasErrors('deed');
        self::assertSame(0, Docket::query()->count());
    }
}
