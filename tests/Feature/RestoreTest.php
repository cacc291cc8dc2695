<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Deeds\EndLines;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Price;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Deleted names restored at three registrars (RFC 3915). A restore costs 86.00 there, without tax. */
#[Group('world')]
final class RestoreTest extends TestCase
{
    use ThreeAccounts;

    /**
     * It ended on 20 August and was deleted on 1 October.
     *
     * @param  array<string, mixed>  $otherwise  at its registry
     */
    private function deleted(Account $account, array $otherwise = []): Name
    {
        $this->priced($account, '86.00');
        $facts = [
            'ends_on' => Instant::of('2026-08-20'),
            'statuses' => ['redemptionPeriod', 'pendingDelete'],
            'deleted_since' => Instant::of('2026-10-01'),
            'intent' => Intent::WhenTold,
        ];

        return $account->is($this->slip)
            ? $this->house->name('restored-'.self::$trials++.'-'.getmypid().'.com', $account, facts: $facts)
            : $this->held(
                $account,
                $otherwise + [
                    'ends' => Instant::of('2026-08-20')->epoch,
                    'statuses' => ['redemptionPeriod', 'pendingDelete'],
                    'stage' => Instant::of('2026-10-01')->epoch,
                    'due' => Instant::of('2099-10-31')->epoch,
                ],
                $facts,
            );
    }

    private function priced(Account $account, string $amount): void
    {
        Price::query()->updateOrCreate(
            ['registrar_id' => $account->registrar_id, 'suffix' => 'com', 'action' => 'restore'],
            ['amount' => $amount, 'currency' => 'GBP', 'span' => Span::since(Instant::of('2020-01-01'))],
        );
    }

    public function test_three_names_of_three_accounts_in_one_deed(): void
    {
        $names = [$this->deleted($this->wire), $this->deleted($this->bridge), $this->deleted($this->slip)];
        foreach ([$this->wire, $this->bridge] as $account) {
            $this->work($account);
        }
        $this->get("/names/{$names[0]->ascii}")
            ->assertSee('Only after a restore')
            ->assertSee("/deeds/restore?name={$names[0]->ascii}", false);
        $this->get("/deeds/renew?name={$names[0]->ascii}")
            ->assertSee('It is deleted: a renewal counts only after it is restored')
            ->assertSee("/deeds/restore?name={$names[0]->ascii}", false);
        $this->get('/rounds')->assertSee("/deeds/restore?name={$names[0]->ascii}", false);
        $address = '/deeds/restore?reason=money&name='.implode(',', array_map(fn (Name $name): string => $name->ascii, $names));
        $this->get($address)
            ->assertSee('3 of 3 can go now')
            ->assertSee('Costs £258.00 with tax')
            ->assertSee('It can be restored until 31 Oct, then it is lost')
            ->assertSee('Pellbridge may charge the year on top of the restore')
            ->assertDontSee('Skerry may charge')
            ->assertSeeInOrder([$this->wire->number, '£86.00', '£170.00', '£84.00']);
        $this->pressAs($this->house->steward, $address)->assertRedirect();
        foreach ([$this->wire, $this->bridge] as $account) {
            $this->work($account);
        }
        self::assertSame(2, DocketLine::query()->where('state', LineState::Done)->count());
        $docket = Docket::query()->sole();
        $this->get("/dockets/{$docket->id}")
            ->assertSee('Restore these names, with the reason for the registry')
            ->assertSee('The renewal could not be paid in time; the registrant wants to keep the name.')
            ->assertSee('£86.00');
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        foreach ($names as $name) {
            $registration = $this->registration($name);
            self::assertSame(['2027-08-20', [], null], [
                $registration->ends_on?->date(),
                $registration->statuses,
                $registration->deleted_since,
            ], $name->ascii);
        }
        self::assertSame(['restore' => '-258.00'], DB::table('ledger')
            ->groupBy('kind')
            ->selectRaw('kind, sum(amount) AS sum')
            ->pluck('sum', 'kind')
            ->all());
        self::assertSame(['84.00', '84.00'], [$this->left($this->wire), $this->left($this->bridge)]);
        $heard = array_count_values($this->world->heard($this->wire->number));
        self::assertSame(2, $heard['update 1000'] ?? 0, 'the request and the report');
        $this->get("/names/{$names[0]->ascii}")->assertDontSee('Only after a restore')->assertSee('Renew');
    }

