<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\EndLines;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Models\Docket;
use App\Models\LineState;
use App\Models\Name;
use App\Models\NameRole;
use App\Models\Registrant;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Another legal holder for names: judged per suffix before it starts, done by a slip, the one before kept with their time. */
final class ChangeOfRegistrantTest extends TestCase
{
    use PressesDeeds;

    private House $house;

    private Contact $new;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House;
        app(TradeClock::class)->set(Instant::of('2026-03-01T10:00:00Z'));
        foreach (['bell.com', 'bell.co.uk', 'bell.de'] as $name) {
            $this->house->name($name, facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        }
        app(TradeClock::class)->set(Instant::of('2026-10-06T09:00:00Z'));
        $this->actingAs($this->house->steward)->post('/contacts', ['kind' => 'organisation', 'organisation' => 'Peal Trust', 'mailbox' => 'desk@peal.example', 'client_id' => $this->house->foundry->id])->assertRedirect();
        $this->new = Contact::query()->findOrFail(ContactVersion::query()->where('organisation', 'Peal Trust')->sole()->contact_id);
    }

    private function address(string $name): string
    {
        return "/deeds/change_registrant?name={$name}&contact={$this->new->id}&agreement=".urlencode('Registrant agreement of 1 July 2026').'&authority='.urlencode('Gudrun Kettle, by letter of 2 October');
    }

    private function registrant(string $name): string
    {
        return Registrant::query()->findOrFail(Name::query()->where('ascii', $name)->sole()->id)->called;
    }

    public function test_what_it_starts_and_who_must_confirm_is_said_by_suffix(): void
    {
        $this->get('/deeds/change_registrant?name=bell.com')->assertOk()->assertSee('Peal Trust · desk@peal.example');
        // Without what was agreed to there is nothing to judge.
        $this->get("/deeds/change_registrant?name=bell.com&contact={$this->new->id}")->assertDontSee('can go now');
        $this->get($this->address('bell.com'))->assertSeeInOrder(['Make Peal Trust the registrant of one name', 'Wickerby Bell Foundry', 'Peal Trust', 'desk@peal.example must be verified by 21 Oct', 'may not go to another registrar before 5 Dec', 'move it first', 'Registrars will ask what is not known of Peal Trust', 'Both confirm it by a letter of the registrar, ledger@bells.example and desk@peal.example']);
        $this->house->skerry->update(['hold_declinable' => true]);
        $this->get($this->address('bell.com'))->assertSee('Skerry Registrations lets the hold until 5 Dec')->assertDontSee('Nobody sees that hold');
        $this->get($this->address('bell.co.uk'))->assertSee('it goes through the registry, on a form of its own')->assertDontSee('must be verified');
        $this->get($this->address('bell.de'))->assertSee('desk@peal.example is asked to confirm it')->assertDontSee('may not go to another registrar');
    }

    public function test_the_new_one_is_found_by_number_mailbox_or_name_and_two_of_one_name_are_told_apart(): void
    {
        $as = fn (string $said): string => str_replace("contact={$this->new->id}", 'contact='.urlencode($said), $this->address('bell.com'));
        foreach (['desk@PEAL.example', 'peal trust', " {$this->new->id} "] as $said) {
            $this->get($as($said))->assertSee('Make Peal Trust the registrant of one name');
        }
        $this->get('/contacts/'.$this->new->id)->assertSee("Contact {$this->new->id}, ");
        $this->post('/contacts', ['kind' => 'organisation', 'organisation' => 'Peal Trust', 'mailbox' => 'other@peal.example'])->assertRedirect();
        foreach (['Peal Trust', 'Nobody at all', '99999999999999999999'] as $said) {
            $this->get($as($said))->assertSee('No contact is called so, or more than one is')->assertSee('value="'.$said.'"', false)->assertDontSee('can go now');
        }
        $this->get('/deeds/change_registrant?name=bell.com&contact[]=1&agreement[]=2')->assertOk();
    }

    public function test_done_by_its_slip_the_old_one_stays_on_record_and_the_hold_stands_in_our_books(): void
    {
        $this->pressAs($this->house->steward, $this->address('bell.com'))->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder(['Change the registrant of these names', 'Organisation', 'Peal Trust', 'Mailbox', 'desk@peal.example', 'bell.com']);
        self::assertSame('Wickerby Bell Foundry', $this->registrant('bell.com'), 'nothing is written before it is done');
        $agreed = Row::of(DB::table('agreements')->where('docket_id', $docket->id)->sole());
        self::assertSame(['Registrant agreement of 1 July 2026', 'Gudrun Kettle, by letter of 2 October', $this->house->steward->id], [$agreed->text('words'), $agreed->text('authority'), $agreed->int('user_id')]);
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        self::assertSame(['Peal Trust', 'Wickerby Bell Foundry'], [$this->registrant('bell.com'), $this->registrant('bell.de')]);
        $spans = NameRole::query()->where('name_id', Name::query()->where('ascii', 'bell.com')->sole()->id)->orderBy('id')->get();
        self::assertSame([['2026-03-01', '2026-10-06', null], ['2026-10-06', null, $docket->id]], $spans->map(fn (NameRole $role): array => [$role->span->from?->date(), $role->span->until?->date(), $role->docket_id])->all());
        $this->get('/names/bell.com?on=2026-05-01')->assertSeeInOrder(['Not before 5 Dec', 'Registrant:', 'Wickerby Bell Foundry', 'Peal Trust', "docket {$docket->id}"])->assertSee('must show by 21 Oct')->assertSee('its registrant changed');
        $this->get('/roll?finding=lifecycle.may_not_move')->assertSee('bell.com')->assertDontSee('bell.de');
        $this->get($this->address('bell.com'))->assertSee('It is so already');
        $this->get("/dockets/{$docket->id}/proof.txt")->assertSee("registrant from now on: contact {$this->new->id}")->assertDontSee('Peal Trust');
        $this->get("/dockets/{$docket->id}")->assertSee('Peal Trust');
    }

    public function test_a_refusal_leaves_everything_as_it_was_and_without_a_mailbox_nobody_could_confirm(): void
    {
        $this->pressAs($this->house->steward, $this->address('bell.com'))->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        app(EndLines::class)->refused($this->house->steward, $docket, null, 'The prior registrant said no');
        self::assertSame(['Wickerby Bell Foundry', LineState::Refused], [$this->registrant('bell.com'), $docket->lines()->sole()->state]);
        $this->put("/contacts/{$this->new->id}", ['kind' => 'organisation', 'organisation' => 'Peal Trust', 'version' => 1])->assertRedirect();
        $this->get($this->address('bell.com'))->assertSee('Peal Trust has no mailbox, and nobody could confirm for them')->assertSee('0 of 1 can go now');
        $this->actingAs($this->house->reader)->get($this->address('bell.com'))->assertForbidden();
    }
}
