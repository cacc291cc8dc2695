<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Money\KeepCredit;
use App\Actions\Money\KeepMoney;
use App\Models\Account;
use App\Models\Extra;
use App\Models\Name;
use App\Models\Price;
use App\Models\Registrar;
use App\Models\Registration;
use App\Models\TopUp;
use App\Models\User;
use App\Support\Row;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** The year ahead: what is charged, and whether the money is there. Skerry charges seven days ahead, 9.90 for a .com. */
final class AlmanacTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->actingAs($this->house->steward);
        foreach (['bell.com' => '2026-10-19', 'chime.com' => '2026-10-19', 'knell.com' => '2026-11-28'] as $name => $ends) {
            $this->house->name($name, facts: ['ends_on' => Instant::of($ends), 'intent' => 'by_itself']);
        }
        $this->house->name('asked.com', facts: ['ends_on' => Instant::of('2026-12-01'), 'intent' => 'ask_client']);
        $this->house->name('over.com', facts: ['ends_on' => Instant::of('2026-12-02'), 'intent' => 'lapse']);
    }

    public function test_the_first_charge_that_fails_is_named_and_what_carries_the_year(): void
    {
        $this->holds('10.40');
        $address = "/almanac?of=account-{$this->house->ours->id}";
        $this->get($address)
            ->assertOk()
            ->assertSee('On 12 Oct 2026 Skerry Registrations 40718 can’t pay one of 2: £9.40 is missing.')
            ->assertSeeInOrder(['12 Oct 2026', 'bell.com', '£9.90', '£0.50', '12 Oct 2026', 'chime.com', '£9.90 refused', '£0.50'])
            ->assertSee('expires on 19 Oct 2026')
            ->assertSee('Top up £9.40')
            ->assertSeeInOrder(['21 Nov 2026', 'knell.com', '£9.90 refused', 'Top up £19.30'])
            // A year on, bell.com and chime.com are charged once more, on 12 October: that is after the span.
            ->assertSee('Charges in this time: £29.70 with tax.')
            ->assertSee('One top-up of £19.30 by 12 Oct 2026 carries all of it.')
            // No charge, but something to decide.
            ->assertSeeInOrder(['knell.com', 'Deadlines and holds in this time', 'asked.com'])
            ->assertDontSee('over.com');
        $this->get("{$address}&count=every")->assertSee('asked.com')->assertDontSee('over.com')->assertSee('£39.60');
        $this->get("{$address}&months=24")->assertSee('Charges in this time: £59.40')->assertSee('12 Oct 2027');
    }

    public function test_more_charges_than_a_page_holds_are_not_read(): void
    {
        $this->holds('10.40');
        config(['house.charges_a_page' => 3]);
        $this->get('/almanac')->assertOk()->assertSee('chime.com');
        // With something otherwise the year is read twice.
        $this->get('/almanac?rise=10')
            ->assertOk()
            ->assertSee('more charges in this time than fit on one page')
            ->assertSee('Show it without')
            ->assertDontSee('Show one year')
            ->assertDontSee('chime.com');
        $this->get('/almanac?months=24')->assertSee('Show one year')->assertSee('Skerry Registrations');
        $this->get('/almanac/list?months=24')->assertRedirectContains('/almanac?of=all');
        $this->get('/almanac/list')->assertOk();
    }

    public function test_a_planned_top_up_counts_until_it_is_withdrawn_and_paid_in_it_is_held(): void
    {
        $this->holds('10.40');
        $money = "/accounts/{$this->house->ours->id}/money";
        $almanac = "/almanac?of=account-{$this->house->ours->id}";
        $this->get("{$money}?amount=19.30&on=2026-10-12")
            ->assertSee('value="19.30"', false)
            ->assertSee('It holds £10.40, as one of us said');
        $this->post("/accounts/{$this->house->ours->id}/top-ups", ['amount' => '19,30', 'currency' => 'gbp', 'on' => '2026-10-12'])
            ->assertSessionHasNoErrors();
        $topUp = TopUp::query()->sole();
        $this->get($almanac)
            ->assertSee('the money is there for all of it')
            ->assertSeeInOrder(['top-up planned', '+£19.30', '£29.70', 'bell.com'])
            ->assertDontSee('refused');
        $this->get("{$almanac}&top-ups=none")->assertSee('£9.40 is missing');
        $this->post("/accounts/{$this->house->ours->id}/top-ups/{$topUp->id}/paid")->assertSessionHasNoErrors();
        $this->get($money)
            ->assertSee('It holds £29.70: what one of us said')
            ->assertSeeInOrder(['Paid in', '£19.30', 'us: we recorded it']);
        $this->post("/accounts/{$this->house->ours->id}/top-ups/{$topUp->id}/paid")->assertSessionHasErrors('top_up');
        self::assertSame(1, DB::table('ledger')->count());
        $this->get($almanac)->assertSee('the money is there for all of it')->assertDontSee('top-up planned</span>', false);
        $this->post("/accounts/{$this->house->theirs->id}/top-ups/{$topUp->id}/paid")->assertNotFound();
    }

    /** @param  array<string, mixed>  $typed */
    #[TestWith([['amount' => '0', 'currency' => 'GBP', 'on' => '2026-10-12'], 'amount'])]
    #[TestWith([['amount' => '-5', 'currency' => 'GBP', 'on' => '2026-10-12'], 'amount'])]
    #[TestWith([['amount' => '1.005', 'currency' => 'GBP', 'on' => '2026-10-12'], 'amount'])]
    #[TestWith([['amount' => ['5'], 'currency' => 'GBP', 'on' => '2026-10-12'], 'amount'])]
    #[TestWith([['amount' => '5', 'currency' => 'QQQ', 'on' => '2026-10-12'], 'amount'])]
    #[TestWith([['amount' => '5', 'currency' => 'GBP', 'on' => '2026-10-05'], 'on'])]
    #[TestWith([['amount' => '5', 'currency' => 'GBP', 'on' => '2026-02-30'], 'on'])]
    public function test_an_odd_top_up_is_refused(array $typed, string $field): void
    {
        $this->post("/accounts/{$this->house->ours->id}/top-ups", $typed)->assertSessionHasErrors($field);
        self::assertSame(0, TopUp::query()->count());
    }

    public function test_who_only_reads_records_nothing(): void
    {
        $this->actingAs($this->house->reader);
        $this->get("/almanac?of=account-{$this->house->ours->id}")->assertOk()->assertDontSee('Top up');
        $this->get("/accounts/{$this->house->ours->id}/money")->assertOk()->assertDontSee('Plan a top-up');
        foreach (['balance', 'top-ups'] as $what) {
            $this->post("/accounts/{$this->house->ours->id}/{$what}", ['amount' => '5', 'currency' => 'GBP', 'on' => '2026-10-12'])
                ->assertForbidden();
        }
    }

    public function test_what_could_be_otherwise_stands_beside_what_is(): void
    {
        $this->holds('500.00');
        $address = "/almanac?of=account-{$this->house->ours->id}&months=36";
        $this->get($address)->assertSee('Charges in this time: £89.10')->assertDontSee('Back to how it is');
        // Six of nine charges come after the rise: 6 × 0.99 more.
        $this->get("{$address}&rise=10&rise-from=2027-01-01")
            ->assertSee('It would be £95.04, against £89.10 as it is: £5.94 more.')
            ->assertSee('As it is, the money is there for all of it.')
            ->assertSee('d-balance-today')
            ->assertSee('rise=10&amp;rise-from=2027-01-01', false);
        $this->get("{$address}&let-go=".urlencode('Bell.com; chime.com nonsense..'))
            ->assertSee('It would be £29.70, against £89.10 as it is: £59.40 less.')
            ->assertSee('value="bell.com, chime.com"', false);
        $this->get("{$address}&years=3")->assertSee('It would be £89.10, against £89.10 as it is: the same.');
        foreach (['rise=x', 'rise[]=1', 'rise=-100', 'rise=0', 'years=11', 'let-go[]=x', 'rise-from=2027-02-30', 'months=x'] as $odd) {
            $this->get("/almanac?of=account-{$this->house->ours->id}&{$odd}")->assertOk()->assertDontSee('It would be');
        }
        $this->get('/almanac?of=account-999999')->assertNotFound();
    }

    public function test_a_clients_names_alone_are_shown_but_the_account_pays_for_all(): void
    {
        $this->holds('10.40');
        $this->house->name('other.com', client: $this->house->harrow, facts: [
            'ends_on' => Instant::of('2026-10-14'),
            'intent' => 'by_itself',
        ]);
        $this->get("/almanac?of=client-{$this->house->foundry->id}")
            ->assertSee('bell.com')
            ->assertDontSee('other.com');
        $this->get("/almanac?of=client-{$this->house->harrow->id}")->assertSee('other.com')->assertDontSee('bell.com');
        $this->get('/almanac?of=all')->assertSee('other.com')->assertSee('bell.com');
        $this->get("/almanac?of=registrar-{$this->house->skerry->id}")->assertSee('other.com');
        // Its neighbour of the other client takes the money first.
        $this->get("/almanac?of=client-{$this->house->foundry->id}")->assertSee('bell.com')->assertSee('refused');
    }

    /** PostgreSQL adds the exported list up again, account by account and line by line. */
    public function test_the_list_is_what_another_program_works_out(): void
    {
        $this->holds('25.00');
        app(KeepMoney::class)->plan($this->house->steward, $this->house->ours, Money::of('12.34', 'GBP'), Instant::of('2026-11-20'));
        app(KeepCredit::class)->enter($this->house->steward, $this->house->ours, [
            'amount' => '15.00',
            'currency' => 'GBP',
            'suffixes' => ['com'],
        ]);
        $csv = $this->get("/almanac/list?of=account-{$this->house->ours->id}&months=24&count=every")->assertOk()->streamedContent();
        $rows = array_map(
            fn (string $line): array => str_getcsv($line, escape: ''),
            array_slice(explode("\r\n", trim($csv)), 1),
        );
        self::assertGreaterThan(6, count($rows));
        $said = Row::of(DB::selectOne(
            "SELECT count(*) FILTER (WHERE after IS DISTINCT FROM worked) AS other, min(worked) AS least FROM (
                SELECT (line ->> 8)::numeric AS after, 25.00 + sum(((line ->> 6)::numeric - coalesce(nullif(line ->> 10, '')::numeric, 0))
                    * CASE line ->> 3 WHEN 'refused' THEN 0 WHEN 'charged' THEN -1 ELSE 1 END)
                    OVER (ORDER BY place) AS worked
                FROM jsonb_array_elements(?::jsonb) WITH ORDINALITY AS l(line, place)) AS sums",
            [json_encode($rows, JSON_THROW_ON_ERROR)],
        ));
        self::assertSame(0, $said->int('other'));
        self::assertSame(['9.90', '5.10'], array_values(array_diff(array_column($rows, 10), [''])), 'and what a credit pays');
        self::assertGreaterThanOrEqual(0, (float) $said->text('least'));
    }

    public function test_a_card_that_expires_and_an_account_that_nobody_knows(): void
    {
        $this->get('/almanac')->assertSee('Of one account we don’t know the balance.')->assertDontSee('the money is there');
        Account::query()->whereKey($this->house->ours->id)->update(['paid_from' => 'card', 'card_ends_on' => '2026-11-01']);
        $this->get("/almanac?of=account-{$this->house->ours->id}")
            ->assertSee('From 21 Nov 2026 Skerry Registrations 40718 can’t pay: its card has expired.')
            ->assertDontSee('Top up £');
        Account::query()->whereKey($this->house->ours->id)->update(['paid_from' => 'invoice', 'card_ends_on' => null]);
        $this->get("/almanac?of=account-{$this->house->ours->id}")->assertSee('the money is there for all of it');
    }

    public function test_what_a_registrar_tries_again_is_said(): void
    {
        Registrar::query()->whereKey($this->house->skerry->id)->update(['charge_retries' => '[3, 7]', 'charge_order' => 'name']);
        $this->holds('0');
        $this->get("/almanac?of=account-{$this->house->ours->id}")
            ->assertSee('tried again until 19 Oct 2026, then expires on 19 Oct 2026')
            ->assertDontSee('15 Oct 2026');
    }

    public function test_where_it_would_be_cheaper_and_one_press_to_a_plan(): void
    {
        $lantern = Registrar::query()->create(['name' => 'Lantern Wholesale']);
        $there = $this->house->account('L-1', null, $lantern);
        foreach (['renew' => '8.00', 'transfer' => '8.50'] as $action => $amount) {
            $this->price($lantern, $action, $amount);
        }
        $this->house->name('new.com', facts: ['created_on' => Instant::of('2026-09-20'), 'ends_on' => Instant::of('2027-09-20')]);
        $this->house->name('dear.com', facts: [
            'ends_on' => Instant::of('2027-09-20'),
            'own_renewal' => '7.00',
            'own_currency' => 'GBP',
        ]);
        // Five at 9.90 for three years are 148.50; there 5 × (8.50 + 2 × 8.00) = 122.50. One of its own price is cheaper here.
        $this->get('/almanac/cheaper?of=all')
            ->assertOk()
            ->assertSeeInOrder(['Lantern Wholesale L-1', '5', '£148.50', '£122.50', '£26.00', 'one, until 19 Nov 2026'])
            ->assertSee('Plan it');
        $this->get('/almanac/cheaper?of=all&years=1')->assertSeeInOrder(['£49.50', '£42.50', '£7.00']);
        $this->get("/almanac/cheaper?of=account-{$there->id}")->assertSee('nowhere');
        $plan = $this->post("/almanac/cheaper/{$there->id}", ['of' => 'all', 'years' => '3'])->assertRedirect()->headers->get('Location');
        $this->get((string) $plan)->assertOk()->assertSee('bell.com')->assertDontSee('dear.com');
        // A price there in another currency is not compared.
        Price::query()->where('registrar_id', $lantern->id)->update(['currency' => 'EUR']);
        $this->get('/almanac/cheaper?of=all')->assertSee('nowhere');
        $this->post("/almanac/cheaper/{$there->id}", ['of' => 'all'])->assertSessionHasErrors('names');
        // But at a rate that somebody wrote down: 6 × (8.50 + 2 × 8.00) euros are 117.60 pounds at 0.80, and 21.00 of dear.com are more.
        $rate = ['currency' => 'eur', 'to_currency' => 'GBP', 'rate' => '0,8', 'on_day' => '2026-10-01', 'of' => 'all'];
        foreach ([['rate' => '0'], ['rate' => '-1'], ['rate' => ['1']], ['currency' => 'QQQ'], ['currency' => 'GBP']] as $odd) {
            $this->post('/almanac/rates', $odd + $rate)->assertSessionHasErrors(array_keys($odd)[0] === 'rate' ? ['rate'] : []);
        }
        self::assertSame(0, DB::table('exchange_rates')->count());
        $this->post('/almanac/rates', $rate)->assertSessionHasNoErrors();
        $this->get('/almanac/cheaper?of=all')
            ->assertSeeInOrder(['6', '£169.50', '£117.60', '£51.90', '1 EUR = 0.8 GBP, on 1 Oct 2026']);
        // One has privacy, at 3.00 here and 2.00 euros there, three times.
        $this->price($this->house->skerry, 'privacy', '3.00');
        $this->price($lantern, 'privacy', '2.00');
        Price::query()->where('registrar_id', $lantern->id)->where('action', 'privacy')->update(['currency' => 'EUR']);
        Extra::query()->create([
            'registration_id' => Registration::query()->where('name_id', Name::query()->where('ascii', 'bell.com')->sole()->id)->sole()->id,
            'kind' => 'privacy',
        ]);
        $this->get('/almanac/cheaper?of=all')->assertSeeInOrder(['6', '£178.50', '£122.40', '£56.10']);
        $this->actingAs($this->house->reader)->post('/almanac/rates', $rate)->assertForbidden();
        $this->actingAs($this->house->reader)->post("/almanac/cheaper/{$there->id}", ['of' => 'all'])->assertForbidden();
    }

    private function price(Registrar $registrar, string $action, string $amount): void
    {
        Price::query()->create([
            'registrar_id' => $registrar->id,
            'suffix' => 'com',
            'action' => $action,
            'amount' => $amount,
            'currency' => 'GBP',
            'span' => Span::since(Instant::of('2020-01-01')),
        ]);
    }

    /** bell.com, chime.com and knell.com cost 29.70 in the year; a transfer is 8.50 and adds one, a year there 8.00. */
    public function test_what_it_would_be_if_names_were_moved(): void
    {
        $this->holds('10.40');
        $lantern = Registrar::query()->create(['name' => 'Lantern Wholesale']);
        $there = $this->house->account('L-1', null, $lantern);
        foreach (['renew' => '8.00', 'transfer' => '8.50'] as $action => $amount) {
            $this->price($lantern, $action, $amount);
        }
        $this->house->name('there.com', $there, facts: ['ends_on' => Instant::of('2027-01-05'), 'intent' => 'by_itself']);
        app(KeepMoney::class)->balance($this->house->steward, $there, Money::of('20.00', 'GBP'));
        $address = "/almanac?of=account-{$this->house->ours->id}";
        $this->get("{$address}&move-to={$there->id}")
            ->assertOk()
            ->assertSee('It would be £25.50, against £29.70 as it is: £4.20 less.')
            // What is there already is charged too, and is no part of it.
            ->assertSeeInOrder(['7 Oct 2026', 'bell.com', 'and 1 more', 'Lantern Wholesale L-1', '£17.00', '£3.00', '£8.50 refused'])
            ->assertDontSee('there.com');
        $this->get("{$address}&move-to={$there->id}&moved=knell.com")
            ->assertSee('It would be £28.30, against £29.70')
            ->assertSee('value="knell.com"', false);
        $this->get("{$address}&months=36&move-to={$there->id}")->assertSee('It would be £73.50, against £89.10');
        $this->get("{$address}&move-to={$there->id}&let-go=knell.com")->assertSee('It would be £17.00, against £29.70');
        // An account that is not ours, or none, changes nothing.
        foreach ([$this->house->theirs->id, 999_999, 'x'] as $no) {
            $this->get("{$address}&move-to={$no}")->assertOk()->assertDontSee('It would be');
        }
        // Where it is priced by nobody it is left out, and said.
        Price::query()->where('registrar_id', $lantern->id)->where('action', 'transfer')->delete();
        $this->get("{$address}&move-to={$there->id}")->assertSee('3 charges are left out');
    }

    public function test_three_months_nearer(): void
    {
        $this->holds('100');
        $address = "/almanac?of=account-{$this->house->ours->id}&count=every";
        $page = $this->get($address)->assertSee('zoom=2027-01', false)->assertDontSee('all of it</a>', false);
        $page->assertSee('bell.com')->assertSee('knell.com');
        $this->get("{$address}&zoom=2026-11")
            ->assertSee('knell.com')
            ->assertDontSee('bell.com</a>', false)
            // Two were charged before.
            ->assertSee('£70.30')
            ->assertSee('zoom=2027-01', false)
            ->assertSee('all of it</a>', false);
        $this->get("{$address}&zoom=2026-10")
            ->assertSee('aria-current="true">Oct 2026', false)
            ->assertSee('bell.com')
            ->assertSee('knell.com');
        $this->get("{$address}&zoom=2027-01")->assertOk()->assertDontSee('bell.com')->assertDontSee('knell.com');
        foreach (['2026-13', '1999-01', 'x', '2026-1'] as $odd) {
            $this->get("{$address}&zoom={$odd}")->assertOk()->assertDontSee('all of it</a>', false)->assertSee('bell.com');
        }
        $this->get("{$address}&zoom=2031-01")->assertOk();
    }

    public function test_deadlines_and_holds(): void
    {
        $this->house->name('held.com', facts: ['created_on' => Instant::of('2026-09-20'), 'ends_on' => Instant::of('2028-09-20')]);
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-24')]);
        $other = $this->house->account('OTHER-1', null, $this->house->skerry);
        $this->house->name('elsewhere.com', $other, facts: ['ends_on' => Instant::of('2026-11-24'), 'intent' => 'ask_client']);
        $this->get('/almanac')
            ->assertSee('Deadlines and holds in this time')
            ->assertSeeInOrder(['last day at this price, or to keep it', 'late.com'])
            ->assertSeeInOrder(['late.com', '10 Nov 2026', 'the client must decide', 'elsewhere.com'])
            ->assertSeeInOrder(['the client must decide', 'asked.com', 'may be transferred again', 'held.com']);
        $this->get("/almanac?of=account-{$other->id}")->assertSee('elsewhere.com')->assertDontSee('held.com');
        $this->get("/almanac?of=client-{$this->house->foundry->id}&zoom=2027-03")->assertDontSee('Deadlines and holds');
    }

    public function test_as_a_calendar(): void
    {
        $this->holds('10.40');
        $this->post("/accounts/{$this->house->ours->id}/top-ups", ['amount' => '5', 'currency' => 'GBP', 'on' => '2026-12-01']);
        $calendar = $this->get("/almanac/calendar.ics?of=account-{$this->house->ours->id}")->assertOk();
        $calendar->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        $text = str_replace("\r\n ", '', $calendar->streamedContent());
        foreach (
            [
                'SUMMARY:Skerry Registrations 40718 charges one renewal: £9.90',
                'SUMMARY:Skerry Registrations 40718 can’t pay one renewal: £9.90',
                'SUMMARY:Top up Skerry Registrations 40718: £5.00',
                'DTSTART;VALUE=DATE:20261012',
                'DTSTART;VALUE=DATE:20261201',
                'knell.com',
            ] as $part
        ) {
            self::assertStringContainsString($part, $text);
        }
        // Warned before what can't be paid, and before a top-up; not before what can.
        self::assertSame(4 + 4 + 2, substr_count($text, 'BEGIN:VALARM'));
        config(['house.charges_a_page' => 1]);
        $this->get('/almanac/calendar.ics')->assertRedirectContains('/almanac?of=all');
    }

    public function test_the_ledger_is_only_added_to(): void
    {
        $this->holds('5');
        $this->expectExceptionMessage('balances');
        DB::delete('DELETE FROM balances');
    }

    private function holds(string $amount, ?User $by = null): void
    {
        app(KeepMoney::class)->balance($by ?? $this->house->steward, $this->house->ours, Money::of($amount, 'GBP'));
    }
}
