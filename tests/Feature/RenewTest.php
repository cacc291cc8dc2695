<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\EndLines;
use App\Actions\Money\AskAutoRenew;
use App\Jobs\WorkGate;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Price;
use App\Models\Registrar;
use App\Models\Registration;
use App\Models\RenewSetting;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Names renewed at three registrars: by wire, by bridge, and by slip. A .com costs 9.90 there, without tax. */
#[Group('world')]
final class RenewTest extends TestCase
{
    use ThreeAccounts;

    public function test_forty_names_of_three_accounts_in_one_deed(): void
    {
        foreach ([$this->wire, $this->bridge] as $account) {
            app()->call([new WorkGate($account->id), 'handle']);
        }
        self::assertSame('170.00', $this->left($this->wire), 'both say what they hold');
        $names = [
            ...array_map(fn (): Name => $this->held($this->wire), range(1, 15)),
            ...array_map(fn (): Name => $this->held($this->bridge), range(1, 15)),
            ...array_map(fn (): Name => $this->house->name('rs-'.self::$trials++.'-'.getmypid().'.com', $this->slip), range(1, 10)),
        ];
        $address = '/deeds/renew?name='.implode(',', array_map(fn (Name $name): string => $name->ascii, $names));
        $this->get($address)
            ->assertSee('40 of 40 can go now')
            ->assertSee('Costs £396.00 with tax')
            ->assertSeeInOrder([$this->wire->number, '15', '£148.50', '£170.00', '£21.50'])
            ->assertSeeInOrder([$this->slip->number, '10', '£99.00', 'not known', 'not known'])
            ->assertSee('can’t be undone');
        $this->pressAs($this->house->steward, $address)->assertRedirect();
        $docket = Docket::query()->sole();
        foreach ([$this->wire, $this->bridge] as $account) {
            app()->call([new WorkGate($account->id), 'handle']);
        }
        self::assertSame(30, DocketLine::query()->where('state', LineState::Done)->count());
        $this->get("/dockets/{$docket->id}")
            ->assertOk()
            ->assertSee('Renew these names')
            ->assertSee('Costs £396.00 with tax.')
            ->assertSee('£99.00');
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertSame(
            ['2028-11-02' => 40],
            Registration::query()->get()->countBy(fn (Registration $one): string => (string) $one->ends_on?->date())->all(),
        );
        self::assertSame([null], DocketLine::query()->distinct()->pluck('reason')->all(), 'nothing came out other than agreed');
        self::assertSame(
            ['answer' => [30, '-297.00'], 'docket' => [10, '-99.00']],
            array_column(
                array_map(
                    fn (Row $row): array => [$row->text('source'), [$row->int('lines'), $row->text('sum')]],
                    Row::all(DB::select(
                        'SELECT source, count(*) AS lines, sum(amount) AS sum FROM ledger GROUP BY source ORDER BY source',
                    )),
                ),
                1,
                0,
            ),
        );
        self::assertSame(['21.50', '21.50'], [$this->left($this->wire), $this->left($this->bridge)]);
        $heard = fn (Account $account, string $what): int => array_count_values($this->world->heard($account->number))[$what] ?? 0;
        self::assertSame([15, 15], [$heard($this->wire, 'renew 1000'), $heard($this->bridge, 'renew 200')]);
        $this->get("/accounts/{$this->wire->id}/money")->assertSee('£21.50')->assertSee('−£9.90')->assertSee("docket {$docket->id}");
    }

