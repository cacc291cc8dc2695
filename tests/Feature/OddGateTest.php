<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Wire\Epp\EppNamespace;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Gates\SetGatePassword;
use App\Actions\Orders\ReceiveMessages;
use App\Actions\Orders\SendOrders;
use App\Jobs\WorkGate;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Registration;
use App\Models\Setback;
use App\Outside\Registrar\Gates;
use App\Providers\OutsideServiceProvider;
use App\Queries\Rounds\ReadRounds;
use App\Queries\Rounds\RoundsItem;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use RuntimeException;
use Tests\TestCase;

/** Whatever a registrar says of one name, or fails to say, costs that name or that message: its neighbours do not notice. */
#[Group('world')]
final class OddGateTest extends TestCase
{
    use Scripted;

    private const EPP = '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0">';

    private const DOMAIN = 'xmlns:domain="urn:ietf:params:xml:ns:domain-1.0"';

    private House $house;

    private string $script;

    /** @var array<string, Name> by ascii */
    private array $names = [];

    protected function setUp(): void
    {
        parent::setUp();
        Queue::fake();
        $this->script = (string) tempnam(sys_get_temp_dir(), 'said');
        $this->says();
        [$port] = self::ports(1);
        $this->starts('odd-gate.php', (string) $port, $this->script);
        config(['outside.hosts' => ['epp.skerry.example' => "127.0.0.1:{$port}"], 'outside.gate_seconds' => 0.5]);
        $this->app->register(OutsideServiceProvider::class, true);
        $this->app->forgetInstance(Gates::class);
        Cache::flush();
        $this->house = new House();
        $this->house->skerry->update(['link' => 'wire', 'gate' => 'epp.skerry.example:700']);
        app(SetGatePassword::class)->handle($this->house->steward, $this->house->ours, 'seven gulls');
    }

    protected function tearDown(): void
    {
        unlink($this->script);
        parent::tearDown();
    }

    /**
     * @param  array<string, list<string>>  $rules
     * @param  list<string>  $queue
     */
    private function says(array $rules = [], array $queue = []): void
    {
        $greeting =
            self::EPP.
            '<greeting><svID>A gate</svID><svDate>2026-10-06T09:00:00.0Z</svDate><svcMenu><version>1.0</version><lang>en</lang>'
                .'<objURI>urn:ietf:params:xml:ns:domain-1.0</objURI></svcMenu><dcp><access><all/></access><statement><purpose><prov/>'
                .'</purpose><recipient><ours/></recipient><retention><stated/></retention></statement></dcp></greeting></epp>';
        file_put_contents(
            $this->script,
            json_encode(
                [
                    'greeting' => $greeting,
                    'otherwise' => self::answer(1000),
                    'empty' => self::answer(1300),
                    'rules' => $rules,
                    'queue' => $queue,
                ],
                JSON_THROW_ON_ERROR,
            ),
        );
    }

    private static function answer(int $code, string $beside = '', string $words = 'Said'): string
    {
        return self::EPP.
            "<response><result code=\"{$code}\"><msg>{$words}</msg></result>{$beside}<trID><clTRID>{client}</clTRID><svTRID>S-1</svTRID>"
                .'</trID></response></epp>';
    }

    private static function waiting(
        string $id,
        string $data = '',
        string $date = '2026-10-06T08:00:00Z',
        string $words = 'Something',
    ): string {
        return self::answer(
            1301,
            "<msgQ count=\"{count}\" id=\"{$id}\"><qDate>{$date}</qDate><msg>{$words}</msg></msgQ>".
                ($data === '' ? '' : "<resData>{$data}</resData>"),
        );
    }

    /**
     * A deed done to so many names, with its orders recorded and not told yet.
     *
     * @param  array<string, mixed>  $terms
     */
    private function orders(int $many, string $deed = 'change_lock', array $terms = ['lock' => 'on']): void
    {
        $ids = [];
        for ($at = 1; $at <= $many; $at++) {
            $name = $this->house->name("bell-{$at}.com");
            $this->names[$name->ascii] = $name;
            $ids[] = $name->id;
        }
        $docket = app(PrepareDocket::class)->handle($this->house->steward, House::token(), $deed, $ids, $terms, $ids);
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        app(BeginDocketLines::class)->handle($docket->id);
        self::assertSame($many, Order::query()->where('state', OrderState::Waiting)->count());
    }

