<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use Acre\Wire\Mail\MailLetter;
use App\Actions\Post\CollectReturned;
use App\Actions\Standings\MakeStandings;
use App\Actions\Verification\AskToVerify;
use App\Models\Contact;
use App\Models\Holding;
use App\Models\Letter;
use App\Models\LetterState;
use App\Models\Link;
use App\Models\Mailbox;
use App\Models\Name;
use App\Models\Registrant;
use App\Models\Registrar;
use App\Queries\Verification\ReadBoard;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use ReflectionMethod;
use Tests\TestCase;

/** Mailboxes that must be verified: letters that ask, what becomes of them, answers, and the board. */
#[Group('world')]
final class VerificationTest extends TestCase
{
    use Worldly;

    private House $house;

    private string $address;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House(['verifies_by' => 'house']);
        $this->world();
        $this->world->weather('fair', 0, 'the post');
        $this->address = 'holder-'.self::$trials++.'-'.getmypid().'@letters.example';
        $this->actingAs($this->house->steward);
    }

    private function registered(string $name, string $created = '2026-09-24', ?string $address = null): Name
    {
        return $this->house->name(
            $name,
            facts: [
                'created_on' => Instant::of($created),
                'ends_on' => Instant::of('2027-09-24'),
                'registrant' => 'Quayside Theatre',
                'mailbox' => $address ?? $this->address,
            ],
        );
    }

    private function at(string $instant): void
    {
        app(TradeClock::class)->set(Instant::of($instant));
        app(MakeStandings::class)->due();
    }

    /** @return list<string> */
    private function marks(Name $name): array
    {
        preg_match_all(
            '/finding:contact\.(ver[a-z_]+|letters[a-z_]+)/',
            Row::of(DB::table('standings')->where('name_id', $name->id)->sole())->text('marks'),
            $found,
        );

        return $found[1];
    }

    private function link(): string
    {
        $letters = $this->world->letters($this->address);
        preg_match('~/answer/[\w-]{43}~', $letters === [] ? '' : MailLetter::read($letters[count($letters) - 1])->text, $found);

        return $found[0] ?? '';
    }

    public function test_one_letter_asks_for_every_name_and_one_answer_serves_them_all(): void
    {
        $names = [$this->registered('stage.com'), $this->registered('gala.org', '2026-09-28'), $this->registered('bar.com', '2019-01-01')];
        self::assertSame([['verify_by'], ['verify_by'], []], array_map($this->marks(...), $names));
        self::assertSame(1, app(AskToVerify::class)->due());
        self::assertSame(0, app(AskToVerify::class)->due(), 'asked once');
        $letter = Letter::query()->sole();
        self::assertSame(['Please confirm your details for 2 domain names', LetterState::Sent], [$letter->subject, $letter->state]);
        self::assertStringContainsString("  stage.com\n  gala.org", $letter->body);
        self::assertStringContainsString('by 9 Oct 2026', $letter->body);
        self::assertStringNotContainsString(
            substr($this->link(), 8),
            (string) json_encode([DB::table('links')->get(), DB::table('letters')->get(), DB::table('log')->get()]),
        );
        $this->get('/verification')->assertSeeInOrder([
            'One mailbox, for 2 names',
            '9 Oct 2026',
            'in 3 days',
            $this->address,
            '2 names',
            'was sent',
            'Write again',
        ]);
        $this->get('/roll?finding=contact.verify_by')
            ->assertSee('stage.com')
            ->assertDontSee('bar.com')
            ->assertSee('mailbox to be verified by 9 Oct 2026');
        $this->get('/names/stage.com')->assertSee('verify by 9 Oct')->assertSee('must verify');

        auth()->logout();
        $link = $this->link();
        self::assertSame([], $this->get($link)->headers->getCookies());
        // Whatever follows every link, a mail scanner for one, changes nothing.
        $this->get($link)
            ->assertOk()
            ->assertSee('stage.com')
            ->assertSee('Quayside Theatre')
            ->assertDontSee($this->address)
            ->assertHeader('Cache-Control', 'no-store, private');
        self::assertNull(Mailbox::query()->where('address', $this->address)->sole()->verified_on);
        $this->post($link, ['answer' => 'perhaps'])
            ->assertStatus(422)
            ->assertSee('Choose whether it is correct');
        $this->post($link, ['answer' => 'yes'])
            ->assertOk()
            ->assertSee('you have confirmed it');
        $this->get($link)->assertStatus(410);
        $this->post($link, ['answer' => 'yes'])->assertStatus(410);
        self::assertSame([[], [], []], array_map($this->marks(...), $names));
        $this->actingAs($this->house->steward)->get('/verification')->assertSee('Nothing to verify');
        $this->get('/contacts/'.Registrant::query()->findOrFail($names[0]->id)->contact_id)
            ->assertSee('in answer to our letter')
            ->assertSee('answered');
        // A name that comes later is served by the same answer.
        self::assertSame([], $this->marks($this->registered('late.com', '2026-10-05')));
    }

    public function test_an_answer_after_its_day_is_still_asked_for_and_the_day_is_not_said_to_come(): void
    {
        $this->registered('stage.com');
        app(AskToVerify::class)->due();
        auth()->logout();
        $this->get($this->link())->assertOk()->assertSee('Please answer by 9 Oct 2026, or the name is suspended.');
        $this->at('2026-10-09T23:00:00Z');
        $this->get($this->link())->assertSee('Please answer by 9 Oct 2026, or the name is suspended.');
        $this->at('2026-10-10T01:00:00Z');
        $this->get($this->link())
            ->assertOk()
            ->assertSee('An answer was needed by 9 Oct 2026; the name may be suspended until you answer.')
            ->assertDontSee('please answer by');
    }

    public function test_the_board_turns_its_pages_whatever_hangs_on_a_mailbox(): void
    {
        // Of one day: the third has three names; then one with more names than a page has mailboxes, and one a day later with an early name
        // of its own.
        foreach (range(1, 24) as $number) {
            $this->registered("one-{$number}.com", address: "box-{$number}@letters.example");
        }
        $this->registered('two-3.com', address: 'box-3@letters.example');
        $this->registered('three-3.com', '2026-10-02', 'box-3@letters.example');
        foreach (range(1, 30) as $number) {
            $this->registered("many-{$number}.com", '2026-09-23', 'many@letters.example');
        }
        $rows = app(ReadBoard::class)->due(most: null);
        self::assertSame(
            ['many@letters.example', 'box-3@letters.example', 'box-10@letters.example'],
            array_map(fn (Row $row): string => $row->text('address'), array_slice($rows, 0, 3)),
        );
        self::assertSame([30, 3, 1], array_map(fn (Row $row): int => $row->int('names'), array_slice($rows, 0, 3)));
        self::assertCount(25, $rows);
        self::assertCount(1, app(ReadBoard::class)->due(Instant::of('2026-10-09')));
        $first = (string) $this->get('/verification')->assertSee('The first 20 mailboxes, for 51 names')->getContent();
        preg_match('~href="([^"]+)" rel="next"~', $first, $next);
        $second = (string) $this->get(html_entity_decode($next[1] ?? ''))
            ->assertOk()
            ->assertSee('5 mailboxes, for 5 names')
            ->assertSee('Back to the first')
            ->assertDontSee('rel="next"', false)
            ->getContent();
        preg_match_all('~(?:box-\d+|many)@letters\.example~', $first.$second, $met);
        self::assertCount(25, array_unique($met[0]));
        self::assertSame(
            [],
            array_intersect(
                ...array_map(
                    fn (string $page): array => preg_match_all('~(?:box-\d+|many)@letters\.example~', $page, $of) > 0 ? $of[0] : [],
                    [$first, $second],
                ),
            ),
            'nobody is met twice',
        );
        foreach (['nonsense', '2026-13-45 00:00:00+00~1~a@b.example', '2026-10-08 25:00:00+00~1~a@b.example'] as $after) {
            $this->get('/verification?after='.urlencode($after))
                ->assertOk()
                ->assertSee('many@letters.example');
        }
    }

    public function test_reminders_go_as_the_day_nears_each_once_and_the_link_before_is_good_no_more(): void
    {
        $this->registered('stage.com', '2026-10-05');
        app(AskToVerify::class)->due();
        $first = $this->link();
        $count = function (string $now): int {
            $this->at($now);
            app(AskToVerify::class)->due();
            app(AskToVerify::class)->due();

            return Letter::query()->count();
        };
        self::assertSame(
            [1, 2, 2, 3, 4],
            [
                $count('2026-10-12T09:00:00Z'),
                $count('2026-10-13T09:00:00Z'),
                $count('2026-10-16T09:00:00Z'),
                $count('2026-10-17T09:00:00Z'),
                $count('2026-10-19T09:00:00Z'),
            ],
        );
        self::assertStringStartsWith('Please confirm by 20 Oct 2026', Letter::query()->latest('id')->firstOrFail()->subject);
        $this->get($first)->assertStatus(410);
        self::assertSame(4, $count('2026-10-21T09:00:00Z'), 'after its day nobody is reminded');
        $this->get('/verification')->assertSee('suspended by the rules');
        // Late is better than dark.
        $this->post($this->link(), ['answer' => 'yes'])->assertOk();
        $this->get('/verification')->assertSee('Nothing to verify');
    }

    public function test_what_is_said_to_be_wrong_is_seen_and_put_right(): void
    {
        $name = $this->registered('stage.com');
        app(AskToVerify::class)->due();
        $this->post($this->link(), ['answer' => 'no', 'words' => ''])
            ->assertStatus(422)
            ->assertSee('Enter what is wrong');
        $this->post($this->link(), ['answer' => 'no', 'words' => 'We <moved> to Upper Wick'])
            ->assertOk()
            ->assertSee('Thank you for telling us what is wrong');
        $this->get('/verification')
            ->assertSee('We <moved> to Upper Wick')
            ->assertDontSee('<moved>', false)
            ->assertSee('Correct the contact');
        $this->get('/rounds')->assertSee('its registrant says that the data is wrong');
        self::assertSame(['verify_by'], $this->marks($name));
        $mailbox = Mailbox::query()->where('address', $this->address)->sole();
        $this->post("/verification/{$mailbox->id}/settle")->assertSessionHas('told');
        $this->get('/verification')->assertDontSee('Upper Wick')->assertSee('Write again');
    }

    public function test_a_mailbox_that_nobody_reads_is_seen_days_before_its_day(): void
    {
        $this->world->mailbox($this->address, 'is never read');
        $name = $this->registered('stage.com', '2026-10-05');
        app(AskToVerify::class)->due();
        self::assertSame(['verify_by'], $this->marks($name));
        $this->at('2026-10-10T23:00:00Z');
        self::assertSame(['verify_by'], $this->marks($name), 'not yet');
        $this->at('2026-10-11T10:00:00Z');
        $this->get('/roll?finding=contact.not_answered')->assertSee('stage.com');
        $this->get('/verification')
            ->assertSee('Nobody has answered since 6 Oct 2026')
            ->assertSee('Change the mailbox')
            ->assertSee('telephone, or ask Wickerby Bell Foundry');
        $this->get('/rounds')->assertSee('must be verified for one name, and nobody answers our letters');
        $this->get('/names/stage.com')->assertSee('Nobody has answered our letters to '.$this->address);
        $this->post('/verification/'.Mailbox::query()->where('address', $this->address)->sole()->id, [
            'by' => 'call',
            'words' => 'rang them',
        ])->assertRedirect();
        $this->get('/roll?finding=contact.not_answered')->assertDontSee('stage.com');
    }

    public function test_whoever_writes_back_is_heard_and_from_another_mailbox_it_is_known_to_forward(): void
    {
        $this->world->add([
            'names' => [],
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'mailboxes' => [['address' => 'returns@harrow-tern.example', 'habit' => 'reads', 'password' => 'what comes back']],
        ]);
        $name = $this->registered('stage.com', '2026-10-05');
        app(AskToVerify::class)->due();
        $raw = $this->world->letters($this->address)[0];
        self::assertMatchesRegularExpression('/^Reply-To: .*returns@harrow-tern\.example/m', $raw);
        $id = (string) MailLetter::read($raw)->id;
        $other = "private-{$this->address}";
        // What no letter of ours is meant by, and what a machine says, is passed over.
        $this->world->write($other, 'returns@harrow-tern.example', 'Hello', 'Buy <bells>');
        $this->world->write($other, 'returns@harrow-tern.example', 'Re: other', 'To nobody', 'never-sent@house.example');
        $this->world->write($other, 'returns@harrow-tern.example', 'Re: yours', "Yes, that <is> us.\n> old words", $id);
        app(CollectReturned::class)->handle();
        $mailbox = Mailbox::query()->where('address', $this->address)->sole();
        self::assertSame([$other, null], [$mailbox->forwards_to, $mailbox->verified_on], 'a sender is easily forged');
        $this->get('/verification')
            ->assertSee('They replied:')
            ->assertSee('Yes, that <is> us.')
            ->assertDontSee('old words')
            ->assertDontSee('Buy')
            ->assertSee('it only forwards')
            ->assertSee('Mark as settled');
        app(MakeStandings::class)->due();
        $this->get('/roll?finding=contact.forwards')->assertSee('stage.com');
        $this->get('/rounds')->assertSee('somebody replied to our letter');
        $this->get('/contacts/'.Registrant::query()->findOrFail($name->id)->contact_id)
            ->assertSee('Replies come from')
            ->assertSee($other);
        // It was answered, if by mail: nobody says that it isn't read.
        $this->post("/verification/{$mailbox->id}/settle")->assertSessionHas('told');
        $this->at('2026-10-12T10:00:00Z');
        $this->get('/verification')->assertDontSee('Nobody has answered')->assertDontSee('They replied');
        // A letter that the mailbox gives again, because its removal was lost with the connection, is recorded once.
        $keep = (new ReflectionMethod(CollectReturned::class, 'keep'))->getClosure(app(CollectReturned::class));
        $reply = "From: <{$other}>\r\nMessage-ID: <twice@kettle.example>\r\nIn-Reply-To: <{$id}>\r\nSubject: Re: yours\r\n\r\nOnce.\r\n";
        $keep($reply);
        $keep($reply);
        self::assertSame(1, DB::table('objections')->where('words', 'Once.')->count());
        // From the mailbox itself it is no forwarder's.
        $this->world->write($this->address, 'returns@harrow-tern.example', 'Re: yours', 'From here now.', $id);
        app(CollectReturned::class)->handle();
        self::assertNull($mailbox->refresh()->forwards_to);
    }

    public function test_a_mailbox_that_bounces_is_seen_days_before_and_another_cures_all(): void
    {
        $this->world->add([
            'names' => [],
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'mailboxes' => [['address' => 'returns@harrow-tern.example', 'habit' => 'reads', 'password' => 'what comes back']],
        ]);
        $this->world->mailbox($this->address, 'bounces');
        $names = [$this->registered('stage.com'), $this->registered('gala.com')];
        app(AskToVerify::class)->due();
        app(CollectReturned::class)->handle();
        app(MakeStandings::class)->due();
        self::assertEqualsCanonicalizing(['verify_by', 'letters_return'], $this->marks($names[1]));
        $this->get('/verification')->assertSee('came back')->assertSee('Change the mailbox');
        $this->get('/rounds')->assertSee('must be verified for 2 names, and our letter came back');
        // Another mailbox: the letters go there by themselves, and its answer cures both.
        $contact = Contact::query()->findOrFail(Registrant::query()->findOrFail($names[0]->id)->contact_id);
        $this->address = 'other-'.$this->address;
        $form = ['kind' => 'unknown', 'person' => 'Quayside Theatre', 'mailbox' => $this->address, 'version' => $contact->version];
        preg_match('/name="seen" value="([0-9a-f]+)"/', (string) $this->put("/contacts/{$contact->id}", $form)->getContent(), $seen);
        $this->put("/contacts/{$contact->id}", $form + ['seen' => $seen[1] ?? ''])->assertRedirect();
        self::assertSame(['verify_by'], $this->marks($names[0]));
        app(AskToVerify::class)->due();
        $this->post($this->link(), ['answer' => 'yes'])->assertOk();
        self::assertSame([[], []], array_map($this->marks(...), $names));
    }

    public function test_a_registrar_that_writes_itself_is_named_and_a_steward_writes_down_what_proves_it(): void
    {
        $this->house->skerry->update(['verifies_by' => 'registrar', 'verification_sender' => 'holders@skerry.example']);
        $name = $this->registered('stage.com');
        self::assertSame(0, app(AskToVerify::class)->due());
        $this->get('/verification')->assertSee(
            'The registrar asks, from Skerry Registrations (from holders@skerry.example). Only an answer to its own letter counts.',
        );
        $mailbox = Mailbox::query()->where('address', $this->address)->sole();
        $this->post("/verification/{$mailbox->id}", ['by' => 'registrar'])->assertSessionHasErrors('words');
        $this->post("/verification/{$mailbox->id}/again")->assertSessionHas(
            'told',
            'No letter is needed: it is verified, or the registrar asks.',
        );
        $this->actingAs($this->house->clerk)
            ->post("/verification/{$mailbox->id}", ['by' => 'registrar', 'words' => 'x'])
            ->assertForbidden();
        $this->actingAs($this->house->steward)
            ->post("/verification/{$mailbox->id}", ['by' => 'registrar', 'words' => 'Its page says verified'])
            ->assertSessionHas('told', "{$this->address} is verified, for every name that uses it.");
        self::assertSame([], $this->marks($name));
        self::assertSame('Its page says verified', $mailbox->refresh()->verified_words);
    }

    /** RAA 2013, accuracy specification 1: it is the registrar that must have had an answer. */
    public function test_an_answer_to_our_letter_clears_only_what_we_ask_for(): void
    {
        $oriel = Registrar::query()->create([
            'name' => 'Oriel Names',
            'charge_lead_days' => 7,
            'verifies_by' => 'registrar',
            'verification_sender' => 'desk@oriel.example',
        ]);
        $ours = $this->registered('stage.com');
        $theirs = $this->registered('gala.com');
        Holding::query()
            ->where('name_id', $theirs->id)
            ->update(['account_id' => $this->house->account('77', null, $oriel)->id]);
        app(MakeStandings::class)->of([$theirs->id]);
        app(AskToVerify::class)->due();
        $this->get('/verification')->assertSee('For some of these names the registrar asks, from Oriel Names (from desk@oriel.example)');
        self::assertStringNotContainsString('gala.com', Letter::query()->sole()->body);
        auth()->logout();
        $this->post($this->link(), ['answer' => 'yes'])->assertOk();
        self::assertSame([[], ['verify_by']], array_map($this->marks(...), [$ours, $theirs]));
        $this->actingAs($this->house->steward)
            ->get('/verification')
            ->assertSee('They answered our letter on 6 Oct 2026')
            ->assertSee('Only an answer to its own letter counts')
            ->assertSee('telephone the registrant today');
        $mailbox = Mailbox::query()->where('address', $this->address)->sole();
        $this->post("/verification/{$mailbox->id}", ['by' => 'call', 'words' => 'They said so'])->assertSessionHas(
            'told',
            "{$this->address} is verified for the names we ask about. Its registrar is still waiting for an answer to its own letter.",
        );
        self::assertSame(['verify_by'], $this->marks($theirs));
        $this->post("/verification/{$mailbox->id}", ['by' => 'registrar', 'words' => 'Its page says verified'])->assertSessionHas(
            'told',
            "{$this->address} is verified, for every name that uses it.",
        );
        self::assertSame([[], []], array_map($this->marks(...), [$ours, $theirs]));
        self::assertSame('registrar', $mailbox->refresh()->verified_by);
    }

    public function test_a_link_is_of_one_purpose_and_a_letter_that_waits_is_not_sent_once_it_is_answered(): void
    {
        $this->registered('stage.com');
        app(AskToVerify::class)->due();
        $link = $this->link();
        $mailbox = Mailbox::query()->where('address', $this->address)->sole();
        $this->post("/verification/{$mailbox->id}/again")->assertSessionHas('told');
        self::assertNotSame($link, $this->link());
        self::assertSame(1, Link::query()->whereNull('used_at')->whereNull('withdrawn_at')->count());
        // What accepts a handover can't be said behind it.
        $this->post($this->link(), ['answer' => 'no', 'number' => '51877'])->assertStatus(422);
        Letter::query()->update(['state' => LetterState::Waiting]);
        $this->post("/verification/{$mailbox->id}", ['by' => 'call', 'words' => 'Bo, by telephone'])->assertRedirect();
        self::assertSame([LetterState::CalledOff], array_values(array_unique(Letter::query()->pluck('state')->all(), SORT_REGULAR)));
        self::assertSame([], $this->marks(Name::query()->where('ascii', 'stage.com')->sole()), 'nobody refused it');
        $this->get($this->link())->assertStatus(410);
    }
}
