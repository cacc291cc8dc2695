<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Acre\Wire\Epp\Command\ContactInfo;
use Acre\Wire\Epp\Command\DomainInfo;
use Acre\Wire\Epp\Data\ContactData;
use Acre\Wire\Epp\Data\DomainData;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Xml\XmlNode;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Gates\GateOrders;
use App\Actions\Names\GatherNames;
use App\Actions\Orders\ReceiveMessages;
use App\Actions\Orders\SendOrders;
use App\Actions\Outside\Observe;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\Drift;
use App\Models\Holding;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Registrant;
use App\Models\Registration;
use App\Models\Secret;
use App\Models\Setback;
use App\Outside\Reach\Hosts;
use App\Outside\Registrar\AnswerKind;
use App\Outside\Registrar\GatePin;
use App\Outside\Registrar\Gates;
use App\Outside\Registrar\OrderKind;
use App\Outside\Registrar\Registrars;
use App\Outside\World;
use App\Providers\OutsideServiceProvider;
use App\Queries\Rounds\ReadRounds;
use App\Queries\Rounds\RoundsItem;
use App\Support\Dates;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Handovers told by wire to the simulated registrar, over its socket and in every weather: nothing lost, nothing done twice. */
#[Group('world')]
final class GateTest extends TestCase
{
    use PressesDeeds;

    private static int $trials = 1;

    private House $house;

    private World $world;

    private Account $giver;

    private Account $receiver;

    protected function setUp(): void
    {
        parent::setUp();
        $this->app->forgetInstance(World::class);
        $this->app->register(OutsideServiceProvider::class, true);
        $this->world = $this->app->make(World::class);
        Cache::flush();
        config(['outside.gate_seconds' => 1.0]);
        $this->app->forgetInstance(Gates::class);
        $this->house = new House();
        $trial = self::$trials++;
        $this->house->skerry->update(['link' => 'wire', 'gate' => 'epp.skerry.example:700', 'behind' => ['SKERRY']]);
        $secret = Secret::query()->create(['kind' => 'gate_password', 'about' => 'a trial', 'value' => "canary sings {$trial}"]);
        $this->giver = $this->house->account("G-{$trial}", null);
        $this->giver->update(['gate_secret_id' => $secret->id, 'gate_for' => GatePin::of($this->house->skerry)]);
        $this->receiver = $this->house->account("R-{$trial}", $this->house->foundry);
        $this->world->add([
            'names' => [],
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'accounts' => array_map(
                fn (Account $account): array => [
                    'number' => $account->number,
                    'registrar' => 'skerry',
                    'login' => (string) $account->login,
                    'mailbox' => 'a@b.example',
                    'password' => "canary sings {$trial}",
                    'balance' => 100_00,
                ],
                [$this->giver, $this->receiver],
            ),
        ]);
        $this->world->weather('fair', 0);
    }

    protected function tearDown(): void
    {
        $this->world->weather('fair', 0);
        parent::tearDown();
    }

    /**
     * @param  list<string>  $statuses
     * @param  list<string>  $servers  at the registry
     * @param  list<string>  $ours
     */
    private function registered(array $statuses = [], array $servers = [], array $ours = []): Name
    {
        $ascii = 'by-wire-'.self::$trials++.'.com';
        $hosts = array_map(fn (string $host): array => ['host' => $host, 'addresses' => ['192.0.2.53']], [...$servers, ...$ours]);
        $this->world->add([
            'hosts' => $hosts,
            'moods' => [],
            'zones' => [],
            'names' => [['servers' => $servers] + $this->told($ascii, $statuses)],
        ]);

        return $this->house->name($ascii, $this->giver, facts: ['servers' => $ours]);
    }

    /**
     * @param  list<string>  $statuses
     * @return array<string, mixed> what the world holds of it
     */
    private function told(string $ascii, array $statuses): array
    {
        return [
            'name' => $ascii,
            'registrar' => 'skerry',
            'created' => Instant::of('2020-11-02')->epoch,
            'ends' => Instant::of('2027-11-02')->epoch,
            'updated' => 0,
            'statuses' => $statuses,
            'servers' => [],
            'shown' => [],
            'holder' => ['handle' => 'W-1', 'organisation' => 'Wickerby Bell Foundry'],
            'autoRenew' => true,
            'account' => $this->giver->number,
            'due' => Instant::of('2099-01-01')->epoch,
        ];
    }

    /** Settles a handover of these names; with the tests' queue its orders are told at once. */
    private function handOver(Name ...$names): Docket
    {
        $ids = array_values(array_map(fn (Name $name): int => $name->id, $names));
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            (string) Str::uuid(),
            'hand_over',
            $ids,
            $this->house->terms($this->receiver)->pack(),
            $ids,
        );
        app(SettleDocket::class)->handle($this->house->steward, $docket);

