<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Lock;
use Acre\Core\Time\Instant;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Orders\ReceiveMessages;
use App\Actions\Orders\SendOrders;
use App\Actions\Outside\Observe;
use App\Models\Account;
use App\Models\AuthCode;
use App\Models\Docket;
use App\Models\DocketState;
use App\Models\Holding;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Registrant;
use App\Models\Registration;
use App\Models\Secret;
use App\Outside\Registrar\GatePin;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/**
 * A registrar behind the simulated bridge, over its socket and in every weather; what it is asked and answers is held against
 * docs/bridge.yaml in tests/Reference.
 */
#[Group('world')]
final class BridgeTest extends TestCase
{
    use Worldly;

    private House $house;

    private Account $giver;

    private Account $receiver;

    protected function setUp(): void
    {
        parent::setUp();
        $this->world();
        $this->house = new House();
        $this->house->skerry->update([
            'name' => 'Oriel Names',
            'link' => 'bridge',
            'gate' => 'bridge.oriel-names.example:443',
            'receiver_by' => 'handle',
            'confirms' => 'receiver',
        ]);
        $trial = self::$trials++.'-'.getmypid();
        $this->giver = $this->house->account("BG-{$trial}", null);
        $this->giver->update([
            'handle' => "GIVER-{$trial}",
            'gate_secret_id' => Secret::query()->create([
                'kind' => 'gate_password',
                'about' => 'a trial',
                'value' => "a canary crosses {$trial}",
            ])->id,
            'gate_for' => GatePin::of($this->giver->registrar()->sole()),
        ]);
        $this->receiver = $this->house->account("BR-{$trial}", $this->house->foundry);
        $this->receiver->update(['handle' => "TAKER-{$trial}"]);
        $this->world->add([
            'names' => [],
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'accounts' => array_map(
                fn (Account $account): array => [
                    'number' => $account->number,
                    'registrar' => 'oriel',
                    'login' => (string) $account->login,
                    'mailbox' => '',
                    'password' => "a canary crosses {$trial}",
                    'balance' => 100_00,
                    'handle' => $account->handle,
                ],
                [$this->giver, $this->receiver],
            ),
        ]);
        $this->world->weather('fair', 0, 'the bridge');
    }

    protected function tearDown(): void
    {
        $this->world->weather('fair', 0, 'the bridge');
        parent::tearDown();
    }

