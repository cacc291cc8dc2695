<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Orders\SettleOrders;
use App\Actions\Outside\Observe;
use App\Actions\Servers\KeepZonesInTurn;
use App\Actions\Transfer\CheckArrivals;
use App\Actions\Verification\VerifyMailbox;
use App\Models\AuthCode;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\Leg;
use App\Models\LineState;
use App\Models\Mailbox;
use App\Models\Movement;
use App\Models\Name;
use App\Models\Order;
use App\Models\Price;
use App\Models\Registrar;
use App\Models\Registration;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Names go from one registrar to another: by wire at both ends, by slip at either, by tag; each as the simulated registries have it. */
#[Group('world')]
final class TransferTest extends TestCase
{
    use Sited;
    use TwoRegistrars;

    private function pressed(Name ...$names): Docket
    {
        $which = implode(',', array_map(fn (Name $name): string => $name->ascii, $names));
        $this->pressAs($this->house->steward, "/deeds/transfer?name={$which}&account={$this->gaining->id}")->assertRedirect();

        return Docket::query()->latest('id')->firstOrFail();
    }

    /** RFC 5731 §3.2.4, with each leg: lock lifted, code asked for, ordered and paid, approved by the losing side that is ours, arrived. */
    public function test_both_ends_by_wire_it_takes_minutes(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $name = $this->held();
        $this->get("/deeds/transfer?name={$name->ascii}&account={$this->gaining->id}")
            ->assertSee('1 of 1 can go now')
            ->assertSee('Costs £11.88 with tax')
            ->assertSee('2 Nov 2028')
            ->assertSee('Its auth code is requested first');
        $docket = $this->pressed($name);
        // The tests' queue works at once.
        self::assertSame(
            ['login 1000', 'update 1000', 'info 1000', 'transfer 1000'],
            array_values(array_unique(array_filter(
                $this->world->heard($this->losing->number),
                fn (string $one): bool => preg_match('/^(poll|logout)/', $one) !== 1,
            ))),
        );
        self::assertContains('transfer 1001', $this->world->heard($this->gaining->number));
        $this->work($this->gaining);
        self::assertSame(LineState::Done, DocketLine::query()->where('docket_id', $docket->id)->value('state'));
        self::assertSame($this->gaining->id, House::holder($name));
        $registration = Registration::query()->where('name_id', $name->id)->firstOrFail();
        self::assertSame('2028-11-02', $registration->ends_on?->date());
        self::assertSame('2026-10-06', $registration->moved_on?->date());
        self::assertNull(AuthCode::query()->find($name->id), 'a code that was used is good for nothing');
        $this->work($this->gaining);
        self::assertSame(
            ['lift_lock' => true, 'code' => true, 'order' => true, 'answer' => true, 'arrive' => true,
                'verify' => false, 'set_lock' => true, 'renew_on' => true, 'compare' => false],
            self::legs($docket),
        );
        self::assertSame('on', DB::table('registrations')->where('name_id', $name->id)->value('lock'));
        $written = (string) json_encode(array_map(fn (string $of): mixed => DB::table($of)->get(), ['orders', 'gate_messages', 'log']));
        self::assertStringNotContainsString('Xy7-k2pQ', $written);
    }

    /** The losing registrar says nothing: after five days it goes through by itself (ICANN Transfer Policy). */
    public function test_by_silence_it_takes_five_days(): void
    {
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $this->losing->update(['access' => 'theirs']);
        $name = $this->held(lock: 'off');
        $page = "/deeds/transfer?name={$name->ascii}&account={$this->gaining->id}";
        $this->get($page)->assertSee('Its auth code comes from the account at Skerry Registrations, which is not ours');
        $this->from($page)->followingRedirects()->post('/deeds/codes', ['codes' => "{$name->ascii} Xy7-k2pQ"])
            ->assertSee('One code is stored')
            ->assertSee('1 of 1 can go now')
            ->assertSee('likely by 13 Oct 2026')
            ->assertDontSee('Xy7-k2pQ');
        $docket = $this->pressed($name);
        self::assertSame(['order' => true, 'answer' => false, 'arrive' => false], array_slice(self::legs($docket), 0, 3));
        $this->work($this->gaining);
        self::assertSame($this->losing->id, House::holder($name));
        $this->daysPass($name);
        $this->work($this->gaining);
        self::assertSame($this->gaining->id, House::holder($name));
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertSame(1, array_count_values($this->world->heard($this->gaining->number))['transfer 1001'] ?? 0);
    }