    private function tell(): void
    {
        Cache::flush();
        while (app(SendOrders::class)->handle($this->house->ours->id)) {
            continue;
        }
    }

    private function timePasses(): void
    {
        DB::update("UPDATE orders SET not_before = clock_timestamp() WHERE state IN ('waiting', 'sent')");
        DB::update('UPDATE setbacks SET retry_at = clock_timestamp()');
    }

    /** Something goes wrong whenever a statement that begins so is given that value. */
    private function breaks(string $begins, int|string $value, callable $how): void
    {
        DB::listen(function (QueryExecuted $query) use ($begins, $value, $how): void {
            $isMeant = fn (mixed $given): bool => $given === $value ||
                (is_string($value) && is_string($given) && str_starts_with($given, $value));
            if (str_starts_with($query->sql, $begins) && array_filter($query->bindings, $isMeant) !== []) {
                $how();
            }
        });
    }

    /** @return array<string, string> by name */
    private function states(): array
    {
        $states = [];
        foreach (Order::query()->with('name')->orderBy('id')->get() as $order) {
            $states[$order->name->ascii] = $order->state->value;
        }

        return $states;
    }

    /** @return list<string> those of Rounds that speak of work set aside */
    private function rounds(string $kind = 'stopped'): array
    {
        $items = array_filter(
            app(ReadRounds::class)->handle(app(TradeClock::class)->today(), null)->items,
            fn (RoundsItem $item): bool => str_starts_with($item->key, "{$kind}:"),
        );

        return array_values(array_map(fn (RoundsItem $item): string => $item->says, $items));
    }

