<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\EndLines;
use App\Actions\Money\KeepMoney;
use App\Models\Credit;
use App\Models\Docket;
use App\Queries\Money\Purses;
use App\Support\Row;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Money that pays only for some things. Skerry charges seven days ahead, 9.90 for a .com. */
final class CreditsTest extends TestCase
{
    use PressesDeeds;

    private const RENEWALS = [
        'credit_amount' => '12',
        'credit_currency' => 'gbp',
        'credit_action' => 'renew',
        'credit_suffixes' => '.com; co.uk',
        'credit_lost_on' => '2026-11-01',
    ];

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->actingAs($this->house->steward);
        foreach (['bell.com' => '2026-10-19', 'chime.com' => '2026-10-19', 'knell.com' => '2026-11-28'] as $name => $ends) {
            $this->house->name($name, facts: ['ends_on' => Instant::of($ends), 'intent' => 'by_itself']);
        }
        app(KeepMoney::class)->balance($this->house->steward, $this->house->ours, Money::of('10.40', 'GBP'));
    }

    public function test_it_pays_first_and_the_almanac_says_what_lacks_then(): void
    {
        $this->record(self::RENEWALS)->assertSessionHasNoErrors();
        $this->get($this->money())
            ->assertSeeInOrder(['£12.00', 'renewals', '.com, .co.uk', 'It expires on 1 Nov 2026', '£12.00 is left'])
            ->assertSee('It holds £10.40');
        $this->get("/almanac?of=account-{$this->house->ours->id}")
            ->assertSeeInOrder(['bell.com', '£19.80', '£12.00 of it by credit', '£2.60', 'knell.com', '£9.90 refused', '£2.60'])
            ->assertSee('One top-up of £7.30 by 20 Nov 2026 carries all of it.');
        self::assertSame(['2026-11-21', '7.30'], $this->shortage());
        $this->delete("{$this->credits()}/".Credit::query()->sole()->id)->assertSessionHasNoErrors();
        // Withdrawn once more, nothing is left to do.
        $this->delete("{$this->credits()}/".Credit::query()->sole()->id)->assertSessionHasNoErrors();
        self::assertSame(1, DB::table('log')->where('event', 'credit_withdrawn')->count());
        self::assertSame('2026-10-12', $this->shortage()[0]);
        $this->get($this->money())->assertDontSee('£12.00')->assertSee('None is recorded');
    }

    public function test_what_it_pays_of_a_deed_is_neither_the_balance_s_nor_there_twice(): void
    {
        $this->record(self::RENEWALS);
        $this->get('/deeds/renew?name=bell.com,chime.com,knell.com')
            ->assertSee('2 of 3 can go now')
            ->assertSee('has £7.30 too little')
            ->assertSeeInOrder(['£19.80', '£12.00 of it by credit', '£10.40', '£2.60']);
        $this->pressAs($this->house->steward, '/deeds/renew?name=bell.com,chime.com')->assertRedirect();
        $this->get($this->money())
            ->assertSee('£7.80 of it is ordered and not charged yet.')
            ->assertSee('All of it has been used.');
        self::assertSame('2.60', $this->left());
        app(EndLines::class)->done($this->house->steward, Docket::query()->sole(), null, Instant::of('2026-10-06'));
        self::assertSame('-19.80', Row::of(DB::selectOne('SELECT sum(amount)::numeric(9, 2) AS sum FROM ledger'))->text('sum'));
        self::assertSame('2.60', $this->left());
        $this->get($this->money())->assertSee('It holds £2.60')->assertSee('All of it has been used.');
        // Said anew, a balance is what it is; what the credit paid before stays paid.
        app(KeepMoney::class)->balance($this->house->steward, $this->house->ours, Money::of('50', 'GBP'));
        self::assertSame('50.00', $this->left());
        $this->get($this->money())->assertSee('All of it has been used.');
    }

    public function test_what_it_pays_in_part_is_not_missing(): void
    {
        $this->record(['credit_amount' => '5'] + self::RENEWALS);
        $this->get("/almanac?of=account-{$this->house->ours->id}")
            ->assertSee('can’t pay one of 2: £4.40 is missing.')
            ->assertSee('Top up £4.40');
        self::assertSame(['2026-10-12', '4.40'], $this->shortage());
        $this->get('/deeds/renew?name=bell.com,chime.com')->assertSee('has £4.40 too little')->assertSee('£5.00 of it by credit');
    }

    public function test_what_it_is_not_for_takes_nothing_of_it(): void
    {
        $this->record(['credit_action' => 'transfer', 'credit_suffixes' => '', 'credit_lost_on' => ''] + self::RENEWALS);
        $this->record(['credit_currency' => 'EUR'] + self::RENEWALS);
        $this->get($this->money())->assertSee('£12.00 + €12.00 is left.');
        self::assertSame('2026-10-12', $this->shortage()[0]);
        $this->get('/deeds/renew?name=bell.com,chime.com')->assertSee('has £9.40 too little')->assertDontSee('by credit');
        $this->pressAs($this->house->steward, '/deeds/renew?name=bell.com')->assertRedirect();
        $this->get($this->money())->assertSee('£12.00 + €12.00 is left.')->assertSee('£9.90 of it is ordered');
    }

    /** @param  array<string, mixed>  $typed */
    #[TestWith([['credit_amount' => '0'], 'credit_amount'])]
    #[TestWith([['credit_amount' => '1.005'], 'credit_amount'])]
    #[TestWith([['credit_amount' => ['5']], 'credit_amount'])]
    #[TestWith([['credit_currency' => 'QQQ'], 'credit_amount'])]
    #[TestWith([['credit_action' => 'late'], 'credit_action'])]
    #[TestWith([['credit_action' => ['renew']], 'credit_action'])]
    #[TestWith([['credit_suffixes' => 'com, *'], 'credit_suffixes'])]
    #[TestWith([['credit_suffixes' => 'com..uk'], 'credit_suffixes'])]
    #[TestWith([['credit_lost_on' => '2026-10-06'], 'credit_lost_on'])]
    #[TestWith([['credit_lost_on' => ['2026-11-01']], 'credit_lost_on'])]
    public function test_an_odd_one_is_refused(array $typed, string $field): void
    {
        $this->record($typed + self::RENEWALS)->assertSessionHasErrors($field);
        self::assertSame(0, Credit::query()->count());
    }

    public function test_who_only_reads_records_none_and_none_is_of_another_account(): void
    {
        $this->record(self::RENEWALS);
        $credit = Credit::query()->sole();
        $this->delete("/accounts/{$this->house->theirs->id}/credits/{$credit->id}")->assertNotFound();
        $this->actingAs($this->house->reader);
        $this->get($this->money())->assertOk()->assertSee('renewals')->assertDontSee('Remove it');
        $this->record(self::RENEWALS)->assertForbidden();
        $this->delete("{$this->credits()}/{$credit->id}")->assertForbidden();
        self::assertNull($credit->refresh()->withdrawn_on);
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return TestResponse<Response>
     */
    private function record(array $typed): TestResponse
    {
        return $this->post($this->credits(), $typed);
    }

    private function credits(): string
    {
        return "/accounts/{$this->house->ours->id}/credits";
    }

    private function money(): string
    {
        return "/accounts/{$this->house->ours->id}/money";
    }

    private function left(): ?string
    {
        $id = $this->house->ours->id;

        return app(Purses::class)->of([$id])[$id]->left()?->decimal();
    }

    /** @return array{string, string|null} */
    private function shortage(): array
    {
        $row = Row::of(DB::selectOne('SELECT first_on, missing FROM shortages'));

        return [$row->text('first_on'), $row->textOrNull('missing')];
    }
}