    /** What the losing side refuses ends with its reason: the lock is on again, nothing is paid twice, and it can be tried again. */
    public function test_what_the_losing_side_refuses_stays_as_it_was(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $name = $this->held();
        $this->world->play($name->ascii, 'registrar-refuses');
        $docket = $this->pressed($name);
        $line = DocketLine::query()->where('docket_id', $docket->id)->sole();
        self::assertSame(LineState::Refused, $line->state);
        self::assertSame($this->losing->id, House::holder($name));
        self::assertNotContains('transfer 1001', $this->world->heard($this->gaining->number), 'nothing is asked of the gaining side');
        $this->world->play($name->ascii, 'registrar-agrees');
        $this->pressed($name);
        $this->work($this->gaining);
        self::assertSame($this->gaining->id, House::holder($name));
    }

    public function test_a_refusal_after_it_was_paid_ends_the_line_and_sets_the_lock_again(): void
    {
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $name = $this->held(lock: 'off');
        $this->post('/deeds/codes', ['codes' => "{$name->ascii} Xy7-k2pQ"]);
        $docket = $this->pressed($name);
        $this->world->play($name->ascii, 'rejects');
        $this->work($this->gaining);
        $line = DocketLine::query()->where('docket_id', $docket->id)->sole();
        self::assertSame(LineState::Refused, $line->state);
        self::assertStringContainsString('clientRejected', (string) $line->reason);
        self::assertSame($this->losing->id, House::holder($name));
        self::assertTrue(AuthCode::query()->findOrFail($name->id)->fits !== false, 'the code was right');
        self::assertSame(['order', 'answer', 'arrive', 'set_lock'], array_keys(self::legs($docket)));
    }

    public function test_a_code_that_does_not_fit_is_never_tried_again(): void
    {
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $this->losing->update(['access' => 'theirs']);
        $name = $this->held(lock: 'off');
        $this->post('/deeds/codes', ['codes' => "{$name->ascii}\tanother-code"]);
        $docket = $this->pressed($name);
        self::assertSame(LineState::Refused, DocketLine::query()->where('docket_id', $docket->id)->value('state'));
        $page = "/deeds/transfer?name={$name->ascii}&account={$this->gaining->id}";
        $this->get($page)
            ->assertSee('0 of 1 can go now')
            ->assertSee('The registry does not take its auth code: Skerry Registrations must give another');
        // Where the losing side is ours, another is asked for, and the old one is not tried meanwhile.
        $this->losing->update(['access' => 'ours']);
        $this->get($page)->assertSee('1 of 1 can go now')->assertSee('Its auth code is requested first');
        $docket = $this->pressed($name);
        self::assertSame(1, Order::query()->where('kind', 'transfer')->count());
        $this->post('/deeds/codes', ['codes' => "{$name->ascii};Xy7-k2pQ"]);
        self::assertSame(2, Order::query()->where('kind', 'transfer')->count());
        self::assertTrue(self::legs($docket)['order']);
    }

    public function test_what_costs_more_than_was_agreed_is_not_paid(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        Price::query()->where('registrar_id', $this->lantern->id)->where('suffix', 'com')->update(['amount' => '8.90']);
        $name = $this->held();
        $docket = $this->pressed($name);
        $line = DocketLine::query()->where('docket_id', $docket->id)->sole();
        self::assertStringContainsString('It costs 9.90 GBP', (string) $line->reason);
        $this->work($this->losing);
        $lock = DB::table('registrations')->where('name_id', $name->id)->value('lock');
        self::assertSame('on', $lock, 'what was lifted for it is set again');
    }

