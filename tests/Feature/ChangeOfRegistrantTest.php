<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use Acre\Wire\Mail\MailLetter;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\EndLines;
use App\Actions\Names\GatherNames;
use App\Actions\Registrants\ResumeConfirmed;
use App\Actions\Registrar\ChangeRegistrant;
use App\Jobs\CarryConfirmed;
use App\Models\Confirmation;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Holding;
use App\Models\Letter;
use App\Models\LineState;
use App\Models\Mailbox;
use App\Models\Movement;
use App\Models\Name;
use App\Models\NameRole;
use App\Models\Registrant;
use App\Queries\Dockets\SlipLot;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/**
 * Another legal holder for names: judged per suffix before it starts, both asked by letter, then the registrar told; the one before kept
 * with their time.
 */
#[Group('world')]
final class ChangeOfRegistrantTest extends TestCase
{
    use PressesDeeds;
    use Worldly;

    private House $house;

    private Contact $new;

    private string $prior;

    private string $desk;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->world()->weather('fair', 0, 'the post');
        $trial = self::$trials++.'-'.getmypid();
        [$this->prior, $this->desk] = ["ledger-{$trial}@letters.example", "desk-{$trial}@letters.example"];
        app(TradeClock::class)->set(Instant::of('2026-03-01T10:00:00Z'));
        foreach (['bell.com', 'bell.co.uk', 'bell.de'] as $name) {
            $this->house->name($name, facts: ['registrant' => 'Wickerby Bell Foundry', 'mailbox' => $this->prior]);
        }
        app(TradeClock::class)->set(Instant::of('2026-10-06T09:00:00Z'));
        $this->actingAs($this->house->steward)
            ->post('/contacts', [
                'kind' => 'organisation',
                'organisation' => 'Peal Trust',
                'mailbox' => $this->desk,
                'client_id' => $this->house->foundry->id,
            ])
            ->assertRedirect();
        $this->new = Contact::query()->findOrFail(ContactVersion::query()->where('organisation', 'Peal Trust')->sole()->contact_id);
    }

    private function address(string $name, string $agent = 'nobody'): string
    {
        $names = explode(' ', $name);
        $of =
            count($names) === 1
                ? "name={$name}"
                : 'of='.
                    app(GatherNames::class)->list(
                        $this->house->steward,
                        array_values(array_map(fn (string $ascii): int => Name::query()->where('ascii', $ascii)->sole()->id, $names)),
                    );

        return "/deeds/change_registrant?{$of}&contact={$this->new->id}&agent={$agent}&agreement=".
            urlencode('Registrant agreement of 1 July 2026').
            '&authority='.
            urlencode('Gudrun Kettle, by letter of 2 October');
    }

    /** The path of the link in the letter that came last to a mailbox. */
    private function link(string $mailbox): string
    {
        $letters = $this->world->letters($mailbox);
        preg_match('~/answer/[\w-]{43}~', $letters === [] ? '' : MailLetter::read($letters[count($letters) - 1])->text, $found);

        return $found[0] ?? '';
    }

    private function docket(string $names = 'bell.com', string $agent = 'nobody'): Docket
    {
        $this->pressAs($this->house->steward, $this->address($names, $agent))->assertRedirect();

        return Docket::query()->latest('id')->firstOrFail();
    }

    private function registrant(string $name): string
    {
        return Registrant::query()->findOrFail(Name::query()->where('ascii', $name)->sole()->id)->called;
    }

    public function test_what_it_starts_and_who_must_confirm_is_said_by_suffix(): void
    {
        $this->get('/deeds/change_registrant?name=bell.com')
            ->assertOk()
            ->assertSee('Peal Trust · '.$this->desk);
        // Without what is agreed to nothing goes.
        $this->get("/deeds/change_registrant?name=bell.com&contact={$this->new->id}")
            ->assertSee('Enter what is agreed to')
            ->assertSee('0 of 1 can go now');
        $this->get($this->address('bell.com'))->assertSeeInOrder([
            'Make Peal Trust the registrant of one name',
            'Wickerby Bell Foundry',
            'Peal Trust',
            $this->desk.' must be verified by 21 Oct',
            "{$this->prior} and {$this->desk} are both asked by letter and must confirm by 20 Oct",
            'It can’t be transferred before 5 Dec',
            'if it needs a transfer, do that first',
            'Registrars will ask for missing data of Peal Trust',
        ]);
        $this->house->skerry->update(['hold_declinable' => true]);
        $this->get($this->address('bell.com'))
            ->assertSee('Skerry Registrations lets you decline the hold until 5 Dec')
            ->assertDontSee('The public record does not show this hold');
        $this->get($this->address('bell.co.uk'))
            ->assertSee('the registry does it, on its own form')
            ->assertDontSee('must be verified')
            ->assertSee('1 of 1 can go now');
        $this->get(str_replace('&authority=', '&for=', $this->address('bell.co.uk')))
            ->assertSee('we ask nobody by letter: enter on whose authority')
            ->assertSee('0 of 1 can go now');
        $this->get($this->address('bell.de'))
            ->assertSee($this->desk.' is asked by letter and must confirm')
            ->assertDontSee('be transferred before');
    }

    public function test_the_new_one_is_found_by_number_mailbox_or_name_and_two_of_one_name_are_told_apart(): void
    {
        $as = fn (string $said): string => str_replace(
            "contact={$this->new->id}",
            'contact='.urlencode($said),
            $this->address('bell.com'),
        );
        foreach ([strtoupper($this->desk), 'peal trust', " {$this->new->id} "] as $said) {
            $this->get($as($said))->assertSee('Make Peal Trust the registrant of one name');
        }
        $this->get('/contacts/'.$this->new->id)->assertSee("Contact {$this->new->id}, ");
        $this->post('/contacts', [
            'kind' => 'organisation',
            'organisation' => 'Peal Trust',
            'mailbox' => 'other@peal.example',
        ])->assertRedirect();
        foreach (['Peal Trust', 'Nobody at all', '99999999999999999999'] as $said) {
            $this->get($as($said))
                ->assertSee('No contact, or more than one, matches')
                ->assertSee('value="'.$said.'"', false)
                ->assertDontSee('can go now');
        }
        $this->get('/deeds/change_registrant?name=bell.com&contact[]=1&agreement[]=2&agent[]=3&by[]=4')->assertOk();
        $this->get(str_replace('&authority=', '&for=', $this->address('bell.com', 'both')))
            ->assertSee('the authority on which we confirm')
            ->assertDontSee('can go now');
    }

    public function test_done_by_its_slip_the_old_one_stays_on_record_and_the_hold_stands_in_our_books(): void
    {
        $docket = $this->docket(agent: 'both');
        self::assertSame(
            [],
            [...$this->world->letters($this->prior), ...$this->world->letters($this->desk)],
            'the house says yes for both',
        );
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder([
            'Change the registrant of these names',
            'Organisation',
            'Peal Trust',
            'Mailbox',
            $this->desk,
            'bell.com',
        ]);
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder([
            'Skerry Registrations then asks whether they agree, by letters of its own, to',
            "{$this->prior}, {$this->desk}",
            'the last answer settles the change',
            'asks whether the mailbox is read, by a letter of its own to',
            $this->desk,
            'settles the verification',
        ]);
        self::assertSame('Wickerby Bell Foundry', $this->registrant('bell.com'), 'nothing is written before it is done');
        self::assertSame(
            [$this->house->steward->id, $this->house->steward->id],
            DB::table('agreements')->where('docket_id', $docket->id)->orderBy('id')->pluck('user_id')->all(),
            'for the one and for the other',
        );
        $agreed = Row::of(DB::table('agreements')->where('docket_id', $docket->id)->where('contact_id', $this->new->id)->sole());
        self::assertSame(
            ['Registrant agreement of 1 July 2026', 'Gudrun Kettle, by letter of 2 October', $this->house->steward->id],
            [$agreed->text('words'), $agreed->text('authority'), $agreed->int('user_id')],
        );
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        self::assertSame(['Peal Trust', 'Wickerby Bell Foundry'], [$this->registrant('bell.com'), $this->registrant('bell.de')]);
        $spans = NameRole::query()
            ->where('name_id', Name::query()->where('ascii', 'bell.com')->sole()->id)
            ->orderBy('id')
            ->get();
        self::assertSame(
            [['2026-03-01', '2026-10-06', null], ['2026-10-06', null, $docket->id]],
            $spans->map(fn (NameRole $role): array => [$role->span->from?->date(), $role->span->until?->date(), $role->docket_id])->all(),
        );
        $this->get('/names/bell.com?on=2026-05-01')
            ->assertSeeInOrder(['Not before 5 Dec', 'Registrant:', 'Wickerby Bell Foundry', 'Peal Trust', "docket {$docket->id}"])
            ->assertSee('must verify')
            ->assertSee('its registrant changed');
        $this->get('/roll?finding=lifecycle.may_not_move')->assertSee('bell.com')->assertDontSee('bell.de');
        $this->get($this->address('bell.com'))->assertSee('It is already so');
        $this->get("/dockets/{$docket->id}/proof.txt")
            ->assertSee("new registrant: contact {$this->new->id}; we agreed as designated agent of both sides")
            ->assertDontSee('Peal Trust');
        $this->get("/dockets/{$docket->id}")->assertSee('Peal Trust');
    }

    public function test_both_are_written_to_and_nobody_outside_is_told_before_the_last_yes(): void
    {
        $this->house->skerry->update(['verifies_by' => 'house']);
        // .com asks both, .de the new one alone, .co.uk nobody by letter.
        $docket = $this->docket('bell.com bell.de bell.co.uk');
        $of = fn (string $mailbox): string => MailLetter::read($this->world->letters($mailbox)[0])->text;
        self::assertCount(1, $this->world->letters($this->desk), 'one letter a side, however many names');
        self::assertMatchesRegularExpression('/bell\.com\s+It is about to get a new registrant/', $of($this->prior));
        self::assertMatchesRegularExpression('/bell\.com\s+bell\.de\s+This needs your agreement/', $of($this->desk));
        $this->get("/dockets/{$docket->id}")
            ->assertSeeInOrder([
                'Confirmations',
                'Wickerby Bell Foundry',
                'the present registrant',
                $this->prior,
                'was sent',
                'waiting',
                'Peal Trust',
                'the new registrant',
                'what to do at',
                'waiting for confirmation',
                'Mark as done',
            ])
            ->assertDontSee('Mark all 3 as done');
        self::assertSame(
            1,
            app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06')),
            'what waiting for confirmation can’t be ticked',
        );
        self::assertSame(['Peal Trust', 'Wickerby Bell Foundry'], [$this->registrant('bell.co.uk'), $this->registrant('bell.com')]);
        $this->get('/deeds/change_lock?name=bell.com')->assertOk();
        $this->get($this->address('bell.com'))->assertSee('A movement is under way (docket '.$docket->id.')');

        auth()->logout();
        [$prior, $desk] = [$this->link($this->prior), $this->link($this->desk)];
        // Whatever follows every link changes nothing.
        $this->get($prior)
            ->assertOk()
            ->assertSee('whether you agree to a new registrant of this domain name')
            ->assertSee('Peal Trust')
            ->assertSee('bell.com')
            ->assertDontSee('bell.de')
            ->assertSee('Registrant agreement of 1 July 2026')
            ->assertHeader('Cache-Control', 'no-store, private');
        $this->get($desk)
            ->assertSee('you agree to become the registrant of these 2 domain names')
            ->assertSee('bell.de')
            ->assertSee($this->desk);
        $this->post($desk, ['answer' => 'perhaps'])
            ->assertStatus(422)
            ->assertSee('Choose whether you agree');
        $this->post($desk, ['answer' => 'yes'])
            ->assertOk()
            ->assertSee('you have agreed');
        $this->post($desk, ['answer' => 'no'])->assertStatus(410);
        $this->get($desk)->assertStatus(410);
        $slip = fn (): array => array_merge(
            ...array_map(
                fn (SlipLot $lot): array => array_map(fn (DocketLine $line): string => $line->name->ascii, $lot->lines),
                app(ChangeRegistrant::class)->slip($docket->refresh())->lots,
            ),
        );
        self::assertSame(['bell.de'], $slip(), 'the one waits for the other');
        $this->post($prior, ['answer' => 'yes'])->assertOk();
        self::assertEqualsCanonicalizing(['bell.com', 'bell.de'], $slip());
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('Everyone has confirmed. 2 names are on the slip.');
        self::assertNotNull(Mailbox::query()->where('address', $this->desk)->sole()->verified_on, 'who answers reads the mailbox');
        self::assertSame(2, app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06')));
        self::assertSame(['Peal Trust', 'Peal Trust'], [$this->registrant('bell.com'), $this->registrant('bell.de')]);
        $priorId = NameRole::query()
            ->where('name_id', Name::query()->where('ascii', 'bell.com')->sole()->id)
            ->orderBy('id')
            ->firstOrFail()->contact_id;
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}/proof.txt")
            ->assertSee("contact {$this->new->id} agreed on 2026-10-06T09:00:")
            ->assertSee("contact {$priorId} agreed on")
            ->assertDontSee($this->prior);
        $letter = Letter::query()->where('mailbox', $this->prior)->sole()->id;
        self::assertSame(
            ["their own, in answer to letter {$letter}"],
            DB::table('agreements')->where('contact_id', $priorId)->pluck('authority')->all(),
        );
        self::assertStringNotContainsString(
            substr($prior, 8),
            (string) json_encode([DB::table('links')->get(), DB::table('letters')->get(), DB::table('log')->get()]),
        );
    }

    public function test_a_no_ends_what_waited_for_it_with_their_words_and_lines_that_begin_late_find_it(): void
    {
        $docket = $this->docket('bell.com bell.de');
        $this->post($this->link($this->prior), ['answer' => 'no', 'words' => 'We keep <it>'])
            ->assertOk()
            ->assertSee('you have refused');
        $states = fn (): array => $docket
            ->lines()
            ->with('name')
            ->get()
            ->mapWithKeys(fn (DocketLine $line): array => [$line->name->ascii => $line->state])
            ->all();
        self::assertEquals(['bell.com' => LineState::Refused, 'bell.de' => LineState::Begun], $states());
        $this->get("/dockets/{$docket->id}")
            ->assertSee('The present registrant refused: We keep <it>')
            ->assertDontSee('<it>', false);
        // One that was held back begins after that word.
        DB::table('docket_lines')
            ->where('docket_id', $docket->id)
            ->where('state', 'refused')
            ->update(['state' => 'waiting']);
        app(BeginDocketLines::class)->handle($docket->id);
        self::assertSame(LineState::Stopped, $states()['bell.com']);
        $this->post($this->link($this->desk), ['answer' => 'no'])->assertOk();
        self::assertSame(LineState::Refused, $states()['bell.de']);
        self::assertSame(0, Movement::query()->whereNull('closed_on')->count());
        $this->get("/dockets/{$docket->id}/proof.txt")->assertOk();
        self::assertSame('Wickerby Bell Foundry', $this->registrant('bell.com'));
    }

    public function test_written_again_to_the_mailbox_of_today_the_link_before_is_good_no_more_and_the_other_side_keeps_theirs(): void
    {
        $docket = $this->docket();
        [$first, $desk] = [$this->link($this->prior), $this->link($this->desk)];
        $prior = Registrant::query()->findOrFail(Name::query()->where('ascii', 'bell.com')->sole()->id)->contact_id;
        $other = 'other-'.$this->prior;
        $form = ['kind' => 'organisation', 'organisation' => 'Wickerby Bell Foundry', 'mailbox' => $other, 'version' => 1];
        preg_match('/name="seen" value="([0-9a-f]+)"/', (string) $this->put("/contacts/{$prior}", $form)->getContent(), $seen);
        $this->put("/contacts/{$prior}", $form + ['seen' => $seen[1] ?? ''])->assertRedirect();
        $ask = Confirmation::query()->where('side', 'prior')->sole();
        $this->post("/dockets/{$docket->id}/letter/{$ask->id}")->assertSessionHas('told');
        $elsewhere = $docket->id + 1;
        $this->post("/dockets/{$elsewhere}/letter/{$ask->id}")->assertNotFound();
        $this->get($first)->assertStatus(410);
        $this->get($desk)->assertOk();
        $this->post($this->link($other), ['answer' => 'yes'])->assertOk();
        $this->post("/dockets/{$docket->id}/letter/{$ask->id}")->assertSessionHasErrors('deed');
        // Called off, nobody need answer any more.
        $this->post("/dockets/{$docket->id}/call-off")->assertRedirect();
        $this->get($desk)->assertStatus(410);
        $this->post($desk, ['answer' => 'yes'])->assertStatus(410);
        self::assertSame('Wickerby Bell Foundry', $this->registrant('bell.com'));
    }

    public function test_who_agreed_to_data_that_are_others_by_now_is_asked_again_before_anybody_outside_is_told(): void
    {
        $this->save($this->new, ['town' => 'Upper Wick']);
        $docket = $this->docket('bell.com');
        $this->post($this->link($this->desk), ['answer' => 'yes'])->assertOk();
        $ask = Confirmation::query()->where('side', 'new')->sole();
        self::assertTrue($ask->confirmed);
        // A country that was not known contradicts nothing; another town does.
        $this->save($this->new, ['town' => 'Upper Wick', 'country' => 'GB']);
        self::assertTrue($ask->refresh()->confirmed);
        $this->save($this->new, ['town' => 'Nether Wick']);
        self::assertNull($ask->refresh()->confirmed);
        self::assertCount(2, $this->world->letters($this->desk));
        $this->post($this->link($this->prior), ['answer' => 'yes'])->assertOk();
        $lots = fn (): int => count(app(ChangeRegistrant::class)->slip($docket->refresh())->lots);
        self::assertSame(0, $lots(), 'nobody is told yet');
        $this->post($this->link($this->desk), ['answer' => 'yes'])->assertOk();
        self::assertSame(1, $lots());
        // Now it is out; what changes from here on is told as a correction.
        $this->save($this->new, ['town' => 'Far Wick']);
        self::assertTrue($ask->refresh()->confirmed);
        self::assertCount(2, $this->world->letters($this->desk));
    }

    /** @param  array<string, string>  $form  beside how it is called and its mailbox */
    private function save(Contact $contact, array $form): void
    {
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusSeconds(60));
        $today = $contact->refresh()->today;
        $form += [
            'kind' => $contact->kind->value,
            'organisation' => $today->organisation,
            'person' => $today->person,
            'mailbox' => $today->mailbox?->address,
            'version' => $contact->version,
        ];
        // It is used for no name yet, so nothing is to be looked at first.
        $this->actingAs($this->house->steward)
            ->put("/contacts/{$contact->id}", $form)
            ->assertRedirect("/contacts/{$contact->id}")
            ->assertSessionHasNoErrors();
    }

    public function test_what_is_changed_of_a_contact_is_another_at_its_registrars_only_once_they_were_told(): void
    {
        $id = Registrant::query()->findOrFail(Name::query()->where('ascii', 'bell.com')->sole()->id)->contact_id;
        $this->get("/contacts/{$id}")->assertDontSee('still have the earlier data');
        $save = function (array $form) use ($id): void {
            app(TradeClock::class)->set(app(TradeClock::class)->now()->plusSeconds(60));
            $form += [
                'kind' => 'organisation',
                'organisation' => 'Wickerby Bell Foundry',
                'version' => Contact::query()->findOrFail($id)->version,
            ];
            preg_match('/name="seen" value="([0-9a-f]+)"/', (string) $this->put("/contacts/{$id}", $form)->getContent(), $seen);
            $this->put("/contacts/{$id}", $form + ['seen' => $seen[1] ?? '']);
        };
        // What our books did not know the registrars may well have.
        $save(['mailbox' => $this->prior, 'town' => 'Upper Wick']);
        $this->get("/contacts/{$id}")->assertDontSee('still have the earlier data');
        $save(['mailbox' => $this->prior, 'town' => 'Wickerby']);
        $this->get("/contacts/{$id}")->assertSee('The registrars of 3 names still have the earlier data');
        $this->get('/roll?finding=contact.not_told')->assertSee('bell.com')->assertSee('bell.de');
        $this->get('/names/bell.com')
            ->assertSee('Its registrar still has earlier data of Wickerby Bell Foundry')
            ->assertSee('Tell the registrar');
        // A correction: nobody agrees to anything, and nothing is started by it.
        $to = (string) $this->post("/contacts/{$id}/tell")
            ->assertRedirect()
            ->headers->get('Location');
        $this->get($to)
            ->assertSee('Tell the registrars of 3 names what Wickerby Bell Foundry is today')
            ->assertSee('nobody needs to confirm')
            ->assertSeeInOrder(['town: Upper Wick', 'town: Wickerby'])
            ->assertSee('3 of 3 can go now')
            ->assertDontSee('be transferred before');
        $this->pressAs($this->house->steward, $to)->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        self::assertSame([], $this->world->letters($this->prior));
        $this->get("/dockets/{$docket->id}")
            ->assertSee('Wickerby Bell Foundry, version 2')
            ->assertSee('Wickerby Bell Foundry, version 3')
            ->assertSeeInOrder(['Town', 'Wickerby']);
        self::assertSame(3, app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06')));
        $this->get("/contacts/{$id}")->assertDontSee('still have the earlier data');
        self::assertCount(3, NameRole::query()->where('contact_id', $id)->whereRaw('upper_inf(span)')->get(), 'the span goes on');
        // Another mailbox is material: whoever reads the new one says yes, once for both sides.
        $other = "new-{$this->prior}";
        $save(['mailbox' => $other, 'town' => 'Wickerby']);
        $address = "/deeds/change_registrant?name=bell.com&contact={$id}";
        $this->get($address)->assertSee('Enter what is agreed to')->assertSee('0 of 1 can go now');
        $this->pressAs($this->house->steward, $address.'&agreement=of+1+July')->assertRedirect();
        self::assertSame(
            [[], 1],
            [
                $this->world->letters($this->prior),
                count($this->world->letters($other)) - Letter::query()->where('kind', 'verification')->count(),
            ],
        );
        $this->post($this->link($other), ['answer' => 'yes'])->assertOk();
        app(EndLines::class)->done($this->house->steward, Docket::query()->latest('id')->firstOrFail(), null, Instant::of('2026-10-06'));
        $this->get($address)->assertSee('It is already so');
        $this->get('/roll?finding=contact.not_told')->assertSee('bell.de')->assertDontSee('bell.com');
        // What nobody told counts as untold again when it is changed back only to what they have.
        $save(['mailbox' => $this->prior, 'town' => 'Wickerby']);
        $this->get('/roll?finding=contact.not_told')->assertSee('bell.com')->assertDontSee('bell.de');
    }

    public function test_a_handover_with_another_registrant_waits_for_the_same_words_and_does_both_at_once(): void
    {
        $this->house->skerry->update(['accepts_by' => 'letter']);
        $receiver = $this->house->theirs;
        $receiver->update(['mailbox' => 'takes-'.$this->desk]);
        $address = str_replace(
            '/deeds/change_registrant?',
            "/hand-over?receiver={$receiver->id}&client=keep&by=2026-10-20&",
            $this->address('bell.com'),
        );
        $page = (string) $this->get($address)
            ->assertOk()
            ->assertSeeInOrder([
                'registrant',
                'Peal Trust',
                'Is this the right account?',
                'Registrant',
                'Wickerby Bell Foundry',
                'Peal Trust',
                "{$this->prior} and {$this->desk} are both asked by letter and must confirm by 20 Oct",
            ])
            ->getContent();
        preg_match('/name="shown" value="([^"]+)"/', $page, $shown);
        preg_match('/name="token" value="([^"]+)"/', $page, $token);
        $form = [
            'name' => 'bell.com',
            'receiver' => $receiver->id,
            'client' => 'keep',
            'by' => '2026-10-20',
            'contact' => (string) $this->new->id,
            'agreement' => 'Registrant agreement of 1 July 2026',
            'agent' => 'nobody',
            'token' => $token[1] ?? '',
            'shown' => $shown[1] ?? '',
            'act' => 'settle',
        ];
        $this->post('/hand-over', ['contact' => 'Nobody at all'] + $form)
            ->assertRedirect()
            ->assertSessionHasErrors('deed');
        $this->post('/hand-over', $form)->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        self::assertSame('hand_over', $docket->deed);
        // Three are asked, in whatever order they answer.
        foreach (
            [
                $this->desk => ['answer' => 'yes'],
                $this->prior => ['answer' => 'yes'],
                (string) $receiver->mailbox => ['answer' => 'yes', 'number' => $receiver->number, 'login' => (string) $receiver->login],
            ] as $mailbox => $answer
        ) {
            self::assertSame(
                0,
                app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06')),
                'somebody is still waited for',
            );
            $this->post($this->link($mailbox), $answer)->assertOk();
        }
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSeeInOrder([
                'Confirmations',
                'what to do at',
                'Giving side',
                'Change the registrant of these names',
                'Peal Trust',
                'Offer the names to the receiving account',
            ]);
        self::assertNull(
            Mailbox::query()->where('address', $this->desk)->sole()->verified_on,
            'its registrar wants its own letter answered',
        );
        self::assertSame(1, app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06')));
        $name = Name::query()->where('ascii', 'bell.com')->sole();
        self::assertSame(
            ['Peal Trust', $receiver->id],
            [$this->registrant('bell.com'), Holding::query()->where('name_id', $name->id)->whereRaw('upper_inf(span)')->sole()->account_id],
        );
        $this->get("/dockets/{$docket->id}/proof.txt")
            ->assertSee("new registrant: contact {$this->new->id}")
            ->assertSee("contact {$this->new->id} agreed on")
            ->assertDontSee('Peal Trust');
        $this->get('/names/bell.com')->assertSee('Not before 5 Dec');
    }

    public function test_a_word_whose_job_was_lost_is_found_by_the_sweep(): void
    {
        $docket = $this->docket();
        Queue::fake([CarryConfirmed::class]);
        foreach ([$this->prior, $this->desk] as $mailbox) {
            $this->post($this->link($mailbox), ['answer' => 'yes'])->assertOk();
        }
        Queue::assertPushed(CarryConfirmed::class, 2);
        self::assertSame(0, app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06')));
        app(ResumeConfirmed::class)->sweep();
        app(ResumeConfirmed::class)->sweep();
        self::assertSame(1, app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06')));
    }

    public function test_a_refusal_leaves_everything_as_it_was_and_without_a_mailbox_nobody_could_confirm(): void
    {
        $docket = $this->docket();
        app(EndLines::class)->refused($this->house->steward, $docket, null, 'The prior registrant said no');
        self::assertSame(['Wickerby Bell Foundry', LineState::Refused], [$this->registrant('bell.com'), $docket->lines()->sole()->state]);
        $this->put("/contacts/{$this->new->id}", [
            'kind' => 'organisation',
            'organisation' => 'Peal Trust',
            'version' => 1,
        ])->assertRedirect();
        $this->get($this->address('bell.com'))->assertSee('Peal Trust has no mailbox')->assertSee('0 of 1 can go now');
        $this->actingAs($this->house->reader)->get($this->address('bell.com'))->assertForbidden();
    }
}