    /** @param  list<string>  $answers */
    #[TestWith([[]], 'silence')]
    #[TestWith([['<epp>no']], 'what is no XML')]
    #[TestWith(
        [
            [
                '<epp xmlns="urn:ietf:params:xml:ns:epp-1.0"><response><result '
                    .'code="7"><msg>Odd</msg></result><trID><clTRID>{client}</clTRID><svTRID>S</svTRID></trID></response></epp>',
            ],
        ],
        'a code of no RFC',
    )]
    #[TestWith([["\xff\xfe"]], 'no UTF-8')]
    public function test_one_name_that_gets_no_answer_before_seven_others(array $answers): void
    {
        $this->orders(8);
        $this->says(['bell-1.com' => array_map(mb_scrub(...), $answers)]);
        $this->tell();
        $this->timePasses();
        $this->tell();
        self::assertSame(['bell-1.com' => 'sent'] + array_fill_keys(array_keys($this->names), 'done'), $this->states());
        self::assertSame([1, $this->names['bell-1.com']->id], [Setback::query()->count(), Setback::query()->sole()->name_id]);
        self::assertSame(['one order got no answer, or one that could not be used'], $this->rounds());
        $this->actingAs($this->house->owner)
            ->get("/accounts/{$this->house->ours->id}")
            ->assertSee('Failed work')
            ->assertSee('bell-1.com')
            ->assertSee('next attempt')
            ->assertSee('Try again');
        $this->get('/failed-work')->assertSee('bell-1.com')->assertSee('epp.skerry.example');
        $this->post('/failed-work/'.Setback::query()->sole()->id)->assertRedirect('/failed-work');
        $this->says(['info' => [self::answer(2303)]]);
        // 2303: there is no such name, so that it is refused, and ends.
        $this->tell();
        self::assertSame('refused', $this->states()['bell-1.com']);
        self::assertSame([0, []], [Setback::query()->count(), $this->rounds()]);
    }

    public function test_its_wait_grows_and_two_silences_in_a_row_are_the_gates_own(): void
    {
        $this->orders(5);
        $this->says(['bell-1.com' => [], 'bell-2.com' => []]);
        $this->tell();
        self::assertSame(['sent', 'sent', 'waiting', 'waiting', 'waiting'], array_values($this->states()));
        $rest = fn (string $name): int => Row::of(
            DB::selectOne('SELECT extract(epoch FROM not_before - clock_timestamp())::int AS rest FROM orders WHERE name_id = ?', [
                $this->names[$name]->id,
            ]),
        )->int('rest');
        self::assertGreaterThan($rest('bell-3.com'), $rest('bell-1.com'), 'those that were not told come first');
        $first = $rest('bell-1.com');
        DB::update("UPDATE orders SET not_before = clock_timestamp() WHERE state = 'waiting'");
        $this->tell();
        self::assertSame(['sent', 'sent', 'done', 'done', 'done'], array_values($this->states()));
        $this->timePasses();
        $this->tell();
        self::assertGreaterThan($first, $rest('bell-1.com'));
    }

    public function test_a_gate_that_does_not_answer_stands_in_rounds_once(): void
    {
        $this->orders(3);
        Order::query()
            ->where('name_id', $this->names['bell-2.com']->id)
            ->update(['attempts' => 7]);
        $this->actingAs($this->house->owner)->get('/rounds')->assertDontSee('its registrar does not answer');
        Order::query()
            ->whereIn('name_id', [$this->names['bell-2.com']->id, $this->names['bell-3.com']->id])
            ->update(['attempts' => 8]);
        $this->get('/rounds')->assertSee('its registrar does not answer')->assertSee('3 orders are waiting');
        self::assertSame(['its registrar does not answer'], $this->rounds('away'), 'one thing, however many wait');
        $this->timePasses();
        $this->tell();
        $this->get('/rounds')->assertDontSee('its registrar does not answer');
    }

    public function test_an_info_that_cannot_be_read_while_an_outcome_is_asked_for(): void
    {
        $this->orders(3);
        Order::query()
            ->where('name_id', $this->names['bell-1.com']->id)
            ->update(['state' => OrderState::Sent, 'sent_at' => now()]);
        $half = '<resData><domain:infData '.self::DOMAIN.'><domain:name>bell-1.com</domain:name></domain:infData></resData>';
        $this->says(['info' => [self::answer(1000, $half)]]);
        $this->tell();
        self::assertSame(['sent', 'done', 'done'], array_values($this->states()));
        $whole =
            '<resData><domain:infData '.
            self::DOMAIN.
            '><domain:name>bell-1.com</domain:name><domain:roid>R-1</domain:roid><domain:status '
                .'s="clientTransferProhibited"/><domain:clID>40718</domain:clID><domain:crDate>yesterday</domain:crDate>'
                .'<domain:exDate>2027-11-02T00:00:00</domain:exDate></domain:infData></resData>';
        $this->says(['info' => [self::answer(1000, $whole)]]);
        $this->timePasses();
        $this->tell();
        self::assertSame(
            ['done', 'done', 'done'],
            array_values($this->states()),
            'instants without a zone are no reason not to read the rest',
        );
    }

    /** What goes wrong here, with an answer that was good, is set aside as well; the answers to others stand. */
    public function test_a_failure_of_our_own_with_one_answer_costs_that_one(): void
    {
        $this->orders(3);
        // A registration that can't be: the database itself says no.
        $id = Registration::query()->where('name_id', $this->names['bell-2.com']->id)->sole()->id;
        $this->breaks(
            'update "registrations"',
            $id,
            fn () => DB::update("UPDATE registrations SET lock = 'a secret value' WHERE id = ?", [$id]),
        );
        $this->tell();
        self::assertSame(['done', 'sent', 'done'], array_values($this->states()));
        $setback = Setback::query()->sole();
        self::assertStringStartsWith('The database refused it: ', $setback->error);
        self::assertStringNotContainsString('UPDATE', $setback->error);
        $this->actingAs($this->house->clerk)
            ->get("/accounts/{$this->house->ours->id}")
            ->assertSee('An Owner can read why')
            ->assertDontSee('The database refused it')
            ->assertDontSee('Try again');
        $this->post("/failed-work/{$setback->id}")->assertForbidden();
    }

    public function test_an_order_that_was_ended_meanwhile_is_not_sent_again(): void
    {
        $this->orders(2);
        Order::query()->update(['state' => OrderState::Sent, 'sent_at' => now()]);
        $this->says([
            'info' => [
                self::answer(
                    1000,
                    '<resData><domain:infData '.
                        self::DOMAIN.
                        '><domain:name>bell-1.com</domain:name><domain:roid>R-1</domain:roid><domain:status '
                            .'s="ok"/><domain:clID>40718</domain:clID></domain:infData></resData>',
                ),
            ],
        ]);
        // Called off in the very moment in which its outcome is asked for: it was not carried out.
        $calledOff = false;
        DB::listen(function (QueryExecuted $query) use (&$calledOff): void {
            if (! $calledOff && str_contains($query->sql, 'from "orders"') && str_contains($query->sql, 'not_before')) {
                $calledOff = true;
                DB::update("UPDATE orders SET state = 'called_off' WHERE name_id = ?", [$this->names['bell-1.com']->id]);
            }
        });
        $this->tell();
        self::assertSame(['called_off', 'done'], array_values($this->states()));
    }

    /** The step that was refused ends the line; the next one is never told, and what was switched off is switched on again. */
    public function test_a_refused_step_stops_the_steps_after_it(): void
    {
        $this->house->skerry->update(['lock_first' => true]);
        $name = $this->house->name('bell.com', facts: ['lock' => 'on']);
        $terms = $this->house->terms()->pack();
        $docket = app(PrepareDocket::class)->handle($this->house->steward, House::token(), 'hand_over', [$name->id], $terms, [$name->id]);
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        app(BeginDocketLines::class)->handle($docket->id);
        $this->says([
            'domain:update' => [self::answer(2304, words: 'Not today')],
            'domain:info' => [
                self::answer(
                    1000,
                    '<resData><domain:infData '.
                        self::DOMAIN.
                        '><domain:name>bell.com</domain:name><domain:roid>R-1</domain:roid><domain:status '
                            .'s="clientTransferProhibited"/><domain:clID>40718</domain:clID></domain:infData></resData>',
                ),
            ],
        ]);
        $this->tell();
        self::assertSame([LineState::Refused, 'Not today'], [$docket->lines()->sole()->state, $docket->lines()->sole()->reason]);
        self::assertSame(
            ['refused', 'called_off'],
            array_map(fn (Order $order): string => $order->state->value, Order::query()->orderBy('id')->get()->all()),
        );
        self::assertStringNotContainsString('handover', (string) $this->server?->getOutput());
    }

    /** @return list<string> what was kept of the messages, and whether it had its effect */
    private function kept(): array
    {
        return array_map(
            fn (Row $row): string => $row->text('message').
                ' '.
                ($row->textOrNull('name') ?? '-').
                ' '.
                ($row->textOrNull('kind') ?? '-').
                ' '.
                ($row->textOrNull('applied_at') === null ? 'waits' : 'applied'),
            Row::all(DB::select('SELECT m.*, n.ascii AS name FROM gate_messages m LEFT JOIN names n ON n.id = m.name_id ORDER BY m.id')),
        );
    }

    public function test_odd_messages_are_kept_as_they_came_and_let_go(): void
    {
        $name = $this->house->name('bell.com');
        DB::update("UPDATE observing SET due_at = '2099-01-01' WHERE name_id = ?", [$name->id]);
        $domain = self::DOMAIN;
        $this->says(
            queue: [
                self::waiting(
                    '1',
                    "<domain:trnData {$domain}><domain:name>bell.com</domain:name><domain:trStatus>pending</domain:trStatus>"
                        .'</domain:trnData>',
                ),
                self::waiting(
                    '2',
                    '<account:handoverData xmlns:account="'.
                        EppNamespace::Account->value.
                        '"><account:name>bell.com</account:name></account:handoverData>',
                ),
                self::waiting('3', date: '2026-10-06T08:00:00'),
                self::waiting('4', "<domain:panData {$domain}><domain:name paResult=\"1\">bell.com</domain:name></domain:panData>"),
                self::waiting('5', '<odd xmlns="urn:odd"><odd/></odd>', words: "two\u{2028}lines\u{202E}"),
                self::waiting(str_repeat('6', 2_000)),
                self::waiting(
                    '7',
                    "<domain:trnData {$domain}><domain:name>bell.com</domain:name><domain:trStatus>pending</domain:trStatus>"
                        .'<domain:reID>OTHER</domain:reID><domain:reDate>0000-01-01T00:00:00Z</domain:reDate>'
                        .'<domain:acID>SKERRY</domain:acID></domain:trnData>',
                    date: '0000-01-01T00:00:00Z',
                ),
            ],
        );
        app(ReceiveMessages::class)->handle($this->house->ours->id);
        self::assertSame(
            [
                '1 bell.com - applied',
                '2 bell.com - applied',
                '3 - - applied',
                '4 bell.com - applied',
                '5 - - applied',
                hash('sha256', str_repeat('6', 2_000)).' - - applied',
                '7 bell.com transfer applied',
            ],
            $this->kept(),
        );
        self::assertSame('two lines', Row::of(DB::table('gate_messages')->where('message', '5')->first())->text('text'));
        self::assertSame(
            '-infinity',
            DB::table('observing')->where('name_id', $name->id)->value('due_at'),
            'whatever is said of a name, its record is looked at',
        );
        self::assertSame(7, substr_count((string) $this->server?->getOutput(), 'op=\"ack\"'));
    }

    public function test_a_message_that_can_have_no_effect_stops_no_other(): void
    {
        foreach (['bell.com', 'quay.com'] as $name) {
            $this->names[$name] = $this->house->name($name);
        }
        $odd = ['odd'];
        $this->breaks('UPDATE observing', '{'.$this->names['bell.com']->id, function () use (&$odd): void {
            foreach ($odd as $said) {
                throw new RuntimeException($said);
            }
        });
        $transfer = fn (string $name): string => '<domain:trnData '.
            self::DOMAIN.
            "><domain:name>{$name}</domain:name><domain:trStatus>pending</domain:trStatus><domain:reID>OTHER</domain:reID>"
                .'<domain:reDate>2026-10-06T08:00:00Z</domain:reDate><domain:acID>SKERRY</domain:acID></domain:trnData>';
        $this->says(queue: [self::waiting('1', $transfer('bell.com')), self::waiting('2', $transfer('quay.com'))]);
        app(ReceiveMessages::class)->handle($this->house->ours->id);
        self::assertSame(['1 bell.com transfer waits', '2 quay.com transfer applied'], $this->kept());
        self::assertSame(['one message of the registrar could not be used'], $this->rounds());
        $odd = [];
        $this->timePasses();
        app(ReceiveMessages::class)->handle($this->house->ours->id);
        self::assertSame(['1 bell.com transfer applied', '2 quay.com transfer applied'], $this->kept());
        self::assertSame([], $this->rounds());
    }

    /** One that is acknowledged and comes all the same would be taken for ever. */
    public function test_a_message_that_is_never_let_go_ends_the_round(): void
    {
        $this->says(['poll' => [str_replace('{count}', '1', self::waiting('9'))]]);
        app(ReceiveMessages::class)->handle($this->house->ours->id);
        self::assertSame(['9 - - applied'], $this->kept());
        self::assertSame(2, substr_count((string) $this->server?->getOutput(), 'op=\"req\"'));
    }

    public function test_what_waits_at_a_gate_is_taken_whatever_became_of_what_is_told(): void
    {
        $this->says(queue: [self::waiting('1')]);
        DB::listen(function (QueryExecuted $query): void {
            if (str_contains($query->sql, 'pg_try_advisory_lock(7301')) {
                throw new RuntimeException('odd');
            }
        });
        try {
            app()->call([new WorkGate($this->house->ours->id), 'handle']);
            self::fail('It is said.');
        } catch (RuntimeException $e) {
            self::assertSame('odd', $e->getMessage());
        }
        self::assertSame(['1 - - applied'], $this->kept());
    }
}