        return $docket->refresh();
    }

    private function order(Name $name): Order
    {
        return Order::query()->where('name_id', $name->id)->where('kind', OrderKind::HandOver)->latest('id')->firstOrFail();
    }

    /** Time passes until what rests may be told again. */
    private function again(): void
    {
        DB::update('UPDATE orders SET not_before = clock_timestamp()');
        Cache::flush();
        app(SendOrders::class)->handle($this->giver->id);
    }

    /** @return list<string> what the gate had from this account, verb by verb with its code */
    private function heard(): array
    {
        return $this->world->heard($this->giver->number);
    }

    public function test_it_is_told_waits_for_the_receiver_and_is_done_when_they_accept(): void
    {
        $names = [$this->registered(), $this->registered()];
        $docket = $this->handOver(...$names);
        self::assertSame(
            [OrderState::Pending, OrderState::Pending],
            array_map(fn (Name $name): OrderState => $this->order($name)->state, $names),
        );
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertOk()
            ->assertSee('sent by wire')
            ->assertSee('the receiver must accept')
            ->assertDontSee('Mark as done');
        $this->world->play($names[0]->ascii, 'accepts');
        app(ReceiveMessages::class)->handle($this->giver->id);
        self::assertSame([LineState::Done, LineState::Begun], $docket->lines()->orderBy('position')->pluck('state')->all());
        self::assertSame(
            $this->receiver->id,
            Holding::query()->where('name_id', $names[0]->id)->whereRaw('upper_inf(span)')->value('account_id'),
        );
        $this->world->play($names[1]->ascii, 'refuses');
        app(ReceiveMessages::class)->handle($this->giver->id);
        self::assertSame([LineState::Done, LineState::Refused], $docket->lines()->orderBy('position')->pluck('state')->all());
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertNotNull($docket->proof);
    }

    public function test_what_was_heard_of_late_counts_from_when_it_was_said(): void
    {
        app(TradeClock::class)->set($this->world->now() ?? self::fail('The world has no clock.'));
        $names = [$this->registered(), $this->registered()];
        $docket = $this->handOver(...$names);
        $this->world->play($names[0]->ascii, 'accepts');
        $this->world->play($names[1]->ascii, 'accepts');
        $settled = $docket->settled_on ?? self::fail('Nobody settled it.');
        // One of them has another client since, and can't have passed before that.
        app(TradeClock::class)->set($settled->plusDays(1));
        Holding::query()
            ->where('name_id', $names[1]->id)
            ->sole()
            ->update(['span' => Span::since($settled->plusDays(1))]);
        app(TradeClock::class)->set($settled->plusDays(2));
        app(ReceiveMessages::class)->handle($this->giver->id);
        $said =
            Row::of(DB::table('gate_messages')->where('name_id', $names[0]->id)->first())->instant('said_at') ??
            self::fail('It says no time.');
        $done = $docket
            ->lines()
            ->orderBy('name_id')
            ->get()
            ->map(fn (DocketLine $line): Instant => $line->done_on ?? self::fail('It is not done.'))
            ->all();
        self::assertEquals(Instant::latest($settled, $said), $done[0]);
        // The clock ran on while it was heard.
        self::assertFalse($done[1]->isBefore($settled->plusDays(2)));
        self::assertEquals(
            Instant::latest($settled, $said),
            Holding::query()->where('name_id', $names[0]->id)->whereRaw('upper_inf(span)')->firstOrFail()->span->from,
        );
        $this->actingAs($this->house->reader)
            ->get("/dockets/{$docket->id}/proof")
            ->assertSee('handed over on '.Dates::full($said))
            ->assertSee('handed over on '.Dates::full($settled->plusDays(2)));
    }

    public function test_what_the_registrar_refuses_says_why(): void
    {
        $name = $this->registered(['clientTransferProhibited']);
        $docket = $this->handOver($name);
        $line = $docket->lines()->firstOrFail();
        self::assertSame([LineState::Refused, 2304], [$line->state, $this->order($name)->code]);
        self::assertStringContainsString('clientTransferProhibited', (string) $line->reason);
    }

    /** RFC 5730 has no command that may be repeated blindly: after a silence it is asked. */
    #[TestWith(['the connection closes before the answer'])]
    #[TestWith(['no answer comes'])]
    #[TestWith(['garbage comes instead of the answer'])]
    #[TestWith(['the answer comes late'])]
    public function test_carried_out_without_an_answer_it_is_asked_for_and_not_done_twice(string $weather): void
    {
        $name = $this->registered();
        $this->world->weather($weather, 1);
        $docket = $this->handOver($name);
        self::assertSame(OrderState::Sent, $this->order($name)->state);
        $this->actingAs($this->house->reader)
            ->get("/dockets/{$docket->id}")
            ->assertOk()
            ->assertSee('so we ask for the result');
        $this->again();
        self::assertSame(OrderState::Pending, $this->order($name)->state);
        self::assertSame(
            ['update 1001'],
            array_values(array_filter($this->heard(), fn (string $heard): bool => str_starts_with($heard, 'update'))),
            'told once',
        );
    }

    /** RFC 5733 §3.2.1, then RFC 5731 §3.2.5; after a silence the name is asked for its holder, and the contact that is there is used. */
    #[TestWith([null])]
    #[TestWith(['the connection closes before the answer'])]
    #[TestWith(['its disk is full'])]
    public function test_another_registrant_is_made_known_and_then_put_to_the_name_once(?string $weather): void
    {
        $name = $this->registered();
        if ($weather !== null) {
            $this->world->weather($weather, 1);
        }
        $terms = $this->house->anotherRegistrant($name);
        $docket = app(PrepareDocket::class)->handle($this->house->steward, (string) Str::uuid(), 'change_registrant', [$name->id], $terms, [
            $name->id,
        ]);
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        $this->again();
        $order = Order::query()->where('name_id', $name->id)->sole();
        self::assertSame(
            [OrderState::Done, LineState::Done, 'Peal Trust'],
            [$order->state, $docket->lines()->sole()->state, Registrant::query()->findOrFail($name->id)->called],
        );
        self::assertSame(
            ['update 1000'],
            array_values(array_filter($this->heard(), fn (string $heard): bool => str_starts_with($heard, 'update'))),
        );
        $session = app(Gates::class)->of($this->giver->refresh());
        $handle = DomainData::of($session->command(new DomainInfo($name->ascii), 'look-1'))->registrant;
        self::assertMatchesRegularExpression('/^R[0-9A-Z]+-[0-9A-F]{6}$/D', (string) $handle);
        $data = ContactData::of($session->command(new ContactInfo((string) $handle), 'look-2'));
        self::assertSame(
            ['desk@peal.example', '+44.2079460123', 'Peal Trust', 'Zoë Peal', ['Upper Wick 4'], 'GB'],
            [
                $data->mailbox,
                $data->voice,
                $data->postal[0]->organisation,
                $data->postal[0]->name,
                $data->postal[0]->street,
                $data->postal[0]->country,
            ],
        );
        // Two names of one holder: what the first made known serves the second.
        $other = $this->registered();
        $second = app(PrepareDocket::class)->handle(
            $this->house->steward,
            (string) Str::uuid(),
            'change_registrant',
            [$other->id],
            $terms,
            [$other->id],
        );
        app(SettleDocket::class)->handle($this->house->steward, $second);
        self::assertSame(LineState::Done, $second->lines()->sole()->state);
        self::assertContains('create 2302', $this->heard());
        // Of another that is to be read otherwise the wish goes with it (RFC 5733 §2.9): that is another contact there.
        $shy = $this->registered();
        DB::table('registrations')
            ->where('name_id', $shy->id)
            ->update(['shown' => json_encode(['organisation', 'mailbox'])]);
        $third = app(PrepareDocket::class)->handle($this->house->steward, (string) Str::uuid(), 'change_registrant', [$shy->id], $terms, [
            $shy->id,
        ]);
        app(SettleDocket::class)->handle($this->house->steward, $third);
        $theirs = DomainData::of($session->command(new DomainInfo($shy->ascii), 'look-3'))->registrant;
        self::assertNotSame($handle, $theirs);
        $wish = $session
            ->command(new ContactInfo((string) $theirs), 'look-4')
            ->object(EppNamespace::Contact, 'infData')
            ->child(EppNamespace::Contact->value, 'disclose');
        self::assertSame(
            ['0', ['name', 'addr', 'voice']],
            [$wish->attribute('flag'), array_map(fn (XmlNode $one): string => $one->name(), $wish->all())],
        );
        $open = $session->command(new ContactInfo((string) $handle), 'look-5')->object(EppNamespace::Contact, 'infData');
        self::assertNull($open->childOrNull(EppNamespace::Contact->value, 'disclose'), 'where no wish is known nothing is said');
    }

    /**
     * Two names in one round and fifty in two: what serves the first serves the last.
     *
     * @param  array<string, string>|null  $terms  null: those of another registrant; empty: those of a handover
     */
    #[TestWith([2, 'change_registrant', null])]
    #[TestWith([3, 'change_registrant', null])]
    #[TestWith([50, 'change_registrant', null])]
    #[TestWith([50, 'hand_over', null])]
    #[TestWith([50, 'hand_over', []])]
    #[TestWith([50, 'change_lock', ['lock' => 'on']])]
    #[TestWith([50, 'change_auto_renew', ['renews' => 'on']])]
    #[TestWith([50, 'request_code', ['what' => 'code']])]
    public function test_many_names_of_every_kind_of_order(int $many, string $deed, ?array $terms): void
    {
        $told = $ids = [];
        for ($at = 0; $at < $many; $at++) {
            $told[] = $this->told($ascii = 'by-wire-'.self::$trials++.'.com', []);
            $name = $this->house->name($ascii, $this->giver);
            $ids[] = $name->id;
        }
        $this->world->add(['hosts' => [], 'moods' => [], 'zones' => [], 'names' => $told]);
        $handOver = $deed === 'hand_over' ? $this->house->terms($this->receiver)->pack() : [];
        $terms =
            $terms === null
                ? array_filter(
                    $this->house->anotherRegistrant(Name::query()->findOrFail($ids[0])) + $handOver,
                    is_string(...),
                    ARRAY_FILTER_USE_KEY,
                )
                : $terms + $handOver;
        foreach ($ids as $id) {
            app(RecordRegistrants::class)->of(
                [$id => ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']],
                'typed',
                null,
            );
        }
        $docket = app(PrepareDocket::class)->handle($this->house->steward, (string) Str::uuid(), $deed, $ids, $terms, $ids);
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        for ($round = 0; $round < 4; $round++) {
            $this->again();
        }
        $isDone = $deed !== 'hand_over';
        self::assertSame(
            [$isDone ? LineState::Done->value : LineState::Begun->value => $many],
            array_count_values(array_map(fn (DocketLine $line): string => $line->state->value, $docket->lines()->get()->all())),
        );
        self::assertSame(
            $many,
            Order::query()
                ->whereIn('name_id', $ids)
                ->where('state', $isDone ? OrderState::Done : OrderState::Pending)
                ->count(),
        );
        self::assertSame(0, Setback::query()->count());
    }

    /** The lock that was lifted for a handover's sake is set again however that ends, and until it is seen Rounds say so. */
    #[TestWith(['accepts'])]
    #[TestWith(['refuses'])]
    #[TestWith(['called off'])]
    public function test_a_lock_that_a_handover_lifted_is_set_again_however_it_ends(string $end): void
    {
        $this->house->skerry->update(['lock_first' => true]);
        $name = $this->registered(['clientTransferProhibited']);
        Registration::query()
            ->where('name_id', $name->id)
            ->update(['lock' => 'on']);
        $docket = $this->handOver($name);
        self::assertSame(Lock::Off, Registration::query()->where('name_id', $name->id)->firstOrFail()->lock);
        $owed = fn (): array => array_values(
            array_map(
                fn (RoundsItem $item): string => $item->title,
                array_filter(
                    app(ReadRounds::class)->handle(app(TradeClock::class)->today(), null)->items,
                    fn (RoundsItem $item): bool => str_starts_with($item->key, 'lock:'),
                ),
            ),
        );
        self::assertSame([], $owed(), 'it is still on its way');
        Queue::fake();
        if ($end === 'called off') {
            app(EndLines::class)->calledOff($this->house->steward, $docket);
        } else {
            $this->world->play($name->ascii, $end);
            Cache::flush();
            app(ReceiveMessages::class)->handle($this->giver->id);
        }
        if ($end !== 'accepts') {
            self::assertSame([$name->unicode], $owed(), 'to be sent');
            $this->again();
            self::assertSame(
                [OrderState::Done, Lock::On, []],
                [
                    Order::query()->where('name_id', $name->id)->where('kind', OrderKind::LockOn)->sole()->state,
                    Registration::query()->where('name_id', $name->id)->firstOrFail()->lock,
                    $owed(),
                ],
            );

            return;
        }
        // It lies in somebody else's account now: nobody here can, so it is seen or said.
        self::assertSame(
            [[$name->unicode], 0],
            [$owed(), Order::query()->where('name_id', $name->id)->where('kind', OrderKind::LockOn)->count()],
        );
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [['account' => $this->receiver->number] + $this->told($name->ascii, ['clientTransferProhibited'])],
        ]);
        app(Observe::class)->of([$name->id]);
        self::assertSame([], $owed());
    }

    public function test_an_order_waits_for_another_of_another_account(): void
    {
        $this->receiver->update([
            'access' => 'ours',
            'gate_secret_id' => $this->giver->gate_secret_id,
            'gate_for' => $this->giver->gate_for,
        ]);
        $place = fn (Account $account, Name $name, ?Order $after = null): Order => Order::query()->create([
            'account_id' => $account->id,
            'name_id' => $name->id,
            'kind' => OrderKind::LockOn,
            'terms' => [],
            'transaction' => GateOrders::transaction(),
            'state' => OrderState::Waiting,
            'after_id' => $after?->id,
        ]);
        [$first, $second] = [$this->registered(), $this->registered()];
        $this->world->play($first->ascii, 'registrar-refuses');

        $refused = $place($this->giver, $first);
        $inVain = $place($this->receiver, $second, $refused);
        $done = $place($this->giver, $second);
        $waits = $place($this->receiver, $second, $done);
        $last = $place($this->receiver, $second, $inVain);

        app(SendOrders::class)->handle($this->receiver->id);
        self::assertSame(OrderState::Waiting, $waits->refresh()->state, 'what it waits for is not done yet');

        app(SendOrders::class)->handle($this->giver->id);
        self::assertSame(
            [OrderState::Refused, OrderState::CalledOff, OrderState::Done, OrderState::CalledOff],
            array_map(fn (Order $order): OrderState => $order->refresh()->state, [$refused, $inVain, $done, $last]),
        );
        // The other account was woken by it, and its own gate has the last word.
        self::assertNotSame(OrderState::Waiting, $waits->refresh()->state);
    }

    public function test_a_handover_with_another_registrant_offers_the_name_once_they_stand_there(): void
    {
        /** @param  array<string, mixed>  $registrant */
        $settled = function (Name $name, array $registrant): Docket {
            $terms = array_filter($registrant + $this->house->terms($this->receiver)->pack(), is_string(...), ARRAY_FILTER_USE_KEY);
            $docket = app(PrepareDocket::class)->handle($this->house->steward, (string) Str::uuid(), 'hand_over', [$name->id], $terms, [
                $name->id,
            ]);
            app(SettleDocket::class)->handle($this->house->steward, $docket);

            return $docket->refresh();
        };
        $name = $this->registered();
        $docket = $settled($name, $this->house->anotherRegistrant($name));
        $this->again();
        self::assertSame(
            [[OrderKind::Registrant, OrderState::Done], [OrderKind::HandOver, OrderState::Pending]],
            Order::query()
                ->where('name_id', $name->id)
                ->orderBy('id')
                ->get()
                ->map(fn (Order $order): array => [$order->kind, $order->state])
                ->all(),
        );
        self::assertSame('Wickerby Bell Foundry', Registrant::query()->findOrFail($name->id)->called, 'our books change with the whole');
        $this->world->play($name->ascii, 'accepts');
        app(ReceiveMessages::class)->handle($this->giver->id);
        self::assertSame(
            [LineState::Done, 'Peal Trust'],
            [$docket->lines()->sole()->state, Registrant::query()->findOrFail($name->id)->called],
        );
        // What the registrar won't record ends it, and nothing is offered.
        $other = $this->registered();
        $this->world->play($other->ascii, 'registrar-refuses');
        $refused = $settled($other, $this->house->anotherRegistrant($other));
        $this->again();
        self::assertSame(
            [LineState::Refused, [[OrderKind::Registrant, OrderState::Refused], [OrderKind::HandOver, OrderState::CalledOff]]],
            [
                $refused->lines()->sole()->state,
                Order::query()
                    ->where('name_id', $other->id)
                    ->orderBy('id')
                    ->get()
                    ->map(fn (Order $order): array => [$order->kind, $order->state])
                    ->all(),
            ],
        );
        self::assertNotSame('', (string) $refused->lines()->sole()->reason);
        // Whom no gate could record is not begun with.
        $third = $this->registered();
        $this->expectException(DeedError::class);
        $settled($third, $this->house->anotherRegistrant($third, ['organisation' => 'Nowhere Trust', 'mailbox' => 'desk@nowhere.example']));
    }

    /** Nothing was carried out, and that is known: it is told again. */
    public function test_a_gate_whose_disk_is_full_is_told_again(): void
    {
        $name = $this->registered();
        $this->world->weather('its disk is full', 1);
        $this->handOver($name);
        self::assertSame([OrderState::Waiting, 2400], [$this->order($name)->state, $this->order($name)->code]);
        $this->again();
        self::assertSame(OrderState::Pending, $this->order($name)->state);
        self::assertSame(
            ['update 2400', 'update 1001'],
            array_values(array_filter($this->heard(), fn (string $heard): bool => str_starts_with($heard, 'update'))),
        );
    }

    public function test_a_gate_that_shows_another_certificate_is_told_nothing(): void
    {
        $name = $this->registered();
        $this->world->weather('it shows a certificate that nobody here signed', 1);
        $this->handOver($name);
        self::assertSame([], $this->heard());
        self::assertStringContainsString('could not prove who it is', (string) $this->order($name)->answer);
        Cache::flush();
        $this->again();
        self::assertSame(OrderState::Pending, $this->order($name)->state);
    }

    /** A gate tells the code that it has; where it has none, one of 128 bits is set (RFC 9154 §4.1). */
    public function test_an_auth_code_is_asked_for_by_wire(): void
    {
        $name = $this->registered();
        $codes = [];
        foreach ([0, 1] as $time) {
            $docket = app(PrepareDocket::class)->handle(
                $this->house->steward,
                (string) Str::uuid(),
                'request_code',
                [$name->id],
                ['what' => 'code'],
                [$name->id],
            );
            app(SettleDocket::class)->handle($this->house->steward, $docket);
            self::assertSame(DocketState::Closed, $docket->refresh()->state);
            $codes[$time] = Secret::query()->where('kind', 'auth_code')->sole()->value;
        }
        self::assertMatchesRegularExpression('/^[\w-]{22}$/', $codes[0]);
        self::assertSame($codes[0], $codes[1]);
        self::assertStringNotContainsString(
            $codes[0],
            (string) json_encode([DB::table('orders')->get(), DB::table('gate_messages')->get(), DB::table('log')->get()]),
        );
    }

    public function test_a_registrar_that_refuses_is_quoted(): void
    {
        $name = $this->registered();
        $this->world->play($name->ascii, 'registrar-refuses');
        $line = $this->handOver($name)->lines()->firstOrFail();
        self::assertSame([LineState::Refused, 2306], [$line->state, $this->order($name)->code]);
        self::assertStringContainsString('We do not do that for this name', (string) $line->reason);
    }

    /** RFC 5730 §3, code 2306: a status that it carries, or doesn't, is not switched again. */
    public function test_what_stands_as_it_was_to_be_switched_is_done(): void
    {
        $order = fn (Name $name): Order => Order::query()->where('name_id', $name->id)->sole();
        $name = $this->registered(['clientTransferProhibited']);
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            (string) Str::uuid(),
            'change_lock',
            [$name->id],
            ['lock' => 'on'],
            [$name->id],
        );
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        self::assertSame([LineState::Done, 'seen by asking'], [$docket->lines()->sole()->state, $order($name)->answer]);
        // What is refused and stands otherwise stays refused.
        $other = $this->registered(['clientUpdateProhibited']);
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            (string) Str::uuid(),
            'change_lock',
            [$other->id],
            ['lock' => 'on'],
            [$other->id],
        );
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        self::assertSame([LineState::Refused, 2304], [$docket->lines()->sole()->state, $order($other)->code]);
    }

    /** RFC 5730 §3, code 1001, and RFC 5731 §3.3 */
    #[TestWith(['review-passes', LineState::Done, 'was carried out'])]
    #[TestWith(['review-fails', LineState::Refused, 'was not carried out'])]
    public function test_what_a_registrar_looks_at_first_ends_by_its_message(string $part, LineState $after, string $said): void
    {
        $name = $this->registered();
        $this->world->play($name->ascii, 'registrar-reviews');
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            (string) Str::uuid(),
            'change_lock',
            [$name->id],
            ['lock' => 'on'],
            [$name->id],
        );
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        $order = Order::query()->where('name_id', $name->id)->latest('id')->firstOrFail();
        self::assertSame([OrderState::Pending, LineState::Begun], [$order->state, $docket->lines()->firstOrFail()->state]);
        $this->actingAs($this->house->reader)
            ->get("/dockets/{$docket->id}")
            ->assertSee('reviews it');
        // It can't be called off any more: what becomes of it the registrar says.
        $this->actingAs($this->house->steward)
            ->post("/dockets/{$docket->id}/call-off")
            ->assertSessionHas(
                'told',
                'Nothing was left to cancel. One stays open: the order was already sent, and its registrar will report the result.',
            );
        self::assertSame([OrderState::Pending, LineState::Begun], [$order->refresh()->state, $docket->lines()->firstOrFail()->state]);

        $this->world->play($name->ascii, $part);
        app(ReceiveMessages::class)->handle($this->giver->id);
        app(ReceiveMessages::class)->handle($this->giver->id);
        self::assertSame(
            [$after, $after === LineState::Done ? OrderState::Done : OrderState::Refused],
            [$docket->lines()->firstOrFail()->state, $order->refresh()->state],
        );
        self::assertStringContainsString($said, (string) $order->answer);
        self::assertSame(1, DB::table('gate_messages')->where('kind', 'action')->where('transaction', $order->transaction)->count());
    }

    public function test_a_registrar_is_told_no_more_a_minute_than_it_takes(): void
    {
        $this->house->skerry->update(['gate_a_minute' => 3]);
        $names = array_map(fn (): Name => $this->registered(), range(1, 5));
        $docket = $this->handOver(...$names);
        $states = fn (): array => array_count_values(array_map(fn (Name $name): string => $this->order($name)->state->value, $names));
        self::assertSame(['pending' => 3, 'waiting' => 2], $states());
        app(SendOrders::class)->handle($this->giver->id);
        self::assertSame(2, Order::query()->where('account_id', $this->giver->id)->where('state', OrderState::Waiting)->count());
        // Its page goes on by itself as long as something is left to tell.
        $this->actingAs($this->house->reader)
            ->get("/dockets/{$docket->id}")
            ->assertSee('2 orders are still to be sent to their registrars.')
            ->assertSee('data-waiting', false);
        $this->get("/dockets/{$docket->id}/state")->assertJson([
            'waiting' => 2,
            'told' => '2 orders are still to be sent to their registrars.',
        ]);
        // The minute is over: nothing of it is remembered.
        $this->again();
        self::assertSame(['pending' => 5], $states());
        $this->get("/dockets/{$docket->id}")->assertDontSee('data-waiting', false);
        $this->get("/dockets/{$docket->id}/state")->assertJson(['waiting' => 0]);
    }

    public function test_an_answer_that_comes_twice_is_not_taken_for_the_next_ones(): void
    {
        $names = [$this->registered(), $this->registered(['clientTransferProhibited']), $this->registered()];
        $this->world->weather('the answer comes twice', 3);
        $this->handOver(...$names);
        self::assertSame(
            [OrderState::Pending, OrderState::Refused, OrderState::Pending],
            array_map(fn (Name $name): OrderState => $this->order($name)->state, $names),
        );
    }

    public function test_marked_and_never_sent_it_is_told_after_asking(): void
    {
        $name = $this->registered();
        $docket = $this->handOver($name);
        $this->world->play($name->ascii, 'refuses');
        // As if the worker had died between marking and sending.
        $before = $this->order($name);
        DB::update("UPDATE orders SET state = 'sent', transaction = 'never-sent-at-all' WHERE id = ?", [$before->id]);
        $this->again();
        self::assertSame(OrderState::Pending, $this->order($name)->state);
        self::assertNotSame('never-sent-at-all', $this->order($name)->transaction, 'another command has another id');
        self::assertSame(LineState::Begun, $docket->lines()->firstOrFail()->state);
    }

    public function test_accepted_while_nobody_listened_it_is_found_by_asking(): void
    {
        $name = $this->registered();
        $this->world->weather('the connection closes before the answer', 1);
        $docket = $this->handOver($name);
        $this->world->play($name->ascii, 'accepts');
        $this->again();
        self::assertSame([OrderState::Done, LineState::Done], [$this->order($name)->state, $docket->lines()->firstOrFail()->state]);
        app(ReceiveMessages::class)->handle($this->giver->id);
        self::assertSame(
            1,
            Holding::query()->where('name_id', $name->id)->where('account_id', $this->receiver->id)->count(),
            'its message changes nothing more',
        );
    }

    public function test_a_registrar_that_is_down_for_a_day_loses_nothing(): void
    {
        $hosts = config()->array('outside.hosts');
        config(['outside.hosts' => ['epp.skerry.example' => '127.0.0.1:9'] + $hosts]);
        $this->app->forgetInstance(Hosts::class);
        $this->app->forgetInstance(Gates::class);
        $name = $this->registered();
        $docket = $this->handOver($name);
        self::assertContains($this->order($name)->state, [OrderState::Waiting, OrderState::Sent]);
        $this->actingAs($this->house->reader)
            ->get("/dockets/{$docket->id}")
            ->assertOk()
            ->assertSee('did not answer');
        config(['outside.hosts' => $hosts]);
        $this->app->forgetInstance(Hosts::class);
        $this->app->forgetInstance(Gates::class);
        $this->again();
        self::assertSame(OrderState::Pending, $this->order($name)->state);
    }

    public function test_called_off_before_it_was_told_it_never_is_and_afterwards_it_is_taken_back(): void
    {
        $name = $this->registered();
        $docket = $this->handOver($name);
        app(EndLines::class)->calledOff($this->house->steward, $docket);
        self::assertSame(OrderState::CalledOff, $this->order($name)->state);
        self::assertSame(
            'done',
            Order::query()->where('name_id', $name->id)->where('kind', OrderKind::CancelHandover)->firstOrFail()->state->value,
        );
        self::assertSame(
            ['update 1001', 'update 1000'],
            array_values(array_filter($this->heard(), fn (string $heard): bool => str_starts_with($heard, 'update'))),
        );
    }

    public function test_a_message_that_was_kept_and_not_acknowledged_comes_again_and_changes_nothing(): void
    {
        $name = $this->registered();
        $docket = $this->handOver($name);
        $this->world->play($name->ascii, 'accepts');
        // The acknowledgement is carried out, and its answer lost; then the asking before it.
        $this->world->weather('the connection closes before the answer', 1);
        app(ReceiveMessages::class)->handle($this->giver->id);
        Cache::flush();
        app(ReceiveMessages::class)->handle($this->giver->id);
        app(ReceiveMessages::class)->handle($this->giver->id);
        self::assertSame(1, DB::table('gate_messages')->where('account_id', $this->giver->id)->where('name_id', $name->id)->count());
        self::assertSame(LineState::Done, $docket->lines()->firstOrFail()->state);
    }

    public function test_a_wrong_password_and_a_gate_that_is_not_listed_are_said_and_nothing_is_lost(): void
    {
        $name = $this->registered();
        Secret::query()
            ->whereKey($this->giver->gate_secret_id)
            ->firstOrFail()
            ->update(['value' => 'another']);
        $this->handOver($name);
        self::assertStringContainsString('2200', (string) $this->order($name)->answer);
        $this->house->skerry->update(['gate' => 'epp.elsewhere.example:700']);
        $this->giver->update(['gate_for' => GatePin::of($this->house->skerry)]);
        $this->again();
        self::assertStringContainsString('not among the hosts', (string) $this->order($name)->answer);
        self::assertContains($this->order($name)->state, [OrderState::Waiting, OrderState::Sent]);
    }

    public function test_an_account_that_is_not_ours_or_has_no_password_is_acted_in_by_slip(): void
    {
        $this->giver->update(['gate_secret_id' => null]);
        $docket = $this->handOver($this->registered());
        self::assertSame(0, Order::query()->count());
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('what to do at Skerry')
            ->assertSee('Mark as done');
    }

    /** A canary: the password stands nowhere but in its one encrypted place. */
    public function test_the_password_is_nowhere_to_be_read(): void
    {
        $name = $this->registered();
        $this->handOver($name);
        $this->world->play($name->ascii, 'accepts');
        app(ReceiveMessages::class)->handle($this->giver->id);
        $secret = Secret::query()->findOrFail($this->giver->gate_secret_id)->value;
        self::assertStringStartsWith('canary sings', $secret);
        foreach (DB::select("SELECT tablename FROM pg_tables WHERE schemaname = 'public' AND tablename NOT LIKE 'log\\_%'") as $table) {
            $name = Row::of($table)->text('tablename');
            self::assertSame(0, DB::scalar("SELECT count(*) FROM \"{$name}\" t WHERE t::text LIKE ?", ["%{$secret}%"]), $name);
        }
        $logs = glob(storage_path('logs/*.log'));
        foreach ($logs === false ? [] : $logs as $log) {
            self::assertStringNotContainsString($secret, (string) file_get_contents($log));
        }
        foreach (["/accounts/{$this->giver->id}", "/accounts/{$this->giver->id}/edit", '/log'] as $page) {
            $this->actingAs($this->house->owner)->get($page)->assertOk()->assertDontSee($secret);
        }
        self::assertStringNotContainsString($secret, (string) json_encode(Secret::query()->get()));
    }

    public function test_the_lock_is_set_by_wire_and_seen_in_the_directory(): void
    {
        $names = [$this->registered(), $this->registered(['clientUpdateProhibited'])];
        app(GatherNames::class)->add($this->house->steward, array_map(fn (Name $name): int => $name->id, $names));
        $this->pressAs($this->house->steward, '/deeds/change_lock?of=sheaf&lock=on')->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        self::assertSame(
            [LineState::Done, LineState::Refused],
            $docket->lines()->orderBy('name_id')->pluck('state')->all(),
            'one may not be changed, and its registrar says so',
        );
        self::assertSame(DocketState::Closed, $docket->state);
        self::assertSame(Lock::On, Registration::query()->where('name_id', $names[0]->id)->firstOrFail()->lock);
        $line = $docket->lines()->where('name_id', $names[0]->id)->firstOrFail();
        app(Observe::class)->of([$names[0]->id]);
        self::assertNull($line->refresh()->seen_on, 'the directory is some minutes behind');
        $plan = Row::of(DB::table('observing')->where('name_id', $names[0]->id)->first());
        self::assertSame(
            ['hourly', true],
            [$plan->text('pace'), $plan->instant('due_at')?->agreesWith($line->done_on?->plusSeconds(1_200) ?? Instant::of('2026-01-01'))],
            'and is asked again when it should show it',
        );
        self::assertSame(0, Drift::query()->where('name_id', $names[0]->id)->count(), 'which is no disagreement yet');
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusSeconds(1_500));
        app(Observe::class)->of([$names[0]->id]);
        self::assertSame(
            ['lock_is_off'],
            DB::table('drifts')->where('name_id', $names[0]->id)->where('state', 'open')->pluck('finding')->all(),
            'later it is one',
        );
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [$this->told($names[0]->ascii, ['clientTransferProhibited'])],
        ]);
        app(Observe::class)->of([$names[0]->id]);
        self::assertNotNull($line->refresh()->seen_on);
        $this->actingAs($this->house->reader)
            ->get("/dockets/{$docket->id}")
            ->assertSee('shown in the directory on');
    }

    public function test_the_lock_by_slip_and_what_stands_in_its_way(): void
    {
        $this->giver->update(['gate_secret_id' => null]);
        $name = $this->registered();
        $uk = $this->house->name('lockless.co.uk', $this->giver);
        $theirs = $this->house->name('theirs.com', $this->receiver);
        app(GatherNames::class)->add($this->house->steward, [$name->id, $uk->id, $theirs->id]);
        $this->actingAs($this->house->steward)
            ->get('/deeds/change_lock?of=sheaf&lock=on')
            ->assertSee('have no transfer lock')
            ->assertSee('We have no access to account')
            ->assertSee('Set the lock of one name');
        $this->pressAs($this->house->steward, '/deeds/change_lock?of=sheaf&lock=on')->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        $this->get("/dockets/{$docket->id}")
            ->assertSee('Set the lock of these names')
            ->assertSee($name->ascii)
            ->assertSee('Mark as done')
            ->assertDontSee('Receiving side');
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertRedirect();
        self::assertSame(
            [DocketState::Closed, Lock::On],
            [$docket->refresh()->state, Registration::query()->where('name_id', $name->id)->firstOrFail()->lock],
        );
    }

    public function test_auto_renewal_is_switched_by_wire_and_our_intent_follows(): void
    {
        $name = $this->registered();
        $this->pressAs($this->house->steward, "/deeds/change_auto_renew?name={$name->ascii}&renews=on")->assertRedirect();
        self::assertSame(Intent::ByItself, Registration::query()->where('name_id', $name->id)->firstOrFail()->intent);
        $this->pressAs($this->house->steward, "/deeds/change_auto_renew?name={$name->ascii}&renews=off")->assertRedirect();
        self::assertSame(Intent::WhenTold, Registration::query()->where('name_id', $name->id)->firstOrFail()->intent);
        self::assertSame(2, Order::query()->where('name_id', $name->id)->where('state', OrderState::Done)->count());
    }

    public function test_a_locked_name_is_unlocked_and_then_offered(): void
    {
        $this->house->skerry->update(['lock_first' => true]);
        $name = $this->registered(['clientTransferProhibited']);
        Registration::query()
            ->where('name_id', $name->id)
            ->update(['lock' => 'on']);
        $docket = $this->handOver($name);
        self::assertSame(
            ['update 1000', 'update 1001'],
            array_values(array_filter($this->heard(), fn (string $heard): bool => str_starts_with($heard, 'update'))),
        );
        self::assertSame(
            [OrderState::Pending, LineState::Begun, Lock::Off],
            [
                $this->order($name)->state,
                $docket->lines()->firstOrFail()->state,
                Registration::query()->where('name_id', $name->id)->firstOrFail()->lock,
            ],
        );
    }

    public function test_a_gates_password_is_kept_with_ones_own_asked_again_and_shown_to_nobody(): void
    {
        $page = "/accounts/{$this->giver->id}";
        $this->actingAs($this->house->clerk)
            ->post("{$page}/gate", ['gate_password' => 'x', 'own_password' => House::PASSWORD])
            ->assertForbidden();
        $this->actingAs($this->house->steward)
            ->post("{$page}/gate", ['gate_password' => 'a better one', 'own_password' => 'not mine'])
            ->assertSessionHasErrors('own_password');
        // RFC 5730 §4, pwType: another one would make the login no frame.
        $this->post("{$page}/gate", ['gate_password' => 'seventeen letters', 'own_password' => House::PASSWORD])->assertSessionHasErrors(
            'gate_password',
        );
        $long = $this->house->account('AN-ACCOUNT-WITH-A-LONG-NUMBER', null);
        $this->post("/accounts/{$long->id}/gate", [
            'gate_password' => 'a better one',
            'own_password' => House::PASSWORD,
        ])->assertSessionHasErrors([
            'gate_password' => 'The account number AN-ACCOUNT-WITH-A-LONG-NUMBER can’t be used to sign in: EPP needs 3 to 16 characters '
                .'(RFC 5730, §4).',
        ]);
        $this->post("{$page}/gate", ['gate_password' => 'a better one', 'own_password' => House::PASSWORD])->assertRedirect($page);
        $this->get($page)->assertSee('never shown')->assertDontSee('a better one');
        self::assertSame('a better one', Secret::query()->findOrFail($this->giver->refresh()->gate_secret_id)->value);
        $this->post("{$page}/gate/try")->assertSessionHasErrors('gate');
        $this->post("{$page}/gate", ['gate_password' => '', 'own_password' => House::PASSWORD])->assertRedirect($page);
        self::assertNull($this->giver->refresh()->gate_secret_id);
        $this->get($page)->assertSee('No password is stored');
    }

    /** Drift seen, put right outside by a deed, and gone at the next look. */
    public function test_a_lock_that_somebody_lifted_is_set_again_from_the_drift_page(): void
    {
        $name = $this->registered();
        Registration::query()
            ->where('name_id', $name->id)
            ->update(['lock' => 'on']);
        app(Observe::class)->of([$name->id]);
        self::assertSame('open', Drift::query()->where('name_id', $name->id)->where('finding', 'lock_is_off')->firstOrFail()->state->value);
        $this->actingAs($this->house->steward)->get('/drift')->assertSee('Correct it at the registrar');
        $to = (string) $this->post('/drift', ['act' => 'right:lock_is_off'])->headers->get('Location');
        self::assertStringContainsString('/deeds/change_lock', $to);
        $this->pressAs($this->house->steward, $to)->assertRedirect();
        self::assertSame(LineState::Done, Docket::query()->latest('id')->firstOrFail()->lines()->firstOrFail()->state);
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [$this->told($name->ascii, ['clientTransferProhibited'])],
        ]);
        app(Observe::class)->of([$name->id]);
        self::assertSame('gone', Drift::query()->where('name_id', $name->id)->where('finding', 'lock_is_off')->firstOrFail()->state->value);
        $this->post('/drift', ['act' => 'right:renewed'])->assertNotFound();
    }

    /** RFC 5731 §3.2.5: servers are put and taken one by one, and one that stands there is not put again (2302 by RFC 5730 §3). */
    public function test_name_servers_that_somebody_changed_are_put_back_by_wire(): void
    {
        [$ours, $theirs] = [['ns1.quay.example', 'ns2.quay.example'], ['ns2.quay.example', 'ns1.shady.example']];
        $name = $this->registered([], $theirs, $ours);
        $kept = $this->registered([], $ours, $ours);
        app(Observe::class)->of([$name->id, $kept->id]);
        self::assertSame('open', Drift::query()->where('name_id', $name->id)->where('finding', 'servers_changed')->sole()->state->value);
        $this->actingAs($this->house->steward)
            ->get("/record/{$name->ascii}")
            ->assertSee('Restore ours');
        $to = (string) $this->post('/drift', ['act' => 'right:servers_changed'])->headers->get('Location');
        self::assertStringContainsString('/deeds/restore_servers', $to);
        $this->get($to)->assertSeeInOrder(['ns1.shady.example', 'ns1.quay.example ns2.quay.example']);
        $this->pressAs($this->house->steward, $to)->assertRedirect();
        $line = Docket::query()->latest('id')->firstOrFail()->lines()->sole();
        self::assertSame([LineState::Done, null], [$line->state, $line->reason]);
        self::assertContains('update 1000', $this->heard());
        $order = Order::query()
            ->where('name_id', $name->id)
            ->sole()
            ->load(['account.registrar', 'name'])
            ->told();
        self::assertTrue(
            app(Registrars::class)->of($this->giver->load('registrar'))?->find($this->giver, $order)?->kind === AnswerKind::Done,
            'its registrar has those, and no others',
        );
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [['servers' => array_reverse($ours)] + $this->told($name->ascii, [])],
        ]);
        app(Observe::class)->of([$name->id]);
        self::assertNotNull($line->refresh()->seen_on);
        $this->get("/deeds/restore_servers?name={$kept->ascii}")->assertSee('It is already so');
        $bare = $this->registered([], $theirs);
        $this->get("/deeds/restore_servers?name={$bare->ascii}")->assertSee('has no name servers to restore');
        self::assertSame($ours, Registration::query()->where('name_id', $name->id)->sole()->servers);
    }

    public function test_name_servers_by_slip_are_said_name_by_name(): void
    {
        $this->giver->update(['gate_secret_id' => null]);
        $names = [
            $this->registered([], ['ns1.shady.example'], ['ns1.quay.example']),
            $this->registered([], ['ns1.shady.example'], ['ns1.quay.example']),
            $this->registered([], ['ns1.shady.example'], ['ns9.quay.example', 'ns8.quay.example']),
        ];
        app(Observe::class)->of(array_map(fn (Name $name): int => $name->id, $names));
        app(GatherNames::class)->add($this->house->steward, array_map(fn (Name $name): int => $name->id, $names));
        $this->pressAs($this->house->steward, '/deeds/restore_servers?of=sheaf')->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder([
            'Set exactly these name servers',
            "Name servers of {$names[0]->ascii}, {$names[1]->ascii}",
            'ns1.quay.example',
            "Name servers of {$names[2]->ascii}",
            'ns9.quay.example ns8.quay.example',
        ]);
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertRedirect();
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
    }
}
