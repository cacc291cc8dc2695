<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\EndMany;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\ProofOfDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Proofs\VerifyProofs;
use App\Jobs\EndDocketLines;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Ending;
use App\Models\Extra;
use App\Models\Holding;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Proof;
use App\Models\Registration;
use App\Models\Role;
use App\Models\User;
use App\Support\Row;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\TestWith;
use RuntimeException;
use Tests\TestCase;

/** Dockets as people meet them: lists, progress, what they may not reach, and what the log says afterwards. */
final class DocketPagesTest extends TestCase
{
    use PressesDeeds;

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
    }

    /** @param  list<Name>  $names */
    private function docket(array $names, bool $begin = true, ?User $by = null): Docket
    {
        $ids = array_map(fn (Name $name): int => $name->id, $names);
        $docket = app(PrepareDocket::class)->handle(
            $by ?? $this->house->clerk,
            House::token(),
            'hand_over',
            $ids,
            $this->house->terms()->pack(),
            $ids,
        );
        if ($begin) {
            app(SettleDocket::class)->handle($this->house->steward, $docket);
            app(BeginDocketLines::class)->handle($docket->id);
        }

        return $docket->refresh();
    }

    public function test_the_list_says_what_waits_for_whom_and_what_has_ended(): void
    {
        $prepared = $this->docket([$this->house->name('one.com')], begin: false);
        $open = $this->docket([$this->house->name('two.com'), $this->house->name('three.com')]);
        $ended = $this->docket([$this->house->name('four.com')]);
        app(EndLines::class)->done($this->house->steward, $ended, null, Instant::of('2026-10-06'));
        $this->actingAs($this->house->reader)
            ->get('/dockets')
            ->assertSeeInOrder(["Docket {$open->id}", 'Hand 2 names', '0 of 2 done', "Docket {$prepared->id}", 'waiting for a Steward'])
            ->assertDontSee("Docket {$ended->id}");
        $this->get("/dockets/{$open->id}")->assertSeeInOrder(
            ['<td data-label="From">Skerry Registrations 40718<', '<td data-label="To">Skerry Registrations 51877<'],
            false,
        );
        $this->get('/dockets?state=ended')
            ->assertSee("Docket {$ended->id}")
            ->assertSee('1 of 1 done')
            ->assertDontSee("Docket {$open->id}<", false);
    }

    public function test_the_state_that_a_waiting_page_asks_for(): void
    {
        $docket = $this->docket([$this->house->name('one.com')], begin: false);
        DocketLine::query()->update(['state' => LineState::Waiting]);
        $this->actingAs($this->house->reader)
            ->getJson("/dockets/{$docket->id}/state")
            ->assertExactJson(['waiting' => 1, 'told' => 'One name has not started yet.']);
        DocketLine::query()->update(['state' => LineState::Begun]);
        $this->getJson("/dockets/{$docket->id}/state")->assertExactJson(['waiting' => 0, 'told' => 'All have started.']);
        $docket->update(['state' => 'settled', 'settled_by' => $this->house->steward->id, 'settled_on' => $docket->prepared_on]);
        // Its last line is done, and the proof is being made: the page goes on asking.
        $docket->lines()->update(['state' => 'done', 'done_on' => '2026-10-06', 'done_by' => $this->house->steward->id]);
        $this->getJson("/dockets/{$docket->id}/state")->assertExactJson([
            'waiting' => 1,
            'told' => 'All are done; the proof is being made.',
        ]);
        $this->get("/dockets/{$docket->id}")
            ->assertSee('the proof is being made')
            ->assertSee('data-waiting', false);
        $docket->update(['state' => 'closed', 'closed_on' => $docket->settled_on]);
        $this->getJson("/dockets/{$docket->id}/state")->assertExactJson(['waiting' => 0, 'told' => 'All have started.']);
    }

    public function test_lines_of_another_docket_are_not_reached_by_their_number(): void
    {
        $mine = $this->docket([$this->house->name('mine.com')]);
        $other = $this->docket([($elsewhere = $this->house->name('other.com'))]);
        $line = $other->lines()->sole();
        $this->actingAs($this->house->steward)
            ->post("/dockets/{$mine->id}/tick", ['how' => 'done', 'on' => '2026-10-06', 'lines' => [$line->id]])
            ->assertSessionHas('told');
        self::assertSame([LineState::Begun, $this->house->ours->id], [$line->refresh()->state, House::holder($elsewhere)]);
        self::assertSame(LineState::Begun, $mine->lines()->sole()->state);
    }

    public function test_a_clerk_takes_back_only_what_they_prepared_themselves(): void
    {
        $second = User::enrol('Second Clerk', 'second@harrow-tern.example', House::PASSWORD, Role::Clerk);
        $docket = $this->docket([$this->house->name('one.com')], begin: false);
        $this->actingAs($second)
            ->post("/dockets/{$docket->id}/call-off")
            ->assertForbidden();
        $this->actingAs($this->house->reader)
            ->post("/dockets/{$docket->id}/call-off")
            ->assertForbidden();
        $this->actingAs($this->house->steward)
            ->post("/dockets/{$docket->id}/call-off")
            ->assertRedirect();
        $this->post("/dockets/{$docket->id}/call-off")->assertForbidden();
        $this->post("/dockets/{$docket->id}/settle")->assertForbidden();
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertForbidden();
    }

    public function test_nothing_ticked_is_said_and_changes_nothing(): void
    {
        $docket = $this->docket([$this->house->name('one.com')]);
        $this->actingAs($this->house->steward)
            ->post("/dockets/{$docket->id}/tick", ['how' => 'done', 'on' => '2026-10-06'])
            ->assertSessionHasErrors('deed');
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'done', 'on' => 'soon'])->assertSessionHasErrors('on');
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'steal'])->assertSessionHasErrors('how');
        self::assertSame(LineState::Begun, $docket->lines()->sole()->state);
    }

    public function test_two_hundred_and_ten_lines_stand_on_two_pages_and_all_are_ticked_at_once(): void
    {
        $names = array_map(fn (int $number): Name => $this->house->name("bell-{$number}.com"), range(1, 210));
        $docket = $this->docket($names);
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('Mark all 210 as done')
            ->assertSee('Next');
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertSessionHasNoErrors();
        self::assertSame(210, $docket->lines()->where('state', LineState::Done)->count());
        $this->get("/dockets/{$docket->id}/proof")
            ->assertOk()
            ->assertSee('names: 210');
    }

    public function test_the_log_says_who_did_what_to_which_name_by_which_day(): void
    {
        $name = $this->house->name('one.com');
        $docket = $this->docket([$name]);
        app(EndLines::class)->refused($this->house->steward, $docket, null, 'not wanted');
        $rows = array_map(
            fn (Row $row): string => "{$row->text('event')} {$row->text('subject')} by {$row->intOrNull('user_id')}",
            Row::all(
                DB::select("SELECT * FROM log WHERE (subject, subject_id) IN (('docket', ?), ('name', ?)) ORDER BY id", [
                    $docket->id,
                    $name->id,
                ]),
            ),
        );
        [$clerk, $steward] = [$this->house->clerk->id, $this->house->steward->id];
        self::assertSame(
            [
                "prepared docket by {$clerk}",
                "settled docket by {$steward}",
                "begun name by {$steward}",
                "refused name by {$steward}",
                "closed docket by {$steward}",
            ],
            $rows,
        );
        self::assertSame(
            '2026-10-06',
            Row::of(DB::table('log')->orderByDesc('id')->first())
                ->instant('trade_at')
                ?->date(),
        );
        // By the machine's clock the row lies in its month's own partition.
        self::assertSame(
            'log_'.gmdate('Y_m'),
            Row::of(DB::selectOne('SELECT tableoid::regclass::text AS part FROM log ORDER BY id DESC LIMIT 1'))->text('part'),
        );
        $this->actingAs($this->house->reader)
            ->get('/names/one.com')
            ->assertSeeInOrder(['Log entries (2)', 'A deed was refused', 'Steward Tern', 'A docket started']);
    }

    public function test_the_chain_of_proofs_is_walked_and_a_changed_line_is_found(): void
    {
        self::assertSame(
            [0, "There are no proofs yet.\nThe log and the head of the records are unchanged.\n"],
            [Artisan::call('acre:verify'), Artisan::output()],
        );
        foreach (['one.com', 'two.com', 'three.com'] as $name) {
            app(EndLines::class)->done($this->house->steward, $this->docket([$this->house->name($name)]), null, Instant::of('2026-10-06'));
        }
        // What things are called may change; what happened may not.
        $this->house->foundry->update(['name' => 'Another Name']);
        self::assertSame(
            [0, "3 proofs; the chain is unbroken.\nThe log and the head of the records are unchanged.\n"],
            [Artisan::call('acre:verify'), Artisan::output()],
        );

        $second = Docket::query()->orderBy('id')->skip(1)->firstOrFail();
        DB::table('docket_lines')
            ->where('docket_id', $second->id)
            ->update(['done_on' => '2026-10-01']);
        self::assertSame(
            [
                1,
                "Docket {$second->id}: its lines are not what its text says: “result: done on 2026-10-06” is now “result: done on "
                    ."2026-10-01”.\n3 proofs, 1 of them was changed.\nThe log and the head of the records are unchanged.\n",
            ],
            [Artisan::call('acre:verify'), Artisan::output()],
        );
    }

    /** The runtime role can change no proof, so each fault is one that was made wrong. */
    #[TestWith(['text', 'its text is not what its digest says'])]
    #[TestWith(['previous', 'it does not carry the digest of the proof before it'])]
    #[TestWith(['position', 'proof 2 is missing from the chain'])]
    public function test_a_changed_text_and_a_broken_chain_are_found(string $wrong, string $fault): void
    {
        app(EndLines::class)->done($this->house->steward, $this->docket([$this->house->name('one.com')]), null, Instant::of('2026-10-06'));
        $docket = $this->docket([$this->house->name('two.com')]);
        $now = Instant::of('2026-10-06T12:00:00Z');
        $docket->lines()->update(['state' => LineState::Done, 'done_on' => '2026-10-06']);
        $docket->update(['state' => 'closed', 'closed_on' => $now]);
        $previous = $wrong === 'previous' ? str_repeat('0', 64) : Proof::query()->sole()->sha256;
        $proof = app(ProofOfDocket::class)->draft($docket->id)->at(2, $previous);
        Proof::query()->create([
            'docket_id' => $docket->id,
            'position' => $wrong === 'position' ? 3 : 2,
            'text' => $wrong === 'text' ? str_replace('two.com', 'too.com', $proof->text) : $proof->text,
            'sha256' => $proof->sha256,
            'previous_sha256' => $previous,
            'made_on' => $now,
        ]);
        self::assertSame(
            [null, $fault],
            array_map(fn (array $walked): ?string => $walked[1], iterator_to_array(app(VerifyProofs::class)->handle(), false)),
        );
    }

    /** More than a person waits for is ended in the queue, some a transaction; what dies goes on, and the page says how far it is. */
    public function test_many_lines_are_ended_in_the_queue(): void
    {
        $names = array_map(fn (int $at): Name => $this->house->name("bell-{$at}.com"), range(1, 230));
        $docket = $this->docket($names);
        Queue::fake();
        $this->actingAs($this->house->steward)
            ->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-32'])
            ->assertSessionHasErrors('on');
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-07'])->assertSessionHasErrors('deed');
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertSessionHas(
            'told',
            'The names are being updated one after the other; this page shows the progress.',
        );
        self::assertSame(230, $docket->lines()->where('state', 'begun')->count());
        $this->get("/dockets/{$docket->id}")->assertSee('Saving: 230 of 230 names left');
        $this->getJson("/dockets/{$docket->id}/state")->assertJson(['waiting' => 230]);
        // Killed after the first hundred.
        $left = 1;
        DB::listen(function (QueryExecuted $query) use (&$left): void {
            if (str_starts_with($query->sql, 'update "docket_lines"') && $left-- < 1) {
                throw new RuntimeException('dead');
            }
        });
        app(EndMany::class)->goOn(Ending::query()->sole()->id);
        self::assertSame(100, $docket->lines()->where('state', 'done')->count());
        $left = 1_000;
        DB::update('UPDATE setbacks SET retry_at = clock_timestamp()');
        app(EndMany::class)->sweep();
        Queue::assertPushed(EndDocketLines::class);
        app(EndMany::class)->goOn(Ending::query()->sole()->id);
        self::assertSame(
            [230, 'closed', 1],
            [
                $docket->lines()->where('state', 'done')->count(),
                $docket->refresh()->state->value,
                Proof::query()->where('docket_id', $docket->id)->count(),
            ],
        );
        self::assertNotNull(Ending::query()->sole()->ended_at);
        self::assertSame(0, DB::table('setbacks')->count());
    }

    public function test_what_is_prepared_counts_in_others_verdicts_and_whoever_settles_it_sees_what_its_preparer_saw(): void
    {
        $name = $this->house->name('bell.com', $this->house->ours, facts: ['lock' => 'off', 'ends_on' => Instant::of('2027-11-02')]);
        $prepare = fn (string $deed, string $term, string $value): Docket => app(PrepareDocket::class)->handle(
            $this->house->clerk,
            House::token(),
            $deed,
            [$name->id],
            [$term => $value],
            [$name->id],
        );
        $first = $prepare('change_auto_renew', 'renews', 'on');
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$first->id}")
            ->assertSee('A Steward must settle it')
            ->assertDontSee('waiting to be settled');
        $this->actingAs($this->house->clerk)
            ->get('/deeds/change_lock?name=bell.com&lock=on')
            ->assertSee("It is also in docket {$first->id}, which is waiting to be settled")
            ->assertSee('1 of 1 can go now');
        $this->get("/hand-over?name=bell.com&receiver={$this->house->theirs->id}")->assertSee(
            "It is also in docket {$first->id}, which is waiting to be settled",
        );
        $second = $prepare('change_lock', 'lock', 'on');
        // What has come since it was prepared is told as such; its own docket is no news.
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$first->id}")
            ->assertSee("Since it was prepared: It is also in docket {$second->id}")
            ->assertDontSee("It is also in docket {$first->id}");
        $this->get("/dockets/{$second->id}")
            ->assertSee("It is also in docket {$first->id}")
            ->assertDontSee('Since it was prepared');
        Registration::query()
            ->where('name_id', $name->id)
            ->update(['lock' => 'on']);
        $this->get("/dockets/{$second->id}")->assertSee('Since it was prepared: It is already so');
        app(EndLines::class)->calledOff($this->house->steward, $second);
        $this->get("/dockets/{$first->id}")->assertDontSee('It is also in docket');
    }

    public function test_a_wrong_tick_is_taken_back(): void
    {
        $names = [$this->house->name('bell.com'), $this->house->name('peal.com'), $this->house->name('seen.com')];
        Extra::query()->create([
            'registration_id' => Registration::query()->where('name_id', $names[0]->id)->sole()->id,
            'kind' => 'privacy',
            'renews' => true,
        ]);
        $docket = $this->docket($names);
        $this->actingAs($this->house->steward)
            ->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])
            ->assertRedirect();
        $docket
            ->lines()
            ->where('name_id', $names[2]->id)
            ->update(['seen_on' => '2026-10-06T10:00:00Z']);
        $held = fn (Name $name): array => array_values(
            (array) DB::table('holdings')
                ->where('name_id', $name->id)
                ->whereRaw('upper_inf(span)')
                ->first(['account_id', 'client_id']),
        );
        self::assertSame($this->house->theirs->id, $held($names[0])[0]);
        $this->get("/dockets/{$docket->id}")
            ->assertSee('Correct a mistake')
            ->assertSee('/deeds/undo_docket?docket='.$docket->id.'&amp;name=bell.com', false)
            ->assertDontSee('&amp;name=seen.com', false);
        $this->get("/deeds/undo_docket?docket={$docket->id}")
            ->assertSee('The registrar confirmed it, or the public record shows it')
            ->assertSee('2 of 3 can go now');
        $this->pressAs($this->house->steward, "/deeds/undo_docket?docket={$docket->id}&name=bell.com")->assertRedirect();
        self::assertSame(
            [[$this->house->ours->id, $this->house->foundry->id], $this->house->theirs->id],
            [$held($names[0]), $held($names[1])[0]],
        );
        self::assertNull(Extra::query()->sole()->ended_on);
        self::assertSame(3, Holding::query()->where('name_id', $names[0]->id)->count(), 'what was said stays in its past');
        $this->get('/roll?q=bell.com')->assertSee('40718');
        $this->get("/deeds/undo_docket?docket={$docket->id}&name=bell.com")->assertSee('changed again since');
        $this->get("/dockets/{$docket->id}/proof")->assertOk();
        self::assertSame([null, null], array_column(iterator_to_array(app(VerifyProofs::class)->handle()), 1));
    }

    #[TestWith(['change_lock', 'lock', 'on', 'lock', 'unknown'])]
    #[TestWith(['change_auto_renew', 'renews', 'on', 'intent', 'ask_client'])]
    public function test_a_wrong_tick_at_a_registrar_leaves_what_was_known_before(
        string $deed,
        string $term,
        string $value,
        string $fact,
        string $before,
    ): void {
        $name = $this->house->name('bell.com', facts: [$fact => $before]);
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            House::token(),
            $deed,
            [$name->id],
            [$term => $value],
            [$name->id],
        );
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        app(BeginDocketLines::class)->handle($docket->id);
        $this->actingAs($this->house->steward)->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06']);
        $kept = fn (): mixed => DB::table('registrations')->where('name_id', $name->id)->value($fact);
        self::assertNotSame($before, $kept());
        $this->pressAs($this->house->steward, "/deeds/undo_docket?docket={$docket->id}")->assertRedirect();
        self::assertSame($before, $kept());
    }

    public function test_a_slip_is_one_order_for_both_sides_and_says_where_its_registrar_is_found(): void
    {
        $this->house->skerry->update([
            'confirms' => 'receiver_then_giver',
            'lock_first' => true,
            'page' => 'https://customers.skerry.example',
            'telephone' => '+44 1632 960300',
        ]);
        $docket = $this->docket([$this->house->name('bell.com', facts: ['lock' => 'on'])]);
        $page = $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSeeInOrder([
                'Sign in at',
                'https://customers.skerry.example',
                '+44 1632 960300',
                'in order, across both sides',
                'Giving side',
                'Receiving side',
            ]);
        preg_match_all('/<li value="(\d+)"><strong>([^<]+)/', (string) $page->getContent(), $found);
        $steps = array_combine($found[1], $found[2]);
        ksort($steps);
        self::assertSame(
            [
                1 => 'Lift the lock',
                'Offer the names to the receiving account',
                'Accept in the receiving account',
                'Confirm from the giving side',
                'Set the lock again',
            ],
            $steps,
        );
        $this->actingAs($this->house->clerk)
            ->get("/registrars/{$this->house->skerry->id}")
            ->assertSee('https://customers.skerry.example')
            ->assertSee('+44 1632 960300');
        // Where people are sent to type their passwords is no Clerk's to say.
        $terms = [
            'name' => 'Skerry Registrations',
            'receiver_by' => 'number_login',
            'confirms' => 'receiver',
            'accept_days' => 14,
            'lot_size' => 10,
            'handover_hold_days' => 0,
            'charge_lead_days' => 0,
            'version' => $this->house->skerry->refresh()->version,
        ];
        $this->put("/registrars/{$this->house->skerry->id}", [...$terms, 'page' => 'https://elsewhere.example'])->assertSessionHasErrors(
            'page',
        );
        $this->actingAs($this->house->steward)
            ->put("/registrars/{$this->house->skerry->id}", [...$terms, 'page' => 'javascript:alert(1)', 'telephone' => 'ring me'])
            ->assertSessionHasErrors(['page', 'telephone']);
        $this->put("/registrars/{$this->house->skerry->id}", [
            ...$terms,
            'page' => 'https://elsewhere.example',
        ])->assertSessionHasNoErrors();
    }
}
