<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Deeds\Authority;
use App\Actions\Plans\ComparedRegistrar;
use App\Actions\Plans\CompareRegistrars;
use App\Actions\Plans\PlanTerms;
use App\Actions\Plans\WatchPlans;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Migration;
use App\Models\Name;
use App\Models\PlanState;
use App\Models\Price;
use App\Models\Registrar;
use App\Queries\Plans\ReadPlan;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** A migration: planned, saved, its lots started by a Steward, stopped by itself when too many fail, and ended. */
#[Group('world')]
final class PlanTest extends TestCase
{
    use TwoRegistrars;

    /**
     * @param  array<string, string|int>  $terms
     * @param  list<Name>  $names
     */
    private function planned(array $terms, array $names): Migration
    {
        $said = ['name' => implode(',', array_map(fn (Name $name): string => $name->ascii, $names)), 'account' => $this->gaining->id];
        $this->post('/plans', $said + $terms + ['token' => House::token()])->assertRedirect();

        return Migration::query()->latest('id')->firstOrFail();
    }

    /** @return array<int, array{string|null, string}> day and why, as the names were made */
    private static function days(Migration $plan): array
    {
        return DB::table('plan_names')
            ->where('plan_id', $plan->id)
            ->orderBy('name_id')
            ->get(['day', 'why'])
            ->map(fn (object $row): array => [is_string($row->day) ? $row->day : null, is_string($row->why) ? $row->why : ''])
            ->all();
    }

