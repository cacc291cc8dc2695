<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Registrars\SetPrice;
use App\Actions\Standings\MakeStandings;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Offer;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What a registrar offers for a while, or to whoever has a code. A .com costs 9.90 there. */
final class OfferTest extends TestCase
{
    use PressesDeeds;

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->actingAs($this->house->steward);
        $this->house->name('bell.com', facts: ['ends_on' => Instant::of('2026-11-02')]);
    }

    /** @param  array<string, mixed>  $with */
    private function enter(array $with): void
    {
        $this->post("/registrars/{$this->house->skerry->id}/offers", $with + [
            'offer_suffix' => '.COM',
            'offer_action' => 'renew',
            'offer_percent' => '',
            'offer_amount' => '',
            'offer_currency' => 'gbp',
            'offer_code' => '',
            'offer_since' => '2026-10-01',
            'offer_until' => '',
        ])->assertSessionHasNoErrors();
    }

    public function test_an_offer_counts_everywhere_until_its_last_day(): void
    {
        $this->enter(['offer_percent' => '20 %', 'offer_until' => '2026-10-20', 'offer_code' => 'SPRING-26']);
        $this->get("/registrars/{$this->house->skerry->id}")
            ->assertSeeInOrder(['Offers', '.com', '20 % off', 'SPRING-26', '1 Oct 2026 to 20 Oct 2026']);
        $this->get('/names/bell.com')->assertSee('£7.92')->assertDontSee('£9.90');
        $this->get('/roll')->assertSee('£7.92')->assertDontSee('£9.90');
        $this->get('/deeds/renew?name=bell.com&years=2')
            ->assertSee('Costs £15.84 with tax.')
            ->assertSee('Without offers it would be £19.80.')
            ->assertSee('At an offer, with the code SPRING-26: a year usually costs £9.90');
        $this->pressAs($this->house->steward, '/deeds/renew?name=bell.com&years=2');
        self::assertSame('15.84', DocketLine::query()->sole()->costs);
        $this->get('/dockets/'.Docket::query()->sole()->id)->assertSeeInOrder(['Offer code', 'SPRING-26']);
        // From the day after, all pages say again what the list says.
        $this->house->name('chime.com', facts: ['ends_on' => Instant::of('2026-11-02')]);
        app(MakeStandings::class)->due();
        app(TradeClock::class)->set(Instant::of('2026-10-20T23:59:00Z'));
        app(MakeStandings::class)->due();
        $this->get('/roll?q=chime')->assertSee('£7.92');
        app(TradeClock::class)->set(Instant::of('2026-10-21T00:01:00Z'));
        app(MakeStandings::class)->due();
        $this->get('/roll?q=chime')->assertSee('£9.90')->assertDontSee('£7.92');
        $this->get('/deeds/renew?name=chime.com')->assertSee('Costs £9.90 with tax.')->assertDontSee('Without offers');
    }

    public function test_a_price_rise_counts_on_the_roll_from_its_day(): void
    {
        app(SetPrice::class)->handle($this->house->steward, $this->house->skerry, [
            'suffix' => 'com',
            'action' => 'renew',
            'amount' => '12.00',
            'currency' => 'GBP',
            'tax_percent' => '0',
        ], Instant::of('2026-10-15'));
        app(MakeStandings::class)->due();
        $this->get('/roll')->assertSee('£9.90');
        app(TradeClock::class)->set(Instant::of('2026-10-15T00:00:30Z'));
        app(MakeStandings::class)->due();
        $this->get('/roll')->assertSee('£12.00')->assertDontSee('£9.90');
        self::assertSame(0, DB::table('standings_stale')->count());
    }

    public function test_a_price_of_its_own_for_the_first_year_and_withdrawing_it(): void
    {
        $this->enter(['offer_suffix' => '', 'offer_amount' => '4,00', 'offer_first_only' => '1']);
        $this->get('/deeds/renew?name=bell.com&years=3')
            ->assertSee('Costs £23.80 with tax.')
            ->assertSee('At an offer: a year usually costs £9.90');
        $offer = Offer::query()->sole();
        $this->delete("/registrars/{$this->house->skerry->id}/offers/{$offer->id}")->assertSessionHas('told', 'The offer was withdrawn.');
        $this->get('/deeds/renew?name=bell.com&years=3')->assertSee('Costs £29.70 with tax.');
        $this->get('/roll')->assertSee('£9.90');
        $this->delete("/registrars/999999/offers/{$offer->id}")->assertNotFound();
        $this->actingAs($this->house->reader)->delete("/registrars/{$this->house->skerry->id}/offers/{$offer->id}")->assertForbidden();
    }

    public function test_an_offer_that_is_dearer_or_not_yet_or_elsewhere_changes_nothing(): void
    {
        $this->enter(['offer_amount' => '12.00']);
        $this->enter(['offer_percent' => '50', 'offer_since' => '2026-11-01']);
        $this->enter(['offer_percent' => '50', 'offer_suffix' => 'org']);
        $this->enter(['offer_percent' => '50', 'offer_action' => 'transfer']);
        $this->enter(['offer_amount' => '1.00', 'offer_currency' => 'EUR']);
        $this->get('/deeds/renew?name=bell.com')->assertSee('Costs £9.90 with tax.');
    }

    /** @param  array<string, mixed>  $odd */
    #[TestWith([[], 'offer_percent'])]
    #[TestWith([['offer_percent' => '20', 'offer_amount' => '5'], 'offer_percent'])]
    #[TestWith([['offer_percent' => '0'], 'offer_percent'])]
    #[TestWith([['offer_percent' => '101'], 'offer_percent'])]
    #[TestWith([['offer_percent' => ['20']], 'offer_percent'])]
    #[TestWith([['offer_amount' => '-1'], 'offer_amount'])]
    #[TestWith([['offer_amount' => '1.005'], 'offer_amount'])]
    #[TestWith([['offer_amount' => '5', 'offer_currency' => 'QQQ'], 'offer_amount'])]
    #[TestWith([['offer_percent' => '5', 'offer_action' => 'restore'], 'offer_action'])]
    #[TestWith([['offer_percent' => '5', 'offer_until' => '2026-09-30'], 'offer_until'])]
    #[TestWith([
        ['offer_percent' => '5', 'offer_code' => 'a code that is longer than any that somebody would read out to us'],
        'offer_code',
    ])]
    #[TestWith([['offer_percent' => '5', 'offer_suffix' => 'c om'], 'offer_suffix'])]
    public function test_an_odd_offer_is_refused(array $odd, string $field): void
    {
        $this->post("/registrars/{$this->house->skerry->id}/offers", $odd + [
            'offer_suffix' => 'com',
            'offer_action' => 'renew',
            'offer_currency' => 'GBP',
            'offer_since' => '2026-10-01',
        ])->assertSessionHasErrors($field);
        self::assertSame(0, Offer::query()->count());
    }

    public function test_the_database_keeps_offers_whole(): void
    {
        $this->expectExceptionMessage('offers_check');
        Offer::query()->create([
            'registrar_id' => $this->house->skerry->id,
            'action' => 'renew',
            'percent' => '5',
            'amount' => '5',
            'currency' => 'GBP',
            'span' => Span::since(Instant::of('2026-10-01')),
            'entered_by' => $this->house->steward->id,
        ]);
    }
}
