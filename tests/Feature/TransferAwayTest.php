<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Deeds\EndLines;
use App\Actions\Outside\Observe;
use App\Actions\Transfer\HandOutCodes;
use App\Models\AuthCode;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\Letter;
use App\Models\LineState;
use App\Models\Name;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Names leave for a registrar where we have no account: prepared, their codes handed out safely, and watched until they are gone. */
#[Group('world')]
final class TransferAwayTest extends TestCase
{
    use TwoRegistrars;

    private const TO = '&to=Farshore+Domains';

    private function pressed(string $also, Name ...$names): Docket
    {
        $which = implode(',', array_map(fn (Name $name): string => $name->ascii, $names));
        $this->pressAs($this->house->steward, "/deeds/transfer_away?name={$which}".self::TO.$also)->assertRedirect();

        return Docket::query()->latest('id')->firstOrFail();
    }

    /** The link in the last letter that came. */
    private function link(): string
    {
        $letters = $this->world->letters($this->mailbox());
        preg_match('~/answer/[A-Za-z0-9_-]{43}~', quoted_printable_decode((string) end($letters)), $found);

        return $found[0] ?? self::fail('No letter with a link has come.');
    }

    private function mailbox(): string
    {
        return strtolower("desk@{$this->losing->number}.example");
    }

    public function test_by_wire_the_code_is_handed_out_once_and_the_name_seen_to_leave(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $name = $this->held();
        $this->get("/deeds/transfer_away?name={$name->ascii}".self::TO)->assertSee('1 of 1 can go now')->assertDontSee('Costs');
        $docket = $this->pressed('&mailbox='.$this->mailbox(), $name);
        $this->work($this->losing);
        self::assertSame(
            ['lift_lock' => true, 'code' => true, 'hand_out' => false, 'answer' => false, 'arrive' => false],
            self::legs($docket),
        );
        app(HandOutCodes::class)->due();
        app(HandOutCodes::class)->due();
        $letter = Letter::query()->where('kind', 'codes')->sole();
        self::assertSame($this->mailbox(), $letter->mailbox);
        self::assertStringNotContainsString('Xy7-k2pQ', $letter->body.$letter->subject);
        $this->get("/dockets/{$docket->id}")->assertSee("The auth codes were sent to {$this->mailbox()}")->assertDontSee('Xy7-k2pQ');
        auth()->logout();
        $link = $this->link();
        $this->get($link)->assertOk()->assertSee($name->ascii)->assertDontSee('Xy7-k2pQ');
        $this->post($link, ['answer' => 'yes'])->assertOk()->assertSee('Xy7-k2pQ');
        $this->post($link, ['answer' => 'yes'])->assertStatus(410)->assertDontSee('Xy7-k2pQ');
        $this->get($link)->assertStatus(410);
        self::assertSame(1, DB::table('log')->where('event', 'code_handed')->where('subject_id', $name->id)->count());
        $this->actingAs($this->house->steward);
        $this->get("/dockets/{$docket->id}")->assertSee("The auth codes were shown to {$this->mailbox()}");
        self::assertTrue(self::legs($docket)['hand_out']);
        // The new registrar asks, and the losing side says yes.
        $this->world->play($name->ascii, 'transfer');
        $this->world->play($name->ascii, 'approves');
        $this->work($this->losing);
        self::assertSame(LineState::Done, DocketLine::query()->where('docket_id', $docket->id)->sole()->state);
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertSame(0, DB::table('holdings')->where('name_id', $name->id)->whereRaw('upper_inf(span)')->count());
        self::assertNull(AuthCode::query()->find($name->id));
        $this->followingRedirects()->get("/names/{$name->ascii}")->assertOk()->assertSee('transferred away to Farshore Domains');
    }

