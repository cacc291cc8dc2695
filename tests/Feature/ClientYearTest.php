<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\ZoneCopy;
use App\Actions\Money\WriteLedger;
use App\Actions\Servers\ZoneCopies;
use App\Models\Client;
use App\Models\Name;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** A client's year, and on how few days their names could end. A .com costs 9.90 there. */
final class ClientYearTest extends TestCase
{
    private House $house;

    private Client $client;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->client = $this->house->foundry;
        $this->actingAs($this->house->steward);
    }

    private function held(string $ascii, string $ends, Intent $intent = Intent::WhenTold): Name
    {
        return $this->house->name($ascii, facts: ['ends_on' => Instant::of($ends), 'intent' => $intent]);
    }

    public function test_what_each_cost_and_will_cost_and_what_may_go(): void
    {
        $this->client->update(['surcharge_percent' => '10']);
        $kept = $this->held('kept.com', '2027-03-01');
        $empty = $this->held('empty.com', '2027-05-01');
        $this->held('lapsing.com', '2027-01-01', Intent::Lapse);
        $this->held('later.com', '2028-05-01');
        $dark = $this->held('dark.com', '2026-12-01');
        $on = app(WriteLedger::class);
        foreach (['2025-10-06' => '5.00', '2025-10-07' => '9.90', '2026-10-06' => '20.00'] as $day => $sum) {
            $on->entry($this->house->ours->id, $kept->id, 'renew', Money::of("-{$sum}", 'GBP'), Instant::of($day), 'hand');
        }
        $zone = fn (string $of, Entry ...$entries): ZoneCopy => ZoneCopy::of($of, [
            new Entry($of, 'NS', 3600, 'ns1.a.example.'),
            ...$entries,
        ]);
        $zones = app(ZoneCopies::class);
        $zones->keep($empty->id, $zone('empty.com'), 'asked', '', Instant::of('2026-10-01'));
        $pages = $zone('kept.com', new Entry('kept.com', 'A', 60, '192.0.2.1'));
        $zones->keep($kept->id, $pages, 'asked', '', Instant::of('2026-10-01'));
        DB::insert(
            "INSERT INTO pointing_faults (name_id, finding, host, said, cost, first_seen) VALUES (?, 'not_delegated', '', '{}', 1, now())",
            [$dark->id],
        );
        $this->get("/clients/{$this->client->id}/year")
            ->assertOk()
            ->assertSee('Spent: £32.89.')
            ->assertSee('To come, if everything is kept: £32.67.')
            ->assertSee('We advise to let some go: that saves £21.78.')
            ->assertSeeInOrder(['dark.com', '£10.89', 'Let it go', 'No name server answers for it'])
            ->assertSeeInOrder(['lapsing.com', 'It is meant to lapse on'])
            ->assertSeeInOrder(['kept.com', '£32.89', '£10.89'])
            ->assertSeeInOrder(['empty.com', '£10.89', 'Let it go', 'It has neither pages nor mail'])
            ->assertSeeInOrder(['later.com', '1 May 2028'])
            ->assertSee('is better kept');
        $this->actingAs($this->house->reader)->get("/clients/{$this->client->id}/year")->assertOk()->assertDontSee('Fewer renewal dates');
        $this->get("/clients/{$this->client->id}/ends")->assertForbidden();
    }

    public function test_on_fewer_days(): void
    {
        $this->held('one.com', '2026-11-02');
        $this->held('two.com', '2027-11-20');
        $this->held('three.com', '2027-03-01');
        $this->held('lapsing.com', '2027-01-01', Intent::Lapse);
        $this->house->name('theirs.com', $this->house->theirs, facts: ['ends_on' => Instant::of('2027-08-01')]);
        $this->get("/clients/{$this->client->id}/year")->assertSee("/clients/{$this->client->id}/ends", false);
        $this->get("/clients/{$this->client->id}/ends")
            ->assertOk()
            ->assertSee('3 names end in 3 months')
            ->assertSeeInOrder(['2027', '2 months', 'Mar, Nov', '£9.90', 'one name for one year'])
            ->assertSeeInOrder(['2028', '£39.60', '2 names for one year', 'one name for 2 years'])
            ->assertDontSee('lapsing.com')
            ->assertDontSee('theirs.com')
            ->assertSee('/deeds/renew?years=1&amp;name=three.com%2Ctwo.com', false);
    }
}
