<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Money\AskEntries;
use App\Actions\Money\TakeCharge;
use App\Actions\Orders\ReceiveMessages;
use App\Actions\Orders\SendOrders;
use App\Models\Account;
use App\Models\Docket;
use App\Models\Order;
use App\Models\OrderState;
use App\Support\Dates;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What a registrar tells of an account's money by itself: its entries, and that it holds little. */
#[Group('world')]
final class EntriesTest extends TestCase
{
    use ThreeAccounts;

    /**
     * Both sides agree on what day it is, as they do wherever they are real.
     *
     * @return array{Account, string}
     */
    private function at(string $link): array
    {
        app(TradeClock::class)->set($this->now());
        Account::query()->update(['entries_asked_on' => null]);

        return $link === 'wire' ? [$this->wire, 'the gate'] : [$this->bridge, 'the bridge'];
    }

    private function now(): Instant
    {
        return $this->world->now() ?? self::fail('The world has no clock.');
    }

    /** @return list<string> */
    private function ledger(Account $account): array
    {
        return array_map(
            fn (Row $row): string => trim("{$row->text('source')} {$row->text('kind')} {$row->text('amount')} {$row->text('ascii')}"),
            Row::all(DB::select(
                "SELECT l.source, l.kind, l.amount, coalesce(n.ascii, '') AS ascii FROM ledger l LEFT JOIN names n ON n.id = l.name_id
                    WHERE l.account_id = ? ORDER BY l.id",
                [$account->id],
            )),
        );
    }

    #[TestWith(['wire'])]
    #[TestWith(['bridge'])]
    public function test_what_was_charged_there_is_entered_once(string $link): void
    {
        [$account] = $this->at($link);
        $this->world->payIn($account->number, '40.00');
        $ours = $this->held($account);
        $this->pressAs($this->house->steward, "/deeds/renew?name={$ours->ascii}");
        // In the same go it is asked what was entered: of the renewal the answer stands here already.
        self::assertSame(["answer renew -9.90 {$ours->ascii}", 'statement top_up 40.00'], $this->ledger($account));
        $this->work($account);
        app(AskEntries::class)->handle($account->id, isWanted: true);
        self::assertCount(2, $this->ledger($account));
        self::assertSame('200.10', $this->left($account));
        $this->get("/accounts/{$account->id}/money")
            ->assertSee("{$account->registrar->name} also tells us its entries each day, last on ".Dates::full($this->now()))
            ->assertSee('Paid in');
        // Once a day, and only what is new.
        $this->world->payIn($account->number, '5.00');
        $this->work($account);
        self::assertCount(2, $this->ledger($account));
        app(TradeClock::class)->set($this->now()->plusDays(1));
        $this->work($account);
        self::assertSame('statement top_up 5.00', $this->ledger($account)[2] ?? null);
    }

    #[TestWith(['wire'])]
    #[TestWith(['bridge'])]
    public function test_entries_that_come_before_the_answer_are_not_entered_again(string $link): void
    {
        [$account, $place] = $this->at($link);
        $name = $this->held($account);
        Queue::fake();
        $this->pressAs($this->house->steward, "/deeds/renew?name={$name->ascii}");
        app(BeginDocketLines::class)->handle(Docket::query()->sole()->id);
        $this->world->weather('the connection closes before the answer', 1, $place);
        app(SendOrders::class)->handle($account->id);
        self::assertSame(OrderState::Sent, Order::query()->sole()->state);
        app(AskEntries::class)->handle($account->id);
        self::assertSame(["statement renew -9.90 {$name->ascii}"], $this->ledger($account));
        $this->again($account);
        self::assertSame(OrderState::Done, Order::query()->sole()->state);
        self::assertSame(["statement renew -9.90 {$name->ascii}"], $this->ledger($account));
        self::assertSame('2028-11-02', $this->registration($name)->ends_on?->date());
    }

    public function test_a_message_that_comes_after_its_entry_is_not_entered_again(): void
    {
        $name = $this->house->name('charged-once.com', $this->wire);
        DB::insert(
            "INSERT INTO ledger (account_id, name_id, kind, amount, currency, charged_on, source, reference)
                VALUES (?, ?, 'renew', -9.90, 'GBP', '2026-10-05T08:00:00Z', 'statement', 'entry 7')",
            [$this->wire->id, $name->id],
        );
        $charged = fn (string $message, string $at, string $sum): Row => Row::of((object) [
            'name_id' => $name->id,
            'state' => 'charged',
            'said_at' => $at,
            'message' => $message,
            'told' => json_encode(['charged' => $sum, 'balance' => '5.00', 'currency' => 'GBP']),
        ]);
        app(TakeCharge::class)->handle($this->wire, $charged('1', '2026-10-05 08:00:00+00', '9.90'));
        self::assertCount(1, $this->ledger($this->wire));
        // Another sum, or another year, is another charge.
        app(TakeCharge::class)->handle($this->wire, $charged('2', '2026-10-05 08:00:00+00', '9.80'));
        app(TakeCharge::class)->handle($this->wire, $charged('3', '2026-10-13 08:00:00+00', '9.90'));
        self::assertCount(3, $this->ledger($this->wire));
    }

    #[TestWith(['wire'])]
    #[TestWith(['bridge'])]
    public function test_more_than_one_answer_holds_are_asked_one_after_the_other(string $link): void
    {
        [$account, $place] = $this->at($link);
        foreach (range(1, 120) as $time) {
            $this->world->payIn($account->number, sprintf('1.%02d', $time % 100));
        }
        // What is lost on the way is asked again, from where it stopped.
        $this->world->weather('the connection closes before the answer', 9, $place, after: 1);
        app(AskEntries::class)->handle($account->id);
        $this->world->weather('fair', 0, $place);
        self::assertCount(50, $this->ledger($account));
        self::assertNull($account->refresh()->entries_asked_on);
        app(AskEntries::class)->handle($account->id);
        self::assertCount(120, $this->ledger($account));
        self::assertSame($this->now()->date(), $account->refresh()->entries_asked_on);
    }

    #[TestWith(['wire'])]
    #[TestWith(['bridge'])]
    public function test_a_warning_that_it_holds_little_is_heard(string $link): void
    {
        [$account] = $this->at($link);
        $names = array_map(fn (): string => $this->held($account)->ascii, range(1, 16));
        $this->pressAs($this->house->steward, '/deeds/renew?name='.implode(',', $names));
        app(ReceiveMessages::class)->handle($account->id);
        self::assertSame('11.60', $this->left($account));
        $this->get("/accounts/{$account->id}/money")->assertSee("{$account->registrar->name} warned on");
        $this->world->payIn($account->number, '100.00');
        app(AskEntries::class)->handle($account->id, isWanted: true);
        $this->get("/accounts/{$account->id}/money")->assertDontSee("{$account->registrar->name} warned on");
        self::assertSame('111.60', $this->left($account));
    }
}