    /** Where a person acts at the losing side and the gaining one takes commands, the codes from the slip let it go on. */
    public function test_codes_from_the_slip_let_it_go_on(): void
    {
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $names = [$this->held(), $this->held()];
        $docket = $this->pressed(...$names);
        $this->get("/dockets/{$docket->id}")
            ->assertSeeInOrder(['what to do at', 'Lift the lock', 'Request the auth codes of these names'])
            ->assertDontSee('Order and pay')
            ->assertSee('Enter the auth codes of 2 names');
        self::assertSame(0, Order::query()->count());
        foreach ($names as $name) {
            $this->world->play($name->ascii, 'no-lock');
        }
        $this->from("/dockets/{$docket->id}")
            ->followingRedirects()
            ->post('/deeds/codes', ['codes' => "{$names[0]->ascii} Xy7-k2pQ\nnobody-has-it.com abc\n{$names[1]->ascii}\nthat is none"])
            ->assertSee('One code is stored')
            ->assertSee('The name on line 2 is not on the Roll')
            ->assertSee('Line 3 has no code')
            ->assertSee('Line 4 does not begin with a name')
            ->assertDontSee('Xy7-k2pQ');
        self::assertSame([$names[0]->id], Order::query()->where('kind', 'transfer')->pluck('name_id')->all());
        self::assertContains('transfer 1001', $this->world->heard($this->gaining->number));
        $this->post('/deeds/codes', ['codes' => "{$names[0]->ascii} Xy7-k2pQ"]);
        self::assertSame(1, Order::query()->where('kind', 'transfer')->count(), 'it is asked for once');
    }

    public function test_by_slip_at_both_ends_it_ends_with_a_tick(): void
    {
        $name = $this->held();
        $docket = $this->pressed($name);
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder([
            'Lift the lock',
            'Request the auth codes of these names',
            'Approve the transfer',
            'Order and pay the transfer of these names',
        ]);
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertRedirect();
        self::assertSame($this->gaining->id, House::holder($name));
        self::assertSame('2028-11-02', Registration::query()->where('name_id', $name->id)->firstOrFail()->ends_on?->date());
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
    }

    public function test_the_losing_side_by_wire_and_the_gaining_one_by_slip(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $name = $this->held();
        $docket = $this->pressed($name);
        $this->work($this->losing);
        self::assertNotNull(AuthCode::query()->find($name->id));
        $this->get("/dockets/{$docket->id}")
            ->assertSee('Order and pay the transfer of these names')
            ->assertDontSee('Request the auth codes of these names');
        self::assertSame(LineState::Begun, DocketLine::query()->where('docket_id', $docket->id)->value('state'));
    }

    /** Common practice for .uk: the losing side sets the gaining registrar's tag; nothing is paid, and no year is added. */
    public function test_by_tag(): void
    {
        $name = $this->held(suffix: 'co.uk', lock: 'off');
        $this->get("/deeds/transfer?name={$name->ascii}&account={$this->gaining->id}")
            ->assertSee('1 of 1 can go now')
            ->assertSee('A transfer adds no year under .co.uk')
            ->assertDontSee('auth code is requested');
        $docket = $this->pressed($name);
        $this->get("/dockets/{$docket->id}")
            ->assertSeeInOrder(['Change the registrar tag of these names', 'LANTERN', $name->ascii])
            ->assertDontSee('Order and pay');
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertRedirect();
        self::assertSame($this->gaining->id, House::holder($name));
        self::assertSame('2027-11-02', Registration::query()->where('name_id', $name->id)->firstOrFail()->ends_on?->date());
    }

    /** @param  array<string, string>  $facts */
    #[TestWith([['created_on' => '2026-09-01', 'ends_on' => '2027-09-01'], 'Clear from 31 Oct'])]
    #[TestWith([['moved_on' => '2026-09-20'], 'Clear from 19 Nov'])]
    public function test_one_that_is_held_says_from_when_it_is_clear(array $facts, string $said): void
    {
        $name = $this->house->name('young-'.self::$trials++.'.com', $this->losing, facts: array_map(Instant::of(...), $facts));
        $this->get("/deeds/transfer?name={$name->ascii}&account={$this->gaining->id}")->assertSee('0 of 1 can go now')->assertSee($said);
    }

    public function test_at_the_same_registrar_it_is_no_transfer(): void
    {
        $name = $this->house->name('near-'.self::$trials++.'.com', $this->losing);
        $this->get("/deeds/transfer?name={$name->ascii}&account={$this->house->ours->id}")
            ->assertSee('It is at Skerry Registrations already: hand it over instead')
            ->assertSee('0 of 1 can go now');
    }