    public function test_what_the_registrar_has_set_otherwise_than_meant_is_found_and_set(): void
    {
        foreach ([$this->wire, $this->bridge] as $account) {
            $meant = fn (Intent $intent, bool $is): Name => $this->held(
                $account,
                ['autoRenew' => $is, 'ends' => Instant::of('2026-10-20')->epoch],
                ['ends_on' => Instant::of('2026-10-20'), 'intent' => $intent],
            );
            $kept = $meant(Intent::ByItself, true);
            $dropped = $meant(Intent::ByItself, false);
            $unwanted = $meant(Intent::AskClient, true);
            $elsewhere = $this->house->name(
                'elsewhere-'.self::$trials++.'-'.getmypid().'.com',
                $account,
                facts: ['ends_on' => Instant::of('2026-10-20'), 'intent' => Intent::ByItself],
            );
            $far = $this->held($account, ['autoRenew' => true]);
            $this->get('/rounds')->assertDontSee("set to at {$account->registrar->name} {$account->number}");
            $this->work($account);
            self::assertSame(
                [$kept->id => true, $dropped->id => false, $unwanted->id => true, $elsewhere->id => null],
                $this->set([$kept, $dropped, $unwanted, $elsewhere, $far]),
            );
            $where = "{$account->registrar->name} {$account->number}";
            $this->get('/rounds')
                ->assertSeeInOrder([$dropped->ascii, "meant to auto-renew, but not set to at {$where}"])
                ->assertSeeInOrder([$unwanted->ascii, "not meant to auto-renew, but set to at {$where}", 'Turn off auto-renew'])
                ->assertSee("/deeds/change_auto_renew?renews=off&amp;name={$unwanted->ascii}", false);
            $this->get("/names/{$unwanted->ascii}")->assertSee('auto-renew is on at the registrar, seen 6 Oct 2026');
            // Asked once a day.
            $asked = fn (): array => array_filter(
                $this->world->heard($account->number),
                fn (string $one): bool => str_starts_with($one, 'info'),
            );
            $before = $asked();
            $this->work($account);
            self::assertSame($before, $asked());

            $this->pressAs($this->house->steward, "/deeds/change_auto_renew?name={$unwanted->ascii}&renews=off");
            $this->get('/rounds')->assertDontSee("not meant to auto-renew, but set to at {$where}");
            $this->work($account);
            $this->pressAs($this->house->steward, "/deeds/change_auto_renew?renews=on&name={$dropped->ascii}");
            $this->work($account);
            self::assertSame([$dropped->id => true, $unwanted->id => false], $this->set([$dropped, $unwanted]));
            $this->get('/rounds')->assertDontSee("set to at {$where}");
            self::assertSame(Intent::AskClient, Registration::query()->where('name_id', $unwanted->id)->sole()->intent);
        }
    }

    #[TestWith(['the gate'])]
    #[TestWith(['the bridge'])]
    public function test_one_that_is_not_answered_about_auto_renew_keeps_no_other_waiting(string $place): void
    {
        $account = $place === 'the gate' ? $this->wire : $this->bridge;
        $names = array_map(
            fn (int $day): Name => $this->held($account, ['autoRenew' => true], ['ends_on' => Instant::day(2026, 10, $day)]),
            [20, 21, 22],
        );
        $first = array_shift($names);
        $this->world->weather('the connection closes before the answer', 1, $place);
        app(AskAutoRenew::class)->handle($account->id);
        self::assertSame(
            [$first->id => null, $names[0]->id => true, $names[1]->id => true],
            $this->set([$first, ...$names]),
        );
        app(AskAutoRenew::class)->handle($account->id);
        self::assertNull($this->set([$first])[$first->id], 'asked once a day');
        app(TradeClock::class)->set(Instant::of('2026-10-07T09:00:00Z'));
        app(AskAutoRenew::class)->handle($account->id);
        self::assertSame([$first->id => true], $this->set([$first]));
        // What was said is not forgotten where nothing comes the next day.
        app(TradeClock::class)->set(Instant::of('2026-10-08T09:00:00Z'));
        $this->world->weather('the connection closes before the answer', 1, $place);
        app(AskAutoRenew::class)->handle($account->id);
        self::assertSame([$first->id => true], $this->set([$first]));
        self::assertSame('2026-10-07', RenewSetting::query()->findOrFail($first->id)->said_at?->date());
    }

    public function test_who_answers_nothing_is_left_alone_after_three_questions(): void
    {
        foreach (range(1, 5) as $day) {
            $this->held($this->bridge, ['autoRenew' => true], ['ends_on' => Instant::day(2026, 10, 20 + $day)]);
        }
        $this->world->weather('the connection closes before the answer', 5, 'the bridge');
        app(AskAutoRenew::class)->handle($this->bridge->id);
        self::assertSame(3, RenewSetting::query()->count());
        // Two more are not answered, and then one is.
        app(AskAutoRenew::class)->handle($this->bridge->id);
        self::assertSame([5, 0], [RenewSetting::query()->count(), RenewSetting::query()->whereNotNull('renews')->count()]);
    }