    private function passes(int $days): void
    {
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusDays($days));
    }

    /** A page that was open since before presses in vain. */
    public function test_what_is_called_off_stays_as_it_was(): void
    {
        $name = $this->held();
        $plan = $this->planned(['pilot' => 0], [$name]);
        $this->post("/plans/{$plan->id}/call-off")->assertRedirect();
        $this->post("/plans/{$plan->id}/names/{$name->ascii}", ['day' => '2026-11-03'])->assertSessionHasErrors('plan');
        $this->post("/plans/{$plan->id}/anew")->assertRedirect();
        $this->post("/plans/{$plan->id}/start")->assertSessionHasErrors('plan');
        self::assertSame([['2026-10-06', 'first']], self::days($plan));
        self::assertSame([PlanState::CalledOff, 0], [$plan->refresh()->state, DB::table('log')->where('event', 'plan_anew')->count()]);
    }

    /** Whoever starts a lot accepts what the registrar wants accepted, and sees it first. */
    public function test_agreements_stand_beside_the_start(): void
    {
        $this->lantern->update(['agreements' => [['name' => 'Registration agreement', 'address' => 'https://lantern.example/terms']]]);
        $plan = $this->planned(['pilot' => 0], [$this->held()]);
        $this->get("/plans/{$plan->id}")->assertSee('Ordering accepts, for the registrants:')->assertSee('https://lantern.example/terms');
    }

    public function test_on_whose_authority_stays_with_the_plan(): void
    {
        $plan = $this->planned(['authority' => 'own'], [$this->held()]);
        self::assertSame(Authority::Own, PlanTerms::unpack($plan->terms)->transfer->authority);
    }

    public function test_it_is_shown_before_anything_is_written_down(): void
    {
        $names = [$this->held(), $this->held(), $this->house->name('young-'.self::$trials++.'.com', $this->losing, facts: [
            'created_on' => Instant::of('2026-09-01'),
            'ends_on' => Instant::of('2027-09-01'),
        ]), $this->house->name('there-'.self::$trials++.'.com', $this->gaining)];
        $which = implode(',', array_map(fn (Name $name): string => $name->ascii, $names));
        $this->get("/plans/create?name={$which}")->assertOk()->assertSee('Plan the transfer of 4 names')->assertDontSee('Save this plan');
        $this->get("/plans/create?name={$which}&account={$this->gaining->id}&per_day=1&pilot=0")
            ->assertOk()
            ->assertSee('3 can go, the last on 2 Nov 2026, for £35.64 with tax')
            ->assertSee('Renewing the same names where they are costs £29.70')
            ->assertSee('One can’t.')
            ->assertSee('It is at Lantern Wholesale already: hand it over instead')
            ->assertSee('not safe before 31 Oct')
            ->assertSee('Nothing moves, and nothing is paid');
        self::assertSame(0, Migration::query()->count());
    }

    /**
     * @param  list<int>  $ids
     * @param  array<string, string>  $said
     * @return list<array{string, int, list<string>, list<string>, int}> registrar, how many can go, sums, sums of each later year
     */
    private static function compared(array $ids, array $said = []): array
    {
        $text = fn (Money $sum): string => $sum->text();

        return array_map(
            fn (ComparedRegistrar $one): array => [
                $one->account->registrar->name,
                $one->canGo,
                array_map($text, array_values($one->sums)),
                array_map($text, array_values($one->later)),
                $one->unpriced,
            ],
            app(CompareRegistrars::class)->handle($ids, $said),
        );
    }

    /** Before an account is chosen: each registrar of ours, most names first, then what a year costs there. */
    public function test_registrars_are_compared(): void
    {
        $names = [$this->held(), $this->held()];
        $cheap = Registrar::query()->create(['name' => 'Windrose Names']);
        foreach (['W-1', 'W-2'] as $number) {
            $this->house->account($number, null, $cheap);
        }
        Registrar::query()->create(['name' => 'Nobody Asks']);
        foreach ([[$this->lantern, 'renew', '11'], [$cheap, 'transfer', '12'], [$cheap, 'renew', '8']] as [$registrar, $action, $amount]) {
            Price::query()->create([
                'registrar_id' => $registrar->id,
                'suffix' => 'com',
                'action' => $action,
                'amount' => $amount,
                'currency' => 'GBP',
                'tax_percent' => '20',
                'span' => Span::since(Instant::of('2020-01-01')),
            ]);
        }
        $ids = array_map(fn (Name $name): int => $name->id, $names);
        self::assertSame([
            ['Windrose Names', 2, ['£28.80'], ['£19.20'], 0],
            ['Lantern Wholesale', 2, ['£23.76'], ['£26.40'], 0],
        ], self::compared($ids));
        $uk = $this->house->name('compared-'.self::$trials++.'.co.uk', $this->losing, facts: ['lock' => 'off']);
        self::assertSame([
            ['Lantern Wholesale', 3, ['£23.76'], ['£26.40'], 1],
            ['Windrose Names', 2, ['£28.80'], ['£19.20'], 0],
        ], self::compared([...$ids, $uk->id]));
        self::assertCount(1, self::compared($ids, ['budget' => '12']), 'within a limit that was typed');
        $this->get('/plans/create?name='.implode(',', array_map(fn (Name $name): string => $name->ascii, $names)))
            ->assertSeeInOrder(['Our accounts compared', 'Windrose Names', '2 of 2', '£28.80', '£19.20', 'Lantern Wholesale'])
            ->assertDontSee('Nobody Asks');
    }

    /** @param  array<string, string>  $typed */
    #[TestWith([['per_day' => '0']])]
    #[TestWith([['per_day' => '1.5']])]
    #[TestWith([['per_day' => '99999']])]
    #[TestWith([['pilot' => '-1']])]
    #[TestWith([['stop_at' => '101']])]
    #[TestWith([['quiet_from' => '2026-10-10']])]
    #[TestWith([['quiet_from' => '2026-10-10', 'quiet_to' => '2026-10-09']])]
    #[TestWith([['account' => '0']])]
    public function test_what_can_not_be_is_said_and_stays_typed(array $typed): void
    {
        $name = $this->held();
        $all = $typed + ['name' => $name->ascii, 'account' => (string) $this->gaining->id, 'per_day' => '7'];
        $this->get('/plans/create?'.http_build_query($all))->assertOk()->assertSee('Choose an account, and check the numbers');
        $this->post('/plans', $all + ['token' => House::token()])->assertRedirect();
        self::assertSame(0, Migration::query()->count());
    }

    /** Pilot, the rest once it has arrived, each lot by a Steward's yes, and the end. */
    public function test_from_the_pilot_to_the_end(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $names = [$this->held(), $this->held(), $this->held()];
        $plan = $this->planned(['per_day' => 2, 'pilot' => 1, 'stop_at' => 5], $names);
        self::assertSame(
            [['2026-10-06', 'pilot'], ['2026-10-15', 'after_pilot'], ['2026-10-15', 'after_pilot']],
            self::days($plan),
        );
        $this->get("/plans/{$plan->id}")->assertOk()->assertSee('One name is due.')->assertSee('Start one name');
        $this->actingAs($this->house->clerk)->post("/plans/{$plan->id}/start")->assertForbidden();
        $this->actingAs($this->house->steward)->post("/plans/{$plan->id}/start")->assertRedirect();
        $this->work($this->losing, $this->gaining, $this->losing, $this->gaining);
        self::assertSame($this->gaining->id, House::holder($names[0]));
        app(WatchPlans::class)->handle();
        $this->get("/plans/{$plan->id}")->assertSee('No name is due today.');
        $this->post("/plans/{$plan->id}/start")->assertSessionHasErrors('plan');
        $this->passes(9);
        $this->post("/plans/{$plan->id}/start")->assertRedirect();
        $this->post("/plans/{$plan->id}/start")->assertSessionHasErrors('plan');
        $this->work($this->losing, $this->gaining, $this->losing, $this->gaining);
        app(WatchPlans::class)->handle();
        self::assertSame(PlanState::Ended, $plan->refresh()->state);
        self::assertSame(2, Docket::query()->count());
        $this->get("/plans/{$plan->id}")->assertSee('It ended on 15 Oct 2026')->assertSee('£35.64');
        $this->get('/plans')->assertSee('Lantern Wholesale');
    }

    public function test_a_pilot_that_fails_stops_it(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $this->byWire($this->lantern, $this->gaining, 'epp.lantern.example:700');
        $names = [$this->held(), $this->held()];
        $plan = $this->planned(['per_day' => 2, 'pilot' => 1, 'stop_at' => 50], $names);
        $this->world->play($names[0]->ascii, 'registrar-refuses');
        $this->post("/plans/{$plan->id}/start")->assertRedirect();
        app(WatchPlans::class)->handle();
        self::assertSame(PlanState::Stopped, $plan->refresh()->state);
        $this->get("/plans/{$plan->id}")->assertSee('It has stopped: one name of the pilot failed')->assertSee('Let it go on');
        $this->passes(9);
        $this->post("/plans/{$plan->id}/start")->assertSessionHasErrors('plan');
        $this->post("/plans/{$plan->id}/go-on")->assertRedirect();
        app(WatchPlans::class)->handle();
        self::assertSame(PlanState::Running, $plan->refresh()->state, 'what failed is known');
        self::assertSame([null, 'failed'], self::days($plan)[0]);
        $this->world->play($names[0]->ascii, 'registrar-agrees');
        $today = app(TradeClock::class)->today()->date();
        $this->post("/plans/{$plan->id}/names/{$names[0]->ascii}", ['day' => $today])->assertRedirect();
        $this->post("/plans/{$plan->id}/start")->assertRedirect();
        $this->work($this->losing, $this->gaining, $this->losing, $this->gaining);
        app(WatchPlans::class)->handle();
        self::assertSame(PlanState::Ended, $plan->refresh()->state);
        self::assertSame(2, app(ReadPlan::class)->progress($plan->id)->done);
    }

    public function test_a_day_is_chosen_by_hand_only_where_it_is_safe(): void
    {
        $young = $this->house->name('young-'.self::$trials++.'.com', $this->losing, facts: [
            'created_on' => Instant::of('2026-09-01'),
            'ends_on' => Instant::of('2027-09-01'),
        ]);
        $plan = $this->planned(['per_day' => 2, 'pilot' => 0], [$young]);
        $move = "/plans/{$plan->id}/names/{$young->ascii}";
        $this->post($move, ['day' => '2026-10-20'])->assertSessionHasErrors(['plan' => 'It is not safe before 31 Oct 2026.']);
        $this->post($move, ['day' => '2027-08-30'])->assertSessionHasErrors([
            'plan' => 'It must begin by 22 Aug 2027, so that it has arrived before it ends.',
        ]);
        $this->post($move, ['day' => '2026-10-01'])->assertSessionHasErrors('plan');
        $this->post($move, ['day' => '2026-11-10'])->assertSessionHasNoErrors();
        self::assertSame([['2026-11-10', 'by_hand']], self::days($plan));
        $this->post($move, ['day' => ''])->assertSessionHasNoErrors();
        self::assertSame([[null, 'by_hand']], self::days($plan));
    }

    public function test_the_rest_is_planned_anew_and_called_off(): void
    {
        $names = [$this->held(lock: 'off'), $this->held(lock: 'off')];
        $plan = $this->planned(['per_day' => 1, 'pilot' => 0], $names);
        self::assertSame([['2026-10-06', 'first'], ['2026-10-07', 'full']], self::days($plan));
        $this->post("/plans/{$plan->id}/start")->assertRedirect();
        $this->passes(3);
        $this->post("/plans/{$plan->id}/anew")->assertRedirect();
        self::assertSame(['2026-10-09', 'first'], self::days($plan)[1]);
        $this->post("/plans/{$plan->id}/call-off")->assertRedirect();
        self::assertSame(PlanState::CalledOff, $plan->refresh()->state);
        $this->passes(30);
        $this->post("/plans/{$plan->id}/start")->assertSessionHasErrors('plan');
        self::assertSame([LineState::Begun], DocketLine::query()->get()->map(fn (DocketLine $line): LineState => $line->state)->all());
    }

    /** Rights don't add up: who planned so many can't be the one who lets them go. */
    public function test_four_eyes_hold_for_a_lot_too(): void
    {
        app(HouseSettings::class)->set(['four_eyes' => 1]);
        $plan = $this->planned(['per_day' => 5, 'pilot' => 0], [$this->held(lock: 'off'), $this->held(lock: 'off')]);
        $this->post("/plans/{$plan->id}/start")->assertRedirect();
        self::assertSame('prepared', DB::table('dockets')->value('state'), 'it waits for somebody else');
        $another = $this->planned(['per_day' => 5, 'pilot' => 0], [$this->held(lock: 'off'), $this->held(lock: 'off')]);
        $this->actingAs($this->house->owner)->post("/plans/{$another->id}/start")->assertRedirect();
        self::assertSame('settled', DB::table('dockets')->orderByDesc('id')->value('state'));
    }

    public function test_one_button_pressed_twice_makes_one_plan(): void
    {
        $form = ['name' => $this->held()->ascii, 'account' => $this->gaining->id, 'token' => House::token()];
        $first = $this->post('/plans', $form)->headers->get('Location');
        self::assertSame($first, $this->post('/plans', $form)->headers->get('Location'));
        self::assertSame(1, Migration::query()->count());
    }

    /** A name in which the mailbox of another's registrant lies goes after it. */
    public function test_what_guards_others_goes_last(): void
    {
        $guard = $this->house->name('guard-'.self::$trials++.'.com', $this->losing);
        $guarded = $this->house->name('guarded-'.self::$trials++.'.com', $this->losing, facts: [
            'registrant' => 'Wickerby Bell Foundry',
            'mailbox' => "desk@{$guard->ascii}",
        ]);
        $plan = $this->planned(['per_day' => 5, 'pilot' => 0], [$guard, $guarded]);
        self::assertSame([['2026-10-15', 'guard_last'], ['2026-10-06', 'first']], self::days($plan));
    }
}