    public function test_called_off_while_it_waits_it_stays(): void
    {
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $name = $this->held(lock: 'off');
        $this->post('/deeds/codes', ['codes' => "{$name->ascii} Xy7-k2pQ"]);
        $docket = $this->pressed($name);
        app(EndLines::class)->calledOff($this->house->steward, $docket);
        $this->work($this->gaining);
        self::assertContains('transfer 1000', $this->world->heard($this->gaining->number), 'it is withdrawn there');
        self::assertSame($this->losing->id, House::holder($name));
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertSame(['order', 'answer', 'arrive', 'set_lock'], array_keys(self::legs($docket)));
    }

    public function test_who_prepares_enters_no_codes(): void
    {
        $name = $this->held();
        $this->actingAs($this->house->clerk)->post('/deeds/codes', ['codes' => "{$name->ascii} Xy7-k2pQ"])->assertForbidden();
        self::assertNull(AuthCode::query()->find($name->id));
        $this->get("/deeds/transfer?name={$name->ascii}&account={$this->gaining->id}")->assertOk()->assertDontSee('Store these codes');
    }

    /** Verified, and in record and zone as it was to be: the last steps are taken once that is seen, and not before. */
    public function test_what_has_arrived_is_compared(): void
    {
        $ascii = $this->host(records: [['name' => 'www.example', 'type' => 'A', 'data' => '192.0.2.80']]);
        $name = $this->house->name($ascii, $this->losing, facts: [
            'servers' => self::SITED,
            'registrant' => 'Wickerby Bell Foundry',
            'mailbox' => "ledger@bells-{$this->gaining->number}.example",
            'ends_on' => Instant::of('2098-11-02'),
        ]);
        $docket = $this->pressed($name);
        app(KeepZonesInTurn::class)->due(30);
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertRedirect();
        $this->lantern->update(['verifies_by' => 'house']);
        $check = app(CheckArrivals::class);
        $check->handle();
        self::assertSame(
            ['verify' => false, 'set_lock' => false, 'renew_on' => false, 'compare' => false],
            array_slice(self::legs($docket), -4),
        );
        $movement = Movement::query()->where('docket_id', $docket->id)->sole();
        $this->get("/movements/{$movement->id}")
            ->assertOk()
            ->assertSee('It arrived on 6 Oct 2026')
            ->assertSee('mailbox verified, lock on again, auto-renew on, expiry and zone compared')
            ->assertDontSee('Compared after the arrival');
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusSeconds(60));
        app(KeepZonesInTurn::class)->due(30);
        $this->get("/movements/{$movement->id}")->assertSee('Compared after the arrival: nothing of the zone was lost');
        $check->handle();
        self::assertFalse(self::legs($docket)['compare'], 'the public record has not shown it yet');
        DocketLine::query()->where('docket_id', $docket->id)->update(['seen_on' => '2026-10-06T10:00:00Z']);
        $check->handle();
        self::assertTrue(self::legs($docket)['compare']);
        self::assertFalse(self::legs($docket)['verify']);
        app(VerifyMailbox::class)->handle(Mailbox::query()->sole()->id, 'call', 'rang', $this->house->steward);
        $check->handle();
        self::assertTrue(self::legs($docket)['verify']);
    }

    /** A zone that lost something on the way keeps the step open. */
    public function test_a_zone_that_lost_something_is_not_as_it_was(): void
    {
        $ascii = $this->host();
        $name = $this->house->name($ascii, $this->losing, facts: ['servers' => self::SITED, 'ends_on' => Instant::of('2098-11-02')]);
        $docket = $this->pressed($name);
        app(KeepZonesInTurn::class)->due(30);
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06']);
        DocketLine::query()->where('docket_id', $docket->id)->update(['seen_on' => '2026-10-06T10:00:00Z']);
        $this->world->add(['hosts' => [], 'moods' => [], 'names' => [], 'zones' => [['zone' => $ascii, 'records' => '{"records":[]}']]]);
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusSeconds(60));
        app(KeepZonesInTurn::class)->due(30);
        app(CheckArrivals::class)->handle();
        self::assertFalse(self::legs($docket)['compare']);
        $this->get('/movements/'.Movement::query()->where('docket_id', $docket->id)->sole()->id)
            ->assertSee('one record set is missing or different');
    }

    /** The registry says that it has come before the gate does; and what is told of the losing side's answer then changes nothing. */
    public function test_what_the_record_shows_ends_it_whoever_else_is_silent(): void
    {
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $name = $this->held(lock: 'off');
        $this->post('/deeds/codes', ['codes' => "{$name->ascii} Xy7-k2pQ"]);
        $docket = $this->pressed($name);
        app(Observe::class)->of([$name->id]);
        self::assertSame($this->losing->id, House::holder($name), 'it is still on its way');
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [self::atRegistry($name->ascii, [], ['registrar' => 'lantern', 'account' => $this->gaining->number])],
        ]);
        app(Observe::class)->of([$name->id]);
        self::assertSame($this->gaining->id, House::holder($name));
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertSame(0, Order::query()->whereIn('state', ['waiting', 'pending'])->where('docket_line_id', '<>', null)->count());
    }

    /** Whose yes is refused goes through by silence: the line doesn't end by that, and nothing is cancelled. */
    public function test_a_yes_that_is_not_taken_ends_nothing(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $name = $this->held();
        $docket = $this->pressed($name);
        $line = DocketLine::query()->where('docket_id', $docket->id)->sole();
        if ($line->state === LineState::Begun) {
            $order = Order::query()->where('kind', 'approve_transfer')->sole();
            $order->update(['state' => 'refused', 'answer' => 'Not now']);
            DB::transaction(fn () => app(SettleOrders::class)->handle([$order->refresh()]));
            self::assertSame(LineState::Begun, $line->refresh()->state);
        }
        $this->work($this->gaining);
        self::assertSame(LineState::Done, $line->refresh()->state);
        self::assertNotContains('transfer 1000', $this->world->heard($this->gaining->number), 'nothing was withdrawn');
    }

    /** What the gaining registrar wants accepted is one click away before, and kept afterwards as it was named then. */
    public function test_agreements_are_accepted_and_kept(): void
    {
        $this->lantern->update(['agreements' => [['name' => 'Registration agreement', 'address' => 'https://lantern.example/terms']]]);
        $name = $this->held();
        $this->get("/deeds/transfer?name={$name->ascii}&account={$this->gaining->id}")
            ->assertOk()
            ->assertSee('Ordering accepts, for the registrants:')
            ->assertSee('href="https://lantern.example/terms"', false);
        $address = "/deeds/transfer?name={$name->ascii}&account={$this->gaining->id}&authority=order";
        $this->pressAs($this->house->clerk, $address, 'prepare')->assertRedirect();
        $docket = Docket::query()->sole();
        $this->get("/dockets/{$docket->id}")
            ->assertSee('Ordering accepts, for the registrants:')
            ->assertSee('https://lantern.example/terms');
        self::assertSame(0, DB::table('agreements_accepted')->count(), 'who only prepares accepts nothing');
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        $this->lantern->update(['agreements' => []]);
        $this->get("/dockets/{$docket->id}")
            ->assertOk()
            ->assertSee('Steward Tern accepted on 6 Oct 2026 for the registrants, on the authority of the registrant’s written order:')
            ->assertSee('Registration agreement');
    }

    /** Five that took three days each, and one nine: the next is expected so, and the page says on how many that rests. */
    public function test_the_next_is_expected_as_those_before_it_went(): void
    {
        $this->losing->update(['access' => 'theirs']);
        foreach ([3, 3, 3, 3, 3, 9] as $days) {
            $name = $this->held(lock: 'off');
            $this->post('/deeds/codes', ['codes' => "{$name->ascii} Xy7-k2pQ"]);
            $docket = $this->pressed($name);
            $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06']);
            Movement::query()->where('docket_id', $docket->id)->update(['closed_on' => "2026-10-{$this->twoDigits(6 + $days)}T09:00:00Z"]);
        }
        $next = $this->held(lock: 'off');
        $this->post('/deeds/codes', ['codes' => "{$next->ascii} Xy7-k2pQ"]);
        $this->get("/deeds/transfer?name={$next->ascii}&account={$this->gaining->id}")
            ->assertSee('Arrives between 6 Oct 2026 and 12 Oct 2026, likely by 9 Oct 2026')
            ->assertSee('This rests on 6 transfers that we have seen');
    }

    private function twoDigits(int $day): string
    {
        return sprintf('%02d', $day);
    }
}