    public function test_by_slip_it_is_gone_when_its_record_says_so(): void
    {
        $name = $this->held(lock: 'off');
        $docket = $this->pressed('', $name);
        $this->get("/dockets/{$docket->id}")
            ->assertSeeInOrder(['Request the auth codes of these names', 'Approve the transfer'])
            ->assertSee('Enter the auth code of one name');
        $this->post('/deeds/codes', ['codes' => "{$name->ascii} Xy7-k2pQ"]);
        self::assertTrue(self::legs($docket)['code']);
        app(HandOutCodes::class)->due();
        self::assertSame(0, Letter::query()->where('kind', 'codes')->count(), 'nobody is written to who was not named');
        app(Observe::class)->of([$name->id]);
        self::assertSame(LineState::Begun, DocketLine::query()->where('docket_id', $docket->id)->sole()->state);
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [self::atRegistry($name->ascii, [], ['registrar' => 'farshore'])],
        ]);
        DB::table('observing')->where('name_id', $name->id)->update(['due_at' => '-infinity']);
        app(Observe::class)->of([$name->id]);
        self::assertSame(LineState::Done, DocketLine::query()->where('docket_id', $docket->id)->sole()->state);
        self::assertSame(1, DB::table('watchings')->where('name_id', $name->id)->count());
    }

    public function test_called_off_its_lock_is_set_again_and_its_code_shown_to_nobody(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $name = $this->held();
        $docket = $this->pressed('&mailbox='.$this->mailbox(), $name);
        $this->work($this->losing);
        app(HandOutCodes::class)->due();
        $link = $this->link();
        app(EndLines::class)->calledOff($this->house->steward, $docket);
        $this->work($this->losing);
        self::assertSame('on', DB::table('registrations')->where('name_id', $name->id)->value('lock'));
        self::assertTrue(self::legs($docket)['set_lock']);
        $this->get($link)->assertStatus(410);
        $this->post($link, ['answer' => 'yes'])->assertStatus(410);
    }

    public function test_a_link_that_nobody_used_is_replaced(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $docket = $this->pressed('&mailbox='.$this->mailbox(), $this->held());
        $this->work($this->losing);
        app(HandOutCodes::class)->due();
        $first = $this->link();
        $this->actingAs($this->house->reader)->post("/dockets/{$docket->id}/codes")->assertForbidden();
        $this->actingAs($this->house->steward)->post("/dockets/{$docket->id}/codes")->assertRedirect();
        self::assertNotSame($first, $this->link());
        $this->get($first)->assertStatus(410);
        $this->get($this->link())->assertOk();
    }

    public function test_a_tag_is_asked_for_where_names_go_by_it(): void
    {
        $name = $this->held(suffix: 'co.uk', lock: 'off');
        $this->get("/deeds/transfer_away?name={$name->ascii}".self::TO)
            ->assertSee('.co.uk names are transferred by registrar tag, and that of Farshore Domains is not known');
        $docket = $this->pressed('&tag=farshore', $name);
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder(['Change the registrar tag of these names', 'FARSHORE']);
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertRedirect();
        self::assertSame(1, DB::table('watchings')->where('name_id', $name->id)->count());
    }

    public function test_what_can_not_be_is_refused_and_stays_typed(): void
    {
        $name = $this->held();
        $this->get("/deeds/transfer_away?name={$name->ascii}&to=Farshore&mailbox=nobody+here")
            ->assertOk()
            ->assertSee('That is no e-mail address')
            ->assertSee('value="nobody here"', false)
            ->assertSee('value="Farshore"', false);
        $this->losing->update(['access' => 'theirs']);
        $this->get("/deeds/transfer_away?name={$name->ascii}".self::TO)->assertSee('0 of 1 can go now');
    }

    /** A transfer that nobody here began: told, refused by one press where the losing side takes commands, and the name stays. */
    public function test_one_that_nobody_here_began_is_refused(): void
    {
        $this->byWire($this->house->skerry, $this->losing, 'epp.skerry.example:700');
        $name = $this->held(lock: 'off');
        $this->world->play($name->ascii, 'transfer', 'farshore');
        $this->work($this->losing);
        $this->get("/deeds/refuse_transfer?name={$name->ascii}")
            ->assertSee('1 of 1 can go now')
            ->assertSee('stays at Skerry Registrations');
        $this->pressAs($this->house->steward, "/deeds/refuse_transfer?name={$name->ascii}")->assertRedirect();
        $this->work($this->losing);
        self::assertSame(LineState::Done, DocketLine::query()->sole()->state);
        self::assertSame($this->losing->id, House::holder($name));
        self::assertContains('transfer 1000', $this->world->heard($this->losing->number));
        $this->pressAs($this->house->steward, "/deeds/refuse_transfer?name={$name->ascii}");
        $this->work($this->losing);
        self::assertSame(LineState::Refused, DocketLine::query()->latest('id')->firstOrFail()->state, 'there is none any more');
    }

    public function test_our_own_transfer_is_called_off_and_not_refused(): void
    {
        $name = $this->held(lock: 'off');
        $this->pressed('', $name);
        $this->get("/deeds/refuse_transfer?name={$name->ascii}")->assertSee('0 of 1 can go now')->assertSee('which is under way');
    }
}