    public function test_a_renewal_whose_answer_was_lost_is_found_and_paid_once(): void
    {
        foreach ([$this->wire, $this->bridge] as $account) {
            $name = $this->held($account);
            $place = $account === $this->wire ? 'the gate' : 'the bridge';
            $this->world->weather('the connection closes before the answer', 1, $place);
            $this->pressAs($this->house->steward, "/deeds/renew?name={$name->ascii}&years=2");
            $order = Order::query()->where('name_id', $name->id)->sole();
            self::assertSame(OrderState::Sent, $order->refresh()->state, $place);
            $this->world->weather('fair', 0, $place);
            $this->again($account);
            self::assertSame(OrderState::Done, $order->refresh()->state, $place);
            self::assertSame('2029-11-02', $this->ends($name), 'two years, and not four');
            $this->work($account);
            self::assertSame('150.20', $this->left($account), $place);
            self::assertSame(1, DB::table('ledger')->where('name_id', $name->id)->count());
        }
    }

    public function test_the_end_guards_against_a_renewal_that_we_don_t_know_of(): void
    {
        // Somebody has renewed it at the registrar's page.
        $name = $this->held($this->wire, ['ends' => Instant::of('2028-11-02')->epoch]);
        $this->pressAs($this->house->steward, "/deeds/renew?name={$name->ascii}");
        $line = DocketLine::query()->sole();
        self::assertSame(LineState::Refused, $line->state);
        self::assertStringContainsString('2028-11-02', (string) $line->reason);
        self::assertSame('2027-11-02', $this->ends($name));
        self::assertSame(0, DB::table('ledger')->count(), 'nothing was charged');
    }

    public function test_a_registrar_that_asks_for_more_than_was_agreed_renews_nothing(): void
    {
        Price::query()->where('registrar_id', $this->house->skerry->id)->update(['amount' => '9.50']);
        $name = $this->held($this->wire);
        $this->pressAs($this->house->steward, "/deeds/renew?name={$name->ascii}");
        self::assertSame(LineState::Refused, DocketLine::query()->sole()->state);
        self::assertStringContainsString('9.90', (string) DocketLine::query()->sole()->reason);
        self::assertSame(0, DB::table('ledger')->count());
    }

    /** What a registrar says it charged is before tax; what is entered is what was paid. */
    public function test_a_registrar_that_asks_for_less_is_entered_with_its_tax(): void
    {
        Price::query()->update(['amount' => '12.00', 'tax_percent' => '20']);
        foreach ([$this->wire, $this->bridge] as $account) {
            $name = $this->held($account);
            $this->pressAs($this->house->steward, "/deeds/renew?name={$name->ascii}")->assertRedirect();
            $this->work($account);
            self::assertSame(
                '-11.88',
                DB::table('ledger')->where('account_id', $account->id)->where('kind', 'renew')->value('amount'),
                $account->number,
            );
            self::assertSame([LineState::Done, null], DocketLine::query()
                ->where('name_id', $name->id)
                ->get()
                ->map(fn (DocketLine $line): array => [$line->state, $line->reason])
                ->sole());
        }
    }

    public function test_a_price_that_changed_after_the_page_is_asked_again(): void
    {
        $name = $this->held($this->wire);
        $address = "/deeds/renew?name={$name->ascii}";
        $page = (string) $this->get($address)->getContent();
        preg_match('/name="shown"\s+value="([^"]+)"/', $page, $shown);
        Price::query()->where('registrar_id', $this->house->skerry->id)->update(['amount' => '11.00']);
        $this->post('/deeds/renew', [
            'name' => $name->ascii,
            'years' => '1',
            'token' => House::token(),
            'shown' => html_entity_decode($shown[1] ?? ''),
            'act' => 'settle',
        ])->assertSessionHasErrors([
            'deed' => 'A price has changed since this page was loaded. Nothing was ordered. Check the page and try again.',
        ]);
        self::assertSame(0, Docket::query()->count());
        // And one that changed between preparing and settling stops the line.
        $this->pressAs($this->house->clerk, $address, 'prepare');
        Price::query()->where('registrar_id', $this->house->skerry->id)->update(['amount' => '12.00']);
        $this->actingAs($this->house->steward)->post('/dockets/'.Docket::query()->sole()->id.'/settle');
        $line = DocketLine::query()->sole();
        self::assertSame(LineState::Stopped, $line->state);
        self::assertStringContainsString('price has changed', (string) $line->reason);
        self::assertSame(0, Order::query()->count());
    }