    /**
     * The name is asked for, the request is paid, the name is asked for again, the report keeps it, and it is asked for once more: whatever
     * answer is lost, neither is sent twice to an end, and none is left out.
     */
    #[TestWith(['the connection closes before the answer'])]
    #[TestWith(['garbage comes instead of the answer'])]
    public function test_a_restore_of_which_an_answer_was_lost_is_ended_and_paid_once(string $weather): void
    {
        $this->wire = $this->account('RL-'.self::$trials++.'-'.getmypid(), $this->house->skerry, 'skerry', 10 * 86_00);
        foreach (range(0, 4) as $fair) {
            $name = $this->deleted($this->wire);
            $this->world->weather($weather, 1, after: $fair);
            $this->pressAs($this->house->steward, "/deeds/restore?name={$name->ascii}");
            $order = Order::query()->where('name_id', $name->id)->sole();
            self::assertSame(OrderState::Sent, $order->state, "after {$fair}");
            $this->again($this->wire);
            self::assertSame(OrderState::Done, $order->refresh()->state, "after {$fair}");
            self::assertSame('2027-08-20', $this->registration($name)->ends_on?->date());
            self::assertSame(1, DB::table('ledger')->where('name_id', $name->id)->where('amount', '-86.00')->count());
        }
        // What it holds is asked once a day.
        app(TradeClock::class)->set(Instant::of('2026-10-07T09:00:00Z'));
        $this->wire->update(['entries_asked_on' => '2026-10-07']);
        $this->work($this->wire);
        self::assertSame('430.00', $this->left($this->wire), 'each was paid once');
    }

    public function test_a_report_that_is_not_taken_is_said(): void
    {
        $name = $this->deleted($this->wire);
        $this->world->weather('its disk is full', 1, after: 3);
        $this->pressAs($this->house->steward, "/deeds/restore?name={$name->ascii}");
        self::assertSame(LineState::Begun, DocketLine::query()->sole()->state, 'tried again');
        $this->again($this->wire);
        self::assertSame(LineState::Done, DocketLine::query()->sole()->state);
        $this->work($this->wire);
        self::assertSame('84.00', $this->left($this->wire));
    }

    public function test_what_is_not_deleted_is_not_restored(): void
    {
        $this->priced($this->wire, '86.00');
        $name = $this->held($this->wire);
        $this->get("/deeds/restore?name={$name->ascii}")
            ->assertSee('0 of 1 can go now')
            ->assertSee('It is not deleted: there is nothing to restore')
            ->assertSee("/deeds/renew?name={$name->ascii}", false);
        // Our record says that it is, and its registry knows better.
        $kept = $this->deleted($this->wire, ['statuses' => [], 'ends' => Instant::of('2027-08-20')->epoch]);
        $this->pressAs($this->house->steward, "/deeds/restore?name={$kept->ascii}");
        self::assertSame(LineState::Refused, DocketLine::query()->sole()->state);
        self::assertSame(OrderState::Refused, Order::query()->sole()->state);
        self::assertSame(0, DB::table('ledger')->count());
    }

    public function test_a_registrar_that_asks_for_more_than_was_agreed_restores_nothing(): void
    {
        foreach ([$this->wire, $this->bridge] as $account) {
            $name = $this->deleted($account);
            $this->priced($account, '80.00');
            $this->pressAs($this->house->steward, "/deeds/restore?name={$name->ascii}");
            $line = DocketLine::query()->where('name_id', $name->id)->sole();
            self::assertSame(LineState::Refused, $line->state);
            self::assertStringContainsString('86.00', (string) $line->reason);
            self::assertSame(['redemptionPeriod', 'pendingDelete'], $this->registration($name)->statuses);
        }
        self::assertSame(0, DB::table('ledger')->count());
    }

    public function test_a_tick_that_was_wrong_is_taken_back(): void
    {
        $name = $this->deleted($this->slip);
        $this->pressAs($this->house->steward, "/deeds/restore?name={$name->ascii}");
        $docket = Docket::query()->sole();
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        self::assertSame([], $this->registration($name)->statuses);
        $this->pressAs($this->house->steward, "/deeds/undo_docket?docket={$docket->id}&name={$name->ascii}");
        $registration = $this->registration($name);
        self::assertSame(['2026-08-20', ['redemptionPeriod', 'pendingDelete'], '2026-10-01'], [
            $registration->ends_on?->date(),
            $registration->statuses,
            $registration->deleted_since?->date(),
        ]);
        self::assertSame(['-86.00', '86.00'], DB::table('ledger')->orderBy('id')->pluck('amount')->all());
    }
}
