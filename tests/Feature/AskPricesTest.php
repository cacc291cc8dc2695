<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Money\AskPrices;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Name;
use App\Models\Price;
use App\Models\Registration;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What registrars say that a year of a name costs (RFC 8748). A .com costs 9.90 there, and a premium one ten times as much. */
#[Group('world')]
final class AskPricesTest extends TestCase
{
    use ThreeAccounts;

    private const GARBAGE = 'garbage comes instead of the answer';

    private const REFUSED = 'its disk is full';

    private const TOLD = '9.90 standard 2026-10-06';

    private function premium(): Name
    {
        $ascii = 'premium-'.self::$trials++.'-'.getmypid().'.com';
        $ends = Instant::of('2026-11-02');
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [self::atRegistry($ascii, [], ['account' => $this->wire->number, 'ends' => $ends->epoch])],
        ]);

        return $this->house->name($ascii, $this->wire, facts: ['ends_on' => $ends]);
    }

    /** @return array<int, string> by name */
    private function asked(): array
    {
        $asked = [];
        foreach (Row::all(DB::select('SELECT name_id, renew, is_standard, asked_on FROM asked_prices ORDER BY name_id')) as $row) {
            $asked[$row->int('name_id')] = trim(
                "{$row->textOrNull('renew')} ".($row->boolOrNull('is_standard') === true ? 'standard ' : '').$row->text('asked_on'),
            );
        }

        return $asked;
    }

    public function test_a_premium_name_costs_what_its_registrar_says_on_every_page(): void
    {
        Price::query()->where('registrar_id', $this->wire->registrar_id)->update(['tax_percent' => '20']);
        $premium = $this->premium();
        $plain = $this->held($this->wire, ['ends' => Instant::of('2026-11-20')->epoch], ['ends_on' => Instant::of('2026-11-20')]);
        $far = $this->held($this->wire);
        $this->work($this->wire);
        self::assertSame([$premium->id => '99.00 2026-10-06', $plain->id => '9.90 standard 2026-10-06'], $this->asked());
        self::assertArrayNotHasKey($far->id, $this->asked());
        $this->get("/names/{$premium->ascii}")->assertSee('£118.80');
        $this->get("/roll?q={$premium->ascii}")->assertSee('£118.80');
        $this->get("/names/{$plain->ascii}")->assertSee('£11.88');
        $this->get('/rounds')->assertDontSee('Correct the list');
        $this->get("/deeds/renew?name={$premium->ascii}")
            ->assertSee('Costs £118.80 with tax.')
            ->assertSee('Before tax £99.00, tax £19.80.');
        $this->pressAs($this->house->steward, "/deeds/renew?name={$premium->ascii}");
        self::assertSame(
            [LineState::Done, null, '-118.80'],
            [
                DocketLine::query()->sole()->state,
                DocketLine::query()->sole()->reason,
                DB::table('ledger')->where('name_id', $premium->id)->value('amount'),
            ],
        );
    }

    public function test_it_is_asked_once_a_month_and_no_longer_premium_it_costs_what_the_list_says(): void
    {
        $name = $this->held($this->wire, ['ends' => Instant::of('2026-11-20')->epoch], ['ends_on' => Instant::of('2026-11-20')]);
        Registration::query()->where('name_id', $name->id)->update([
            'own_renewal' => '99.00',
            'own_currency' => 'GBP',
            'sources' => json_encode(['own_renewal' => ['from' => 'registrar', 'at' => '2026-09-01T00:00:00Z']]),
        ]);
        DB::insert(
            "INSERT INTO asked_prices (name_id, account_id, suffix, renew, currency, is_standard, asked_on)
                VALUES (?, ?, 'com', 99, 'GBP', false, '2026-09-07')",
            [$name->id, $this->wire->id],
        );
        app(AskPrices::class)->handle($this->wire->id);
        self::assertSame([$name->id => '99 2026-09-07'], $this->asked());
        app(TradeClock::class)->set(Instant::of('2026-10-07T09:00:00Z'));
        app(AskPrices::class)->handle($this->wire->id);
        self::assertSame([$name->id => '9.90 standard 2026-10-07'], $this->asked());
        self::assertNull($this->registration($name)->own_renewal);
        $this->get("/names/{$name->ascii}")->assertSee('£9.90')->assertDontSee('£99.00');
    }

    /**
     * A name whose question brings what can't be read is not asked with its neighbours, nor every day before them.
     *
     * @param  list<string>  $asked
     */
    #[TestWith([self::GARBAGE, 1, [self::TOLD, self::TOLD, self::TOLD]])]
    #[TestWith([self::GARBAGE, 2, ['2026-10-06', self::TOLD, self::TOLD]])]
    #[TestWith([self::GARBAGE, 9, []])]
    #[TestWith([self::REFUSED, 1, [self::TOLD, self::TOLD, self::TOLD]])]
    #[TestWith([self::REFUSED, 2, ['2026-10-06', self::TOLD, self::TOLD]])]
    public function test_one_that_is_odd_keeps_nothing_from_its_neighbours(string $weather, int $times, array $asked): void
    {
        foreach (['2026-11-18', '2026-11-19', '2026-11-20'] as $day) {
            $this->held($this->wire, ['ends' => Instant::of($day)->epoch], ['ends_on' => Instant::of($day)]);
        }
        $this->world->weather($weather, $times);
        app(AskPrices::class)->handle($this->wire->id);
        $this->world->weather('fair', 0);
        self::assertSame($asked, array_values($this->asked()));
    }

    public function test_what_people_entered_stays(): void
    {
        $premium = $this->premium();
        Registration::query()->where('name_id', $premium->id)->update(['own_renewal' => '80.00', 'own_currency' => 'GBP']);
        app(AskPrices::class)->handle($this->wire->id);
        self::assertSame('80.00', $this->registration($premium)->own_renewal);
    }

    public function test_a_list_that_says_something_else_stands_in_rounds(): void
    {
        Price::query()->where('registrar_id', $this->wire->registrar_id)->update(['amount' => '9.50']);
        $this->held($this->wire, [], ['ends_on' => Instant::of('2026-11-20')]);
        app(AskPrices::class)->handle($this->wire->id);
        $this->get('/rounds')
            ->assertSeeInOrder(['Skerry Registrations .com', 'asks £9.90 a year, and its list here says £9.50', 'Correct the list'])
            ->assertSee("/registrars/{$this->wire->registrar_id}#prices-h", false);
        Price::query()->where('registrar_id', $this->wire->registrar_id)->delete();
        $this->get('/rounds')->assertSee('asks £9.90 a year, and its list here has no price');
    }

    public function test_who_says_no_prices_or_is_not_reached_changes_nothing(): void
    {
        $this->held($this->bridge, [], ['ends_on' => Instant::of('2026-11-20')]);
        app(AskPrices::class)->handle($this->bridge->id);
        self::assertSame(['2026-10-06'], array_values($this->asked()), 'asked, and not said');
        $name = $this->held($this->wire, [], ['ends_on' => Instant::of('2026-11-20')]);
        $this->world->weather('the connection closes before the answer', 1);
        app(AskPrices::class)->handle($this->wire->id);
        self::assertArrayNotHasKey($name->id, $this->asked());
        app(AskPrices::class)->handle($this->wire->id);
        self::assertSame('9.90 standard 2026-10-06', $this->asked()[$name->id] ?? null);
    }
}
