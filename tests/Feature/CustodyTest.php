<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use App\Actions\Standings\MakeStandings;
use App\Models\Custodian;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Who can get into accounts, what stops if they leave, and handing it to another. */
final class CustodyTest extends TestCase
{
    private House $house;

    private Custodian $odile;

    private Custodian $theo;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House;
        $this->odile = Custodian::query()->create(['name' => 'Odile Harrow']);
        $this->theo = Custodian::query()->create(['name' => 'Theo Tern']);
        $this->actingAs($this->house->steward);
    }

    private function give(Custodian $who, string $part, ?string $until = null): void
    {
        $this->post("/accounts/{$this->house->ours->id}/custody", ['custodian' => $who->id, 'part' => $part, 'good_until' => $until])->assertSessionHasNoErrors()->assertRedirect();
    }

    public function test_what_is_at_risk_is_said_at_the_account_and_for_all(): void
    {
        $path = "/accounts/{$this->house->ours->id}";
        $this->house->name('bell.com', facts: ['intent' => Intent::ByItself, 'ends_on' => Instant::of('2026-11-20')]);
        $this->house->ours->update(['mailbox' => 'desk@mail.bell.com']);
        $this->get($path)->assertSee('Nobody who is still there can sign in')->assertSee('Its login mailbox desk@mail.bell.com lies in bell.com, which is kept in this very account')->assertSee('is not written down');
        $this->give($this->odile, 'signs_in');
        $this->give($this->odile, 'card', '2026-10-31');
        $this->get($path)->assertSee('Odile Harrow alone can sign in')->assertSee('The card of Odile Harrow is good until 31 Oct, and something is charged on 13 Nov');
        $this->get('/rounds')->assertSee('Skerry Registrations 40718')->assertSee('the card of Odile Harrow that pays there ends');
        $this->give($this->theo, 'signs_in');
        $this->give($this->theo, 'second_factor');
        $this->get('/custody')->assertDontSee('alone can sign in')->assertSee('Theo Tern alone holds the second factor')->assertSee('Odile Harrow, until 31 Oct 2026');
        $this->actingAs($this->house->clerk)->post("{$path}/custody", ['custodian' => $this->theo->id, 'part' => 'signs_in'])->assertForbidden();
        $this->actingAs($this->house->steward)->post("{$path}/custody", ['custodian' => 999, 'part' => 'soul'])->assertSessionHasErrors(['custodian', 'part']);
        $this->delete("{$path}/custody", ['custodian' => $this->theo->id, 'part' => 'signs_in'])->assertRedirect();
        $this->get($path)->assertSee('Odile Harrow alone can sign in');
        DB::table('registrations')->update(['intent' => 'lapse']);
        app(MakeStandings::class)->staleByRulebook(all: true);
        app(MakeStandings::class)->due();
        $this->get($path)->assertSee('which is meant to lapse: whoever registers that next can sign in here');
    }

    public function test_what_stops_if_she_leaves_is_answered_and_handed_over_account_by_account(): void
    {
        $this->house->name('bell.com');
        foreach (['signs_in', 'second_factor', 'card'] as $part) {
            $this->give($this->odile, $part);
        }
        $this->get("/custody/{$this->odile->id}")->assertSeeInOrder(['What stops if Odile Harrow leaves?', 'One account', 'with one name in it', 'the login, the second factor, the card', 'Give the new person a login', 'It is handed over'], false);
        $this->get("/custody/{$this->theo->id}")->assertSee('Nothing: no part of any account is written down as theirs.');
        $this->post("/custody/{$this->odile->id}/leave")->assertSessionHas('told');
        self::assertSame(1, DB::table('log')->where('event', 'changed')->where('subject', 'custodian')->where('subject_id', $this->odile->id)->count(), 'who left when is in the log');
        $this->get('/custody')->assertSee('has left')->assertSee('Odile Harrow has left, and still holds something of it')->assertSee('Nobody who is still there can sign in');
        $this->get('/rounds')->assertSee('obody who is still there can sign in')->assertSee('nobody gets at the one name in it');
        $path = "/custody/{$this->odile->id}/hand-over";
        $this->post($path, ['to' => $this->theo->id])->assertSessionHasErrors('accounts');
        $this->post($path, ['accounts' => [$this->house->ours->id]])->assertSessionHasErrors('to');
        app(TradeClock::class)->set(Instant::of('2026-10-07T09:00:00Z'));
        $this->post($path, ['to' => $this->theo->id, 'accounts' => [$this->house->ours->id]])->assertSessionHas('told', 'One account is handed to Theo Tern.');
        $this->post($path, ['to' => $this->theo->id, 'accounts' => [$this->house->ours->id]])->assertSessionHas('told', 'Nothing was handed over.');
        $this->get("/accounts/{$this->house->ours->id}")->assertSee('Theo Tern alone can sign in')->assertDontSee('Odile Harrow');
        $this->get('/rounds')->assertDontSee('nobody gets at');
        self::assertSame(['second_factor', 'signs_in'], DB::table('custodies')->whereRaw('upper_inf(span)')->orderBy('part')->pluck('part')->all(), 'a card stays its holder’s');
        self::assertSame(3, DB::table('custodies')->where('custodian_id', $this->odile->id)->whereRaw('NOT upper_inf(span)')->count(), 'who had what before stays readable');
        $this->post($path, ['to' => $this->odile->id, 'accounts' => [1]])->assertSessionHasErrors('to');
        $this->actingAs($this->house->reader)->post($path, ['to' => $this->theo->id, 'accounts' => [1]])->assertForbidden();
    }

    public function test_the_way_back_into_a_lost_account_is_a_slip(): void
    {
        $this->give($this->odile, 'way_back');
        $this->house->ours->update(['way_back' => 'Codes in the grey safe', 'mailbox' => 'desk@harrow.example']);
        $this->get("/accounts/{$this->house->ours->id}/lost")->assertSeeInOrder(['Ask whoever holds the way back', 'Odile Harrow', 'Codes in the grey safe', 'desk@harrow.example', 'second factor', '40718']);
        $this->post('/custody', ['name' => 'odile HARROW'])->assertSessionHasErrors('name');
        $this->post('/custody', ['name' => 'Bo Lindqvist', 'mailbox' => 'bo@quayside.example'])->assertRedirect();
        self::assertSame(3, Custodian::query()->count());
    }
}