    /** @param  list<string>  $statuses */
    private function registered(array $statuses = []): Name
    {
        $ascii = 'by-bridge-'.self::$trials++.'-'.getmypid().'.com';
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [
                [
                    'name' => $ascii,
                    'registrar' => 'oriel',
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
                ],
            ],
        ]);

        return $this->house->name($ascii, $this->giver);
    }

    private function handOver(Name $name): Docket
    {
        return $this->settled('hand_over', $name, $this->house->terms($this->receiver)->pack());
    }

    /** @param  array<string, mixed>  $terms */
    private function settled(string $deed, Name $name, array $terms): Docket
    {
        $docket = app(PrepareDocket::class)->handle($this->house->steward, (string) Str::uuid(), $deed, [$name->id], $terms, [$name->id]);
        app(SettleDocket::class)->handle($this->house->steward, $docket);

        return $docket->refresh();
    }

    private function order(Name $name): Order
    {
        return Order::query()->where('name_id', $name->id)->latest('id')->firstOrFail();
    }

    private function again(): void
    {
        DB::update('UPDATE orders SET not_before = clock_timestamp()');
        app(SendOrders::class)->handle($this->giver->id);
    }

    private function holder(Name $name): int
    {
        return Holding::query()->where('name_id', $name->id)->whereRaw('upper_inf(span)')->firstOrFail()->account_id;
    }

    public function test_a_handover_is_pending_until_the_receiver_accepts_at_the_registrar(): void
    {
        $name = $this->registered();
        $docket = $this->handOver($name);
        self::assertSame(OrderState::Pending, $this->order($name)->state);
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('sent by bridge');
        $this->world->play($name->ascii, 'accepts');
        app(ReceiveMessages::class)->handle($this->giver->id);
        self::assertSame([$this->receiver->id, DocketState::Closed], [$this->holder($name), $docket->refresh()->state]);
        self::assertSame(['hand_over 200'], $this->world->heard($this->giver->number));
        app(ReceiveMessages::class)->handle($this->giver->id);
        self::assertSame(1, DB::table('gate_messages')->where('name_id', $name->id)->where('state', 'accepted')->count());
    }

    public function test_called_off_it_is_told_to_take_the_offer_back(): void
    {
        $name = $this->registered();
        $docket = $this->handOver($name);
        app(EndLines::class)->calledOff($this->house->steward, $docket);
        $this->again();
        self::assertSame(['hand_over 200', 'cancel_handover 200'], $this->world->heard($this->giver->number));
        self::assertSame($this->giver->id, $this->holder($name));
    }

    public function test_with_the_receivers_word_it_goes_at_once(): void
    {
        $this->house->skerry->update(['accepts_by' => 'letter', 'lock_first' => true]);
        $this->world->weather('fair', 0, 'the post');
        $this->receiver->update(['mailbox' => 'taker-'.self::$trials.'-'.getmypid().'@letters.example']);
        $name = $this->registered(['clientTransferProhibited']);
        Registration::query()
            ->where('name_id', $name->id)
            ->update(['lock' => 'on']);
        $docket = $this->handOver($name);
        self::assertSame(0, Order::query()->count(), 'nothing moves before they have answered');
        self::assertSame(
            1,
            preg_match('~/answer/[\w-]{43}~', implode('', $this->world->letters((string) $this->receiver->mailbox)), $link),
        );
        $this->post($link[0] ?? '', ['answer' => 'yes', 'handle' => strtolower((string) $this->receiver->handle)])->assertOk();
        self::assertSame([$this->receiver->id, DocketState::Closed], [$this->holder($name), $docket->refresh()->state]);
        self::assertSame(['lock_off 200', 'hand_over 200'], $this->world->heard($this->giver->number));
    }

    public function test_what_may_be_read_is_ordered_in_the_steps_that_the_registrar_sells(): void
    {
        $this->house->skerry->update(['disclosure_steps' => [[], ['organisation', 'country']]]);
        $name = $this->registered();
        app(RecordRegistrants::class)->of(
            [$name->id => ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']],
            'typed',
            null,
        );
        $terms = [
            'pattern' => 0,
            'called' => 'the organisation',
            'fields' => ['organisation', 'town', 'country'],
            'consent' => ['words' => 'yes', 'on' => '2026-10-01'],
        ];
        $docket = $this->settled('change_disclosure', $name, $terms);
        self::assertSame(
            [DocketState::Closed, ['organisation', 'country']],
            [$docket->refresh()->state, Registration::query()->where('name_id', $name->id)->firstOrFail()->shown],
        );
        self::assertSame(['disclose 200'], $this->world->heard($this->giver->number));
        // A step that it doesn't sell it refuses in its own words.
        $this->house->skerry->update(['disclosure_steps' => null]);
        $refused = $this->settled('change_disclosure', $name, ['fields' => ['mailbox']] + $terms);
        self::assertSame('We sell hidden, the organisation alone, or everything.', $refused->lines()->firstOrFail()->reason);
    }

    public function test_another_registrant_is_told_with_their_data(): void
    {
        $name = $this->registered();
        $docket = $this->settled('change_registrant', $name, $this->house->anotherRegistrant($name));
        self::assertSame([OrderState::Done, DocketState::Closed], [$this->order($name)->state, $docket->refresh()->state]);
        self::assertSame(['registrant 200'], $this->world->heard($this->giver->number));
        self::assertSame('Peal Trust', Registrant::query()->findOrFail($name->id)->called);
        // Nobody's data stands in what is kept of orders, only the number of its version.
        self::assertStringNotContainsString('Peal', (string) json_encode(DB::table('orders')->get()));
        $nowhere = $this->registered();
        $refused = $this->settled(
            'change_registrant',
            $nowhere,
            $this->house->anotherRegistrant($nowhere, ['organisation' => 'Nowhere Trust', 'mailbox' => 'desk@nowhere.example']),
        );
        self::assertSame('A holder has a name or an organisation, and a country.', $refused->lines()->firstOrFail()->reason);
        self::assertSame('Wickerby Bell Foundry', Registrant::query()->findOrFail($nowhere->id)->called);
    }

    public function test_a_handle_that_nobody_has_is_refused_with_the_registrars_words(): void
    {
        $this->receiver->update(['handle' => 'NOBODY']);
        $name = $this->registered();
        $docket = $this->handOver($name);
        self::assertSame([OrderState::Refused, 'No account has that handle.'], [$this->order($name)->state, $this->order($name)->answer]);
        self::assertSame(LineState::Refused, $docket->lines()->firstOrFail()->state);
    }

    #[TestWith(['the connection closes before the answer'])]
    #[TestWith(['no answer comes'])]
    #[TestWith(['garbage comes instead of the answer'])]
    #[TestWith(['the answer comes late'])]
    #[TestWith(['its disk is full'])]
    #[TestWith(['it shows a certificate that nobody here signed'])]
    #[TestWith(['the answer comes twice'])]
    public function test_whatever_befalls_an_answer_it_is_ordered_once(string $weather): void
    {
        $name = $this->registered(['clientTransferProhibited']);
        Registration::query()
            ->where('name_id', $name->id)
            ->update(['lock' => 'on']);
        $this->world->weather($weather, 1, 'the bridge');
        $docket = $this->settled('change_lock', $name, ['lock' => 'off']);
        $this->again();
        $this->again();
        self::assertSame(['lock_off 200'], $this->world->heard($this->giver->number));
        self::assertSame(
            [DocketState::Closed, Lock::Off],
            [$docket->refresh()->state, Registration::query()->where('name_id', $name->id)->firstOrFail()->lock],
        );
    }

    public function test_name_servers_are_put_back_by_bridge(): void
    {
        $name = $this->registered(['ok']);
        Registration::query()
            ->where('name_id', $name->id)
            ->update(['servers' => '["ns1.quay.example", "ns2.quay.example"]']);
        app(Observe::class)->of([$name->id]);
        $this->settled('restore_servers', $name, ['what' => 'servers']);
        self::assertSame(['servers 200'], $this->world->heard($this->giver->number));
        self::assertSame(OrderState::Done, $this->order($name)->state);
    }

    public function test_a_registrar_that_refuses_is_quoted(): void
    {
        $name = $this->registered();
        $this->world->play($name->ascii, 'registrar-refuses');
        $docket = $this->handOver($name);
        self::assertSame(
            [LineState::Refused, 'We do not do that for this name.'],
            [$docket->lines()->firstOrFail()->state, $docket->lines()->firstOrFail()->reason],
        );
        $this->world->play($name->ascii, 'registrar-agrees');
        $this->handOver($name);
        self::assertSame(OrderState::Pending, $this->order($name)->state);
    }

    public function test_a_token_that_is_not_taken_is_said_and_nothing_is_lost(): void
    {
        Secret::query()
            ->whereKey($this->giver->gate_secret_id)
            ->firstOrFail()
            ->update(['value' => 'another']);
        $name = $this->registered();
        $this->actingAs($this->house->steward)
            ->post("/accounts/{$this->giver->id}/gate/try")
            ->assertSessionHasErrors('gate');
        $docket = $this->handOver($name);
        self::assertSame([OrderState::Refused, LineState::Refused], [$this->order($name)->state, $docket->lines()->firstOrFail()->state]);
        self::assertStringContainsString('token', (string) $this->order($name)->answer);
    }

    public function test_who_one_is_can_be_asked(): void
    {
        $this->actingAs($this->house->steward)
            ->post("/accounts/{$this->giver->id}/gate/try")
            ->assertSessionHas('told', fn (string $told): bool => str_contains($told, $this->giver->number));
    }

    public function test_an_auth_code_is_kept_sealed_and_shown_after_the_password_was_asked_again(): void
    {
        $name = $this->registered();
        $docket = $this->settled('request_code', $name, ['what' => 'code']);
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        $code = Secret::query()->findOrFail(AuthCode::query()->findOrFail($name->id)->secret_id)->value;
        self::assertMatchesRegularExpression('/^[\w-]{24}$/', $code);
        $everything = (string) json_encode([
            DB::table('secrets')->get(),
            DB::table('orders')->get(),
            DB::table('log')->get(),
            DB::table('docket_lines')->get(),
            DB::table('proofs')->get(),
            DB::table('gate_messages')->get(),
        ]);
        self::assertStringNotContainsString($code, $everything);
        $this->actingAs($this->house->steward)
            ->get("/names/{$name->ascii}")
            ->assertSee('Stored on')
            ->assertDontSee($code);
        $this->post("/names/{$name->ascii}/code", ['own_password' => 'wrong'])->assertSessionHasErrors('own_password');
        $this->post("/names/{$name->ascii}/code", ['own_password' => House::PASSWORD])
            ->assertOk()
            ->assertSee($code)
            ->assertHeader('Cache-Control', 'no-store, private');
        self::assertSame(1, DB::table('log')->where('event', 'code_shown')->count());
        $this->actingAs($this->house->clerk)
            ->post("/names/{$name->ascii}/code", ['own_password' => House::PASSWORD])
            ->assertForbidden();
    }

    public function test_a_code_under_a_lock_is_refused_and_one_of_a_tagged_name_never_asked_for(): void
    {
        $name = $this->registered(['clientTransferProhibited']);
        $this->settled('request_code', $name, ['what' => 'code']);
        self::assertSame('The lock is on.', $this->order($name)->answer);
        self::assertNull(AuthCode::query()->find($name->id));
        $tagged = $this->house->name('bell.co.uk', $this->giver);
        $this->actingAs($this->house->steward)
            ->get("/deeds/request_code?name={$tagged->ascii}")
            ->assertOk()
            ->assertSee('are transferred without an auth code');
    }

    public function test_a_code_that_a_person_was_told_is_written_down_and_forgotten(): void
    {
        $name = $this->house->name('bell.com');
        $this->actingAs($this->house->steward)
            ->post("/names/{$name->ascii}/code/kept", ['code' => 'a b'])
            ->assertSessionHasErrors('code');
        $this->post("/names/{$name->ascii}/code/kept", ['code' => 'Tern-0451!'])->assertSessionHas('told');
        $this->post("/names/{$name->ascii}/code/kept", ['code' => 'Tern-0452!']);
        self::assertSame(
            ['Tern-0452!'],
            Secret::query()->where('kind', 'auth_code')->get()->map(fn (Secret $secret): string => $secret->value)->all(),
            'the one before is gone',
        );
        $this->post("/names/{$name->ascii}/code/kept", ['code' => '']);
        self::assertSame([0, 0], [AuthCode::query()->count(), Secret::query()->where('kind', 'auth_code')->count()]);
        $this->post("/names/{$name->ascii}/code", ['own_password' => House::PASSWORD])->assertRedirect();
    }
}