    public function test_two_deeds_never_spend_the_same_money(): void
    {
        $this->work($this->wire);
        DB::insert(
            "INSERT INTO balances (account_id, amount, currency, said_on, source, said_by)
                VALUES (?, 25, 'GBP', '2026-10-06T09:30:00Z', 'hand', ?)",
            [$this->wire->id, $this->house->steward->id],
        );
        [$one, $two, $three] = [$this->held($this->wire), $this->held($this->wire), $this->held($this->wire)];
        $list = implode(',', [$one->ascii, $two->ascii, $three->ascii]);
        $this->get("/deeds/renew?name={$list}")->assertSee('2 of 3 can go now')->assertSee('has £4.70 too little');
        // What is ordered and not charged yet is spent.
        DB::update("UPDATE accounts SET gate_for = 'another' WHERE id = ?", [$this->wire->id]);
        $this->pressAs($this->house->steward, "/deeds/renew?name={$one->ascii},{$two->ascii}");
        self::assertSame([LineState::Begun->value], DocketLine::query()->distinct()->toBase()->pluck('state')->all());
        self::assertSame('5.20', $this->left($this->wire));
        $this->get("/deeds/renew?name={$three->ascii}")->assertSee('0 of 1 can go now')->assertSee('has £4.70 too little');
        $this->get("/accounts/{$this->wire->id}/money")->assertSee('£19.80 of it is ordered and not charged yet.');
    }

    public function test_a_tick_that_was_wrong_is_taken_back_with_its_charge(): void
    {
        $name = $this->house->name('wrong-tick-'.getmypid().'.com', $this->slip);
        $this->pressAs($this->house->steward, "/deeds/renew?name={$name->ascii}&years=3");
        $docket = Docket::query()->sole();
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        self::assertSame('2030-11-02', $this->ends($name));
        $this->pressAs($this->house->steward, "/deeds/undo_docket?docket={$docket->id}&name={$name->ascii}");
        self::assertSame('2027-11-02', $this->ends($name));
        self::assertSame(['-29.70', '29.70'], DB::table('ledger')->orderBy('id')->pluck('amount')->all());
    }

    public function test_another_end_than_was_worked_out_is_recorded_and_said(): void
    {
        // Its registry counts from another hour: the day after, as we see it.
        $name = $this->held($this->wire, ['ends' => Instant::of('2027-11-02T23:30:00Z')->epoch]);
        $this->registration($name)->update(['created_on' => Instant::of('2020-02-29'), 'ends_on' => Instant::of('2027-11-02')]);
        $this->pressAs($this->house->steward, "/deeds/renew?name={$name->ascii}");
        self::assertSame(['2028-11-02', null], [$this->ends($name), DocketLine::query()->sole()->reason]);
        $leap = $this->held($this->wire, ['ends' => Instant::of('2027-02-28')->epoch]);
        $this->registration($leap)->update(['created_on' => Instant::of('2020-02-29'), 'ends_on' => Instant::of('2027-02-28')]);
        $this->pressAs($this->house->steward, "/deeds/renew?name={$leap->ascii}");
        // This registrar's registry stays on the 28th.
        self::assertSame('2028-02-28', $this->ends($leap));
        $line = DocketLine::query()->where('name_id', $leap->id)->sole();
        self::assertSame(LineState::Done, $line->state);
        self::assertStringContainsString('not on 29 Feb 2028', (string) $line->reason);
        $this->get("/dockets/{$line->docket_id}")->assertSee('not on 29 Feb 2028');
    }

    /**
     * @param  list<Name>  $names
     * @return array<int, bool|null> by name
     *
     * @phpstan-impure
     */
    private function set(array $names): array
    {
        return RenewSetting::query()
            ->whereKey(array_map(fn (Name $name): int => $name->id, $names))
            ->orderBy('name_id')
            ->get()
            ->mapWithKeys(fn (RenewSetting $one): array => [$one->name_id => $one->renews])
            ->all();
    }
}
