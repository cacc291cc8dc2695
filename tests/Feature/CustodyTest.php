<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use App\Actions\Proofs\VerifyProofs;
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
        $this->house = new House();
        $this->odile = Custodian::query()->create(['name' => 'Odile Harrow']);
        $this->theo = Custodian::query()->create(['name' => 'Theo Tern']);
        $this->actingAs($this->house->steward);
    }

    private function give(Custodian $who, string $part, ?string $until = null): void
    {
        $this->post("/accounts/{$this->house->ours->id}/custody", ['custodian' => $who->id, 'part' => $part, 'good_until' => $until])
            ->assertSessionHasNoErrors()
            ->assertRedirect();
    }

    public function test_what_is_at_risk_is_said_at_the_account_and_for_all(): void
    {
        $path = "/accounts/{$this->house->ours->id}";
        $this->house->name('bell.com', facts: ['intent' => Intent::ByItself, 'ends_on' => Instant::of('2026-11-20')]);
        $this->house->ours->update(['mailbox' => 'desk@mail.bell.com']);
        $this->get($path)
            ->assertSee('Nobody here can sign in any more')
            ->assertSee('Its login mailbox desk@mail.bell.com is in bell.com, which is held in this very account')
            ->assertSee('is not recorded');
        $this->give($this->odile, 'signs_in');
        $this->give($this->odile, 'card', '2026-10-31');
        $this->get($path)
            ->assertSee('Only Odile Harrow can sign in')
            ->assertSee('The payment card of Odile Harrow expires on 31 Oct, and a charge is due on 13 Nov');
        $this->get('/rounds')->assertSee('Skerry Registrations 40718')->assertSee('the payment card of Odile Harrow expires');
        $this->give($this->theo, 'signs_in');
        $this->give($this->theo, 'second_factor');
        $this->get('/custody')
            ->assertDontSee('Only Odile Harrow can sign in')
            ->assertSee('Only Theo Tern has the second factor')
            ->assertSee('Odile Harrow, until 31 Oct 2026');
        $this->actingAs($this->house->clerk)
            ->post("{$path}/custody", ['custodian' => $this->theo->id, 'part' => 'signs_in'])
            ->assertForbidden();
        $this->actingAs($this->house->steward)
            ->post("{$path}/custody", ['custodian' => 999, 'part' => 'soul'])
            ->assertSessionHasErrors(['custodian', 'part']);
        $this->delete("{$path}/custody", ['custodian' => $this->theo->id, 'part' => 'signs_in'])->assertRedirect();
        $this->get($path)->assertSee('Only Odile Harrow can sign in');
        DB::table('registrations')->update(['intent' => 'lapse']);
        app(MakeStandings::class)->staleByRulebook(all: true);
        app(MakeStandings::class)->due();
        $this->get($path)->assertSee('which will lapse: whoever registers that name next can sign in here');
    }

    public function test_what_stops_if_she_leaves_is_answered_and_handed_over_account_by_account(): void
    {
        $this->house->name('bell.com');
        foreach (['signs_in', 'second_factor', 'card'] as $part) {
            $this->give($this->odile, $part);
        }
        $this->get("/custody/{$this->odile->id}")->assertSeeInOrder(
            [
                'What stops working if Odile Harrow leaves?',
                'For one account',
                'One name is held there',
                'the login, the second factor, the card',
                'Nothing changes here until you mark it',
                'Start',
            ],
            false,
        );
        $this->get("/custody/{$this->theo->id}")->assertSee('Nothing: no account access is recorded for them.');
        $this->post("/custody/{$this->odile->id}/leave")->assertSessionHas('told');
        self::assertSame(
            1,
            DB::table('log')->where('event', 'changed')->where('subject', 'custodian')->where('subject_id', $this->odile->id)->count(),
            'who left when is in the log',
        );
        $this->get('/custody')
            ->assertSee('has left')
            ->assertSee('Odile Harrow has left, and still has access')
            ->assertSee('Nobody here can sign in any more');
        $this->get('/rounds')->assertSee('obody here can sign in any more')->assertSee('nobody can reach the one name held there');
        $path = "/custody/{$this->odile->id}/hand-over";
        foreach ([[], ['to' => $this->odile->id], ['to' => 999]] as $wrong) {
            $this->post($path, $wrong)->assertSessionHasErrors('to');
        }
        $this->actingAs($this->house->clerk)
            ->post($path, ['to' => $this->theo->id])
            ->assertForbidden();
        app(TradeClock::class)->set(Instant::of('2026-10-07T09:00:00Z'));
        $slip = $this->begin($this->odile, $this->theo);
        self::assertSame($slip, $this->begin($this->odile, $this->theo), 'it is begun once');
        self::assertSame(
            3,
            DB::table('custodies')->where('custodian_id', $this->odile->id)->whereRaw('upper_inf(span)')->count(),
            'nothing changes before it is done there',
        );
        $this->get($slip)->assertSeeInOrder(
            [
                'Hand over the access of Odile Harrow to Theo Tern',
                'One account is left to do',
                '40718',
                'Give Theo Tern a login, and remove Odile Harrow’s',
                'to do',
                'Mark as done',
            ],
            false,
        );
        $this->get("/custody/{$this->odile->id}")
            ->assertSee('under way')
            ->assertDontSee('Start');
        $this->get('/rounds')->assertSee('Access of Odile Harrow goes to Theo Tern')->assertSee('one account left to do');

        $this->post($slip, ['how' => 'done'])->assertSessionHasErrors('accounts');
        $this->actingAs($this->house->reader)
            ->post($slip, ['how' => 'done', 'accounts' => [$this->house->ours->id]])
            ->assertForbidden();
        $this->actingAs($this->house->clerk)
            ->post($slip, ['how' => 'done', 'accounts' => [$this->house->ours->id]])
            ->assertSessionHas('told', 'Done for one account.');
        $this->post($slip, ['how' => 'done', 'accounts' => [$this->house->ours->id]])->assertSessionHas('told', 'Nothing was open.');
        $this->get("/accounts/{$this->house->ours->id}")
            ->assertSee('Only Theo Tern can sign in')
            ->assertDontSee('Odile Harrow');
        $this->get('/rounds')->assertDontSee('nobody can reach')->assertDontSee('What Odile Harrow has');
        self::assertSame(
            ['second_factor', 'signs_in'],
            DB::table('custodies')->whereRaw('upper_inf(span)')->orderBy('part')->pluck('part')->all(),
            'a card stays its holder’s',
        );
        self::assertSame(
            3,
            DB::table('custodies')->where('custodian_id', $this->odile->id)->whereRaw('NOT upper_inf(span)')->count(),
            'who had what before stays readable',
        );

        // Its proof stands in the house's chain, and what it tells of is held against it.
        $text = (string) $this->get("{$slip}/proof.txt")
            ->assertOk()
            ->assertHeader('Content-Disposition', 'attachment; filename="handing-'.basename($slip).'.txt"')
            ->getContent();
        self::assertStringContainsString("from: custodian {$this->odile->id}\nto: custodian {$this->theo->id}\n", $text);
        self::assertStringContainsString(
            "parts: card, second factor, signs in\nresult: done on 2026-10-07 by person {$this->house->clerk->id}\n",
            $text,
        );
        $this->get($slip)->assertSee(hash('sha256', $text))->assertSee('Closed on');
        $walk = fn (): array => iterator_to_array(app(VerifyProofs::class)->handle(), false);
        self::assertSame([['handing '.basename($slip), null]], $walk());
        DB::table('handing_lines')->update(['ended_by' => $this->house->steward->id]);
        self::assertStringContainsString('its lines are not what its text says', (string) $walk()[0][1]);
    }

    /** @return string the address of the slip by which what one has goes to another */
    private function begin(Custodian $from, Custodian $to): string
    {
        $answer = $this->actingAs($this->house->steward)
            ->post("/custody/{$from->id}/hand-over", ['to' => $to->id])
            ->assertSessionHasNoErrors();

        return (string) parse_url((string) $answer->headers->get('Location'), PHP_URL_PATH);
    }

    public function test_pages_agree_about_somebody_who_has_left_and_about_who_can_sign_in(): void
    {
        $this->house->name('bell.com');
        $this->give($this->odile, 'signs_in');
        $this->give($this->odile, 'second_factor');
        $lost = "/accounts/{$this->house->ours->id}/lost";
        $this->get($lost)->assertSee('Odile Harrow can sign in today: ask them first.')->assertDontSee('Nobody here can sign in');
        $this->post("/custody/{$this->odile->id}/leave")->assertSessionHas('told');
        $this->get("/custody/{$this->odile->id}")
            ->assertSee('something that is needed')
            ->assertDontSee('Nothing stops');
        $this->get('/custody')->assertSee('Nobody here can sign in any more');
        $this->get($lost)->assertSee('Nobody here can sign in any more, and one name is held there.');
        // Whoever has a login already needs none.
        $this->give($this->theo, 'signs_in');
        $this->get($this->begin($this->odile, $this->theo))
            ->assertSee('Theo Tern already has it; remove Odile Harrow’s')
            ->assertDontSee('Give Theo Tern a login')
            ->assertSee('Move the second factor to Theo Tern’s device');
    }

    public function test_what_is_left_as_it_is_says_why_and_is_a_stewards_to_say(): void
    {
        $this->give($this->odile, 'signs_in');
        $slip = $this->begin($this->odile, $this->theo);
        $this->get("{$slip}/proof.txt")->assertNotFound();
        $left = ['how' => 'left', 'accounts' => [$this->house->ours->id], 'words' => 'She keeps it until the audit'];
        $this->post($slip, ['words' => ' '] + $left)->assertSessionHasErrors('words');
        $this->actingAs($this->house->clerk)->post($slip, $left)->assertForbidden();
        $this->actingAs($this->house->steward)->post($slip, $left)->assertSessionHas('told', 'Unchanged for one account.');
        self::assertSame(1, DB::table('custodies')->where('custodian_id', $this->odile->id)->whereRaw('upper_inf(span)')->count());
        $this->get($slip)->assertSee('unchanged')->assertSee('She keeps it until the audit');
        self::assertStringContainsString('reason: She keeps it until the audit', (string) $this->get("{$slip}/proof.txt")->getContent());
        // And it can be begun anew.
        self::assertNotSame($slip, $again = $this->begin($this->odile, $this->theo));
        // What was taken from her meanwhile she can't hand on.
        $this->delete("/accounts/{$this->house->ours->id}/custody", ['custodian' => $this->odile->id, 'part' => 'signs_in']);
        $this->post($again, ['how' => 'done', 'accounts' => [$this->house->ours->id]])->assertSessionHas('told', 'Done for one account.');
        self::assertSame(0, DB::table('custodies')->whereRaw('upper_inf(span)')->count());
    }

    public function test_the_way_back_into_a_lost_account_is_a_slip(): void
    {
        $this->give($this->odile, 'way_back');
        $this->house->ours->update(['way_back' => 'Codes in the grey safe', 'mailbox' => 'desk@harrow.example']);
        $this->get("/accounts/{$this->house->ours->id}/lost")->assertSeeInOrder([
            'Ask whoever holds the recovery codes',
            'Odile Harrow',
            'Codes in the grey safe',
            'desk@harrow.example',
            'second factor',
            '40718',
        ]);
        $this->post('/custody', ['name' => 'odile HARROW'])->assertSessionHasErrors('name');
        $this->post('/custody', ['name' => 'Bo Lindqvist', 'mailbox' => 'bo@quayside.example'])->assertRedirect();
        self::assertSame(3, Custodian::query()->count());
    }
}
