<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use Acre\Wire\Mail\MailLetter;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\EndLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Handover\HandoverTermsChosen;
use App\Actions\Handover\ResumeAccepted;
use App\Actions\Links\OpenLink;
use App\Actions\Post\CollectReturned;
use App\Actions\Post\SendLetters;
use App\Actions\Rounds\WriteMorningLetters;
use App\Jobs\CarryAccepted;
use App\Models\Acceptance;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\Extra;
use App\Models\Letter;
use App\Models\LetterState;
use App\Models\LineState;
use App\Models\Movement;
use App\Models\Name;
use App\Models\Registration;
use App\Models\Secret;
use App\Support\Dates;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Letters given to the simulated post over its socket, what becomes of them, and the links in them. */
#[Group('world')]
final class LettersTest extends TestCase
{
    use Worldly;

    private House $house;

    private Account $receiver;

    protected function setUp(): void
    {
        parent::setUp();
        $this->world()->weather('fair', 0, 'the post');
        $this->house = new House(['accepts_by' => 'letter', 'lock_first' => true]);
        $this->receiver = $this->house->theirs;
        $trial = self::$trials++.'-'.getmypid();
        $this->receiver->update(['mailbox' => "box-{$trial}@letters.example"]);
    }

    protected function tearDown(): void
    {
        $this->world->weather('fair', 0, 'the post');
        parent::tearDown();
    }

    private function handOver(string ...$names): Docket
    {
        $ids = array_values(array_map(fn (string $name): int => $this->house->name($name)->id, $names));
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            (string) Str::uuid(),
            'hand_over',
            $ids,
            $this->house->terms($this->receiver)->pack(),
            $ids,
        );
        app(SettleDocket::class)->handle($this->house->steward, $docket);

        return $docket->refresh();
    }

    private function letter(): Letter
    {
        return Letter::query()->where('kind', 'acceptance')->latest('id')->firstOrFail();
    }

    /** @return list<MailLetter> */
    private function got(): array
    {
        return array_map(MailLetter::read(...), $this->world->letters((string) $this->receiver->mailbox));
    }

    /** The path of the link in the letter that came last. */
    private function link(): string
    {
        $got = $this->got();
        self::assertNotSame([], $got);
        self::assertSame(1, preg_match('~https?://\S+(/answer/[\w-]{43})~', $got[count($got) - 1]->text, $found));

        return $found[1] ?? '';
    }

    private function again(): void
    {
        DB::update('UPDATE letters SET not_before = clock_timestamp()');
        app(SendLetters::class)->handle();
    }

    /** Whoever receives a name sees until when it is paid, what stays behind, and what is theirs to do. */
    public function test_the_receiver_sees_what_comes_along(): void
    {
        $this->house->skerry->update(['extras' => ['mail' => 'along', 'zone' => 'ends', 'redirects' => 'stays']]);
        $this->handOver('bell.com', 'gong.com');
        $registration = Registration::query()->where('name_id', Name::query()->where('ascii', 'bell.com')->sole()->id)->sole();
        foreach (['mail' => null, 'zone' => null, 'redirects' => null, 'privacy' => null, 'hosting' => '2026-01-01'] as $kind => $ended) {
            Extra::query()->create([
                'registration_id' => $registration->id,
                'kind' => $kind,
                'ended_on' => $ended === null ? null : Instant::of($ended),
            ]);
        }
        $registration->update(['ends_on' => Instant::of('2027-05-04')]);
        $this->get($this->link())
            ->assertOk()
            ->assertSeeInOrder(['bell.com', '4 May 2027', 'zone service', 'redirects', 'perhaps its privacy service', 'gong.com'])
            ->assertDontSee('mail service')
            ->assertDontSee('hosting')
            ->assertSee('At Skerry Registrations, check that the contacts of the names are yours');
    }

    /** It does nothing by itself; whoever keeps the docket sees it, and lets it count by writing again. */
    public function test_an_answer_after_its_day_is_shown_and_a_person_decides(): void
    {
        $docket = $this->handOver('bell.com');
        $link = $this->link();
        DB::update("UPDATE links SET expires_at = clock_timestamp() - interval '1 day'");
        $this->get($link)->assertOk()->assertSee('The day to answer has passed')->assertHeader('Cache-Control', 'no-store, private');
        $this->post($link, ['answer' => 'perhaps'])
            ->assertStatus(422)
            ->assertSee('Choose whether you agree');
        $this->post($link, ['answer' => ['yes'], 'words' => ['x']])->assertStatus(422);
        self::assertSame(0, DB::table('links')->whereNotNull('late_on')->count());
        $this->post($link, ['answer' => 'yes', 'words' => 'We were <away>'])
            ->assertOk()
            ->assertSee('Thank you for your answer');
        self::assertSame(1, Movement::query()->whereNull('closed_on')->count(), 'nothing moved by it');
        self::assertNull(Acceptance::query()->sole()->answered_on);
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee("{$this->receiver->mailbox} answered on 6 Oct 2026, too late: agrees.")
            ->assertSee('We were <away>')
            ->assertSee('write again below');
        $this->actingAs($this->house->owner)->get('/log?event=answered_late')->assertOk()->assertSee('An answer came too late');
        $this->actingAs($this->house->steward);
        $this->post("/dockets/{$docket->id}/letter")->assertSessionHas('told');
        $this->get("/dockets/{$docket->id}")->assertDontSee('too late');
        auth()->logout();
        $this->get($link)->assertStatus(410);
        $this->get($this->link())->assertOk()->assertSee('bell.com');
        DB::update("UPDATE links SET expires_at = clock_timestamp() - interval '91 days'");
        $this->get($this->link())->assertStatus(410);
    }

    public function test_the_receiver_is_asked_first_and_nothing_moves_before_they_have_typed_what_names_their_account(): void
    {
        $docket = $this->handOver('bell.com', 'peal.com');
        self::assertCount(1, $this->got(), 'one letter, however many names');
        self::assertStringContainsString("  bell.com\n  peal.com", str_replace("\r", '', $this->got()[0]->text));
        self::assertStringContainsString('/answer/', $this->got()[0]->html ?? '');
        self::assertSame(LetterState::Sent, $this->letter()->state);
        $page = $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('waiting for the receiver')
            ->assertSee('was sent')
            ->assertDontSee('what to do at')
            ->assertDontSee('Mark all 2 as done');
        $link = $this->link();
        self::assertStringNotContainsString(substr($link, 8), (string) $page->getContent());

        auth()->logout();
        self::assertSame([], $this->get($link)->headers->getCookies(), 'no session, in which its address would stand');
        $this->post($link, ['answer' => 'perhaps'])
            ->assertStatus(422)
            ->assertSee('Choose whether');
        $this->get($link)
            ->assertOk()
            ->assertSee('bell.com')
            ->assertSee('5•••7')
            ->assertDontSee('51877')
            ->assertDontSee((string) $this->receiver->mailbox)
            ->assertHeader('Cache-Control', 'no-store, private')
            ->assertHeader('Referrer-Policy', 'no-referrer');
        $this->post($link, ['answer' => 'yes', 'number' => '51878', 'login' => 'login-51877'])
            ->assertStatus(422)
            ->assertSee('These are not the details');
        self::assertNull(Acceptance::query()->findOrFail($docket->id)->answered_on);
        $this->post($link, ['answer' => 'yes', 'number' => ' 51877', 'login' => 'LOGIN-51877'])
            ->assertOk()
            ->assertSee('you have agreed');
        // Good once.
        $this->get($link)->assertStatus(410)->assertSee('no longer works');
        $this->post($link, ['answer' => 'no'])->assertStatus(410);

        $acceptance = Acceptance::query()->findOrFail($docket->id);
        self::assertTrue($acceptance->accepted);
        self::assertNotNull($acceptance->carried_at);
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('Accepted on 6 Oct 2026')
            ->assertSee('what to do at Skerry Registrations')
            ->assertDontSee('Accept in the receiving account');
        app(EndLines::class)->done($this->house->steward, $docket, null, Instant::of('2026-10-06'));
        $this->get("/dockets/{$docket->id}/proof.txt")->assertSee('accepted by '.$this->receiver->mailbox);
    }

    public function test_a_receiver_who_refuses_ends_it_with_their_words(): void
    {
        $docket = $this->handOver('bell.com');
        $this->post($this->link(), ['answer' => 'no', 'words' => 'We <never> asked for it'])
            ->assertOk()
            ->assertSee('you have refused');
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertNotNull(Acceptance::query()->findOrFail($docket->id)->carried_at);
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('We <never> asked for it')
            ->assertDontSee('<never>', false);
    }

    public function test_a_refusal_of_many_names_is_carried_by_a_job_and_goes_on_where_it_was_left(): void
    {
        $docket = $this->handOver(...array_map(fn (int $n): string => "bell-{$n}.com", range(1, 130)));
        Queue::fake([CarryAccepted::class]);
        $this->post($this->link(), ['answer' => 'no'])->assertOk();
        Queue::assertPushed(CarryAccepted::class, 1);
        self::assertSame(
            130,
            DocketLine::query()->where('docket_id', $docket->id)->where('state', LineState::Begun)->count(),
            'the page waits for none of them',
        );
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertDontSee('what to do at Skerry Registrations');
        app(ResumeAccepted::class)->sweep();
        self::assertSame(
            130,
            DocketLine::query()
                ->where('docket_id', $docket->id)
                ->where('state', LineState::Refused)
                ->where('reason', 'The receiver refused it')
                ->count(),
        );
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
    }

    public function test_whoever_guesses_what_names_the_account_has_five_tries(): void
    {
        $this->handOver('bell.com');
        $link = $this->link();
        for ($try = 1; $try <= OpenLink::MISSES; $try++) {
            $this->post($link, ['answer' => 'yes', 'number' => "{$try}", 'login' => 'x'])->assertStatus(
                $try < OpenLink::MISSES ? 422 : 410,
            );
        }
        $this->post($link, ['answer' => 'yes', 'number' => '51877', 'login' => 'login-51877'])->assertStatus(410);
        self::assertNull(Acceptance::query()->firstOrFail()->answered_on);
    }

    public function test_a_link_is_kept_as_a_digest_only_and_ends_with_its_day_its_docket_or_another_letter(): void
    {
        $docket = $this->handOver('bell.com');
        $first = $this->link();
        $token = substr($first, strlen('/answer/'));
        self::assertSame(0, Secret::query()->where('kind', 'link')->count(), 'once it was sent nobody here has it');
        self::assertStringNotContainsString(
            $token,
            (string) json_encode([
                DB::table('links')->get(),
                DB::table('letters')->get(),
                DB::table('log')->get(),
                DB::table('jobs')->get(),
            ]),
        );
        $this->actingAs($this->house->steward)
            ->post("/dockets/{$docket->id}/letter")
            ->assertSessionHas('told');
        auth()->logout();
        self::assertCount(2, $this->got());
        $this->get($first)->assertStatus(410);
        $second = $this->link();
        $this->get($second)->assertOk();
        DB::update('UPDATE links SET expires_at = clock_timestamp()');
        $this->get($second)->assertOk()->assertSee('The day to answer has passed')->assertDontSee('bell.com');
        DB::update("UPDATE links SET expires_at = clock_timestamp() + interval '1 day'");
        $this->get($second)->assertOk();
        app(EndLines::class)->calledOff($this->house->steward, $docket);
        $this->get($second)->assertStatus(410);
        $this->actingAs($this->house->steward)
            ->post("/dockets/{$docket->id}/letter")
            ->assertForbidden();
    }

    public function test_written_to_after_the_day_on_which_an_answer_was_wanted_they_have_a_week(): void
    {
        $docket = $this->handOver('bell.com');
        $by = HandoverTermsChosen::unpack($docket->terms)->answerBy;
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('One name is waiting for an answer by '.app(Words::class)->near($by));
        self::assertStringContainsString(Dates::full($by), $this->got()[0]->text);
        app(TradeClock::class)->set($late = $by->plusDays(2));
        $this->get("/dockets/{$docket->id}")->assertSee(
            'One name is waiting for an answer that was due by '.app(Words::class)->near($by),
        );
        $this->get('/names/bell.com')
            ->assertSee(', and was expected to end by '.app(Words::class)->near($by))
            ->assertSee('no answer by '.app(Words::class)->near($by));
        $this->get('/roll')->assertSee('Handover, no answer by '.app(Words::class)->near($by));
        $this->post("/dockets/{$docket->id}/letter")->assertSessionHas('told');
        $again = $this->got()[1]->text;
        self::assertStringContainsString(Dates::full($late->plusDays(7)), $again);
        self::assertStringNotContainsString(Dates::full($by), $again);
        auth()->logout();
        $this->get($this->link())->assertOk()->assertSee('Nothing moves unless you agree.')->assertDontSee(Dates::full($by));
    }

    public function test_a_clerk_writes_to_nobody(): void
    {
        $docket = $this->handOver('bell.com');
        $this->actingAs($this->house->clerk)
            ->post("/dockets/{$docket->id}/letter")
            ->assertForbidden();
    }

    public function test_without_a_mailbox_nobody_can_be_asked(): void
    {
        $this->receiver->update(['mailbox' => null]);
        $name = $this->house->name('bell.com');
        $this->actingAs($this->house->steward)
            ->get("/hand-over?name={$name->ascii}&receiver={$this->receiver->id}")
            ->assertSee('identifies a receiver by its mailbox');
    }

    public function test_a_mailbox_that_nobody_knows_is_seen_on_the_letter(): void
    {
        $this->world->mailbox((string) $this->receiver->mailbox, 'is not known');
        $docket = $this->handOver('bell.com');
        self::assertSame(LetterState::Refused, $this->letter()->state);
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('was refused by the mail server')
            ->assertSee('There is no mailbox')
            ->assertSee('Ask for another mailbox');
    }

    public function test_what_comes_back_is_seen_on_the_letter(): void
    {
        $this->world->add([
            'names' => [],
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'mailboxes' => [['address' => 'returns@harrow-tern.example', 'habit' => 'reads', 'password' => 'what comes back']],
        ]);
        $this->world->mailbox((string) $this->receiver->mailbox, 'bounces');
        $docket = $this->handOver('bell.com');
        self::assertSame(LetterState::Sent, $this->letter()->state);
        app(CollectReturned::class)->handle();
        self::assertSame([LetterState::Returned, '552 5.2.2 The mailbox is full'], [$this->letter()->state, $this->letter()->answer]);
        self::assertSame([], $this->world->letters('returns@harrow-tern.example'), 'what was kept is removed there');
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('came back')
            ->assertSee('The mailbox is full');
        $this->get('/rounds')->assertSee('came back');
        // Asked elsewhere, it goes on.
        $this->receiver->update(['mailbox' => 'other-'.self::$trials.'-'.getmypid().'@letters.example']);
        $this->post("/dockets/{$docket->id}/letter");
        self::assertCount(1, $this->got());
        self::assertSame(LetterState::Sent, $this->letter()->state);
    }

    public function test_a_greylisted_letter_is_brought_again(): void
    {
        $this->world->mailbox((string) $this->receiver->mailbox, 'greylists');
        $this->handOver('bell.com');
        self::assertSame([LetterState::Waiting, []], [$this->letter()->state, $this->got()]);
        app(SendLetters::class)->handle();
        self::assertSame(1, $this->letter()->attempts, 'not at once');
        $this->again();
        self::assertSame([LetterState::Sent, 2], [$this->letter()->state, $this->letter()->attempts]);
        self::assertCount(1, $this->got());
    }

    #[TestWith(['the connection closes before the answer'])]
    #[TestWith(['no answer comes'])]
    #[TestWith(['garbage comes instead of the answer'])]
    public function test_a_letter_whose_fate_is_not_known_is_sent_once_more_as_the_same_letter(string $weather): void
    {
        $this->world->weather($weather, 1, 'the post');
        $docket = $this->handOver('bell.com');
        self::assertSame(LetterState::Doubtful, $this->letter()->state);
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('may have been sent');
        $this->again();
        $got = $this->got();
        self::assertCount(2, $got, 'both were taken');
        self::assertSame($got[0]->id, $got[1]->id);
        self::assertSame($got[0]->text, $got[1]->text, 'with the same link');
        self::assertSame([LetterState::Sent, 2], [$this->letter()->state, $this->letter()->attempts]);
    }

    public function test_doubtful_twice_it_is_left(): void
    {
        $this->world->weather('the connection closes before the answer', 2, 'the post');
        $this->handOver('bell.com');
        $this->again();
        $this->again();
        self::assertSame([LetterState::Doubtful, 2, 2], [$this->letter()->state, $this->letter()->attempts, count($this->got())]);
        self::assertSame(0, Secret::query()->where('kind', 'link')->count());
    }

    #[TestWith(['its disk is full'])]
    #[TestWith(['it shows a certificate that nobody here signed'])]
    public function test_what_was_surely_not_taken_waits(string $weather): void
    {
        $this->world->weather($weather, 1, 'the post');
        $this->handOver('bell.com');
        self::assertSame([LetterState::Waiting, []], [$this->letter()->state, $this->got()]);
        self::assertNotNull($this->letter()->answer);
        $this->again();
        self::assertSame([LetterState::Sent, 1], [$this->letter()->state, count($this->got())]);
    }

    public function test_a_post_that_is_not_there_is_called_once_and_not_for_every_letter(): void
    {
        config(['mail.mailers.listed.host' => 'not-listed.example']);
        Mail::purge('listed');
        $this->handOver('bell.com');
        $this->handOver('peal.com');
        DB::update('UPDATE letters SET not_before = clock_timestamp()');
        $before = Letter::query()->sum('attempts');
        app(SendLetters::class)->handle();
        self::assertSame(1, Letter::query()->sum('attempts') - $before);
        self::assertStringContainsString(
            'not among the hosts that may be asked',
            (string) Letter::query()->whereNotNull('answer')->firstOrFail()->answer,
        );
    }

    public function test_what_is_no_mailbox_at_all_is_seen_on_the_letter_and_stops_no_other(): void
    {
        $asked = (string) $this->receiver->mailbox;
        $this->receiver->update(['mailbox' => 'see the file']);
        $docket = $this->handOver('bell.com');
        self::assertSame(LetterState::Refused, $this->letter()->state);
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('was refused by the mail server')
            ->assertSee('see the file');
        $this->receiver->update(['mailbox' => $asked]);
        $this->handOver('peal.com');
        self::assertSame(LetterState::Sent, $this->letter()->state);
    }

    public function test_an_answer_that_comes_twice_is_no_answer_to_the_next_letter(): void
    {
        $this->world->weather('the answer comes twice', 1, 'the post');
        $this->handOver('bell.com');
        self::assertSame(LetterState::Sent, $this->letter()->state);
        $this->world->mailbox((string) $this->receiver->mailbox, 'is not known');
        $this->handOver('peal.com');
        self::assertSame(LetterState::Refused, $this->letter()->state);
    }

    public function test_a_worker_that_died_leaves_a_letter_that_may_have_gone(): void
    {
        $this->handOver('bell.com');
        DB::update("UPDATE letters SET state = 'sending'");
        app(SendLetters::class)->handle();
        self::assertSame([LetterState::Sent, 1], [$this->letter()->state, $this->letter()->doubts]);
        self::assertSame($this->got()[0]->id, $this->got()[1]->id);
    }

    public function test_a_letter_of_a_docket_that_was_called_off_is_not_sent(): void
    {
        $this->world->weather('its disk is full', 1, 'the post');
        $docket = $this->handOver('bell.com');
        app(EndLines::class)->calledOff($this->house->steward, $docket);
        $this->again();
        self::assertSame([LetterState::CalledOff, []], [$this->letter()->state, $this->got()]);
    }

    public function test_whatever_becomes_of_a_letter_its_link_is_kept_by_nobody_here(): void
    {
        $links = fn (): int => Secret::query()->where('kind', 'link')->count();
        $this->world->weather('its disk is full', 2, 'the post');
        $docket = $this->handOver('bell.com');
        self::assertSame(1, $links(), 'it still is waiting to be sent');
        app(EndLines::class)->calledOff($this->house->steward, $docket);
        $this->again();
        self::assertSame(0, $links(), 'cancelled');
        $other = $this->handOver('peal.com');
        $this->actingAs($this->house->steward)->post("/dockets/{$other->id}/letter");
        self::assertSame([LetterState::Sent, 0], [$this->letter()->state, $links()], 'written again, and sent');
        // A worker died at the second try: it is left, and so is its link.
        DB::update("UPDATE letters SET state = 'sending', doubts = 1 WHERE id = ?", [$this->letter()->id]);
        app(SendLetters::class)->handle();
        self::assertSame([LetterState::Doubtful, 0], [$this->letter()->state, $links()]);
    }

    public function test_what_may_have_gone_is_never_called_refused_for_want_of_an_answer(): void
    {
        $this->world->weather('the connection closes before the answer', 1, 'the post');
        $this->handOver('bell.com');
        $this->world->weather('its disk is full', 1, 'the post');
        DB::update('UPDATE letters SET attempts = 11');
        $this->again();
        self::assertSame([LetterState::Doubtful, 2], [$this->letter()->state, $this->letter()->doubts]);
        $before = count($this->got());
        $this->again();
        self::assertCount($before, $this->got(), 'and is left');
    }

    public function test_the_houses_own_letters_say_what_became_of_them(): void
    {
        $this->world->mailbox($this->house->steward->email, 'is not known');
        $this->house->steward->update(['morning' => true]);
        app(WriteMorningLetters::class)->handle();
        $this->actingAs($this->house->steward)
            ->get('/rounds/letter')
            ->assertSee('was refused by the mail server')
            ->assertSee('There is no mailbox');
        $this->world->mailbox($this->house->steward->email, 'reads');
    }

    public function test_without_a_post_letters_are_kept_and_the_page_says_so(): void
    {
        config(['mail.default' => 'letterbox']);
        $docket = $this->handOver('bell.com');
        self::assertSame(LetterState::Kept, $this->letter()->state);
        $this->actingAs($this->house->steward)
            ->get("/dockets/{$docket->id}")
            ->assertSee('no mail server is set');
    }

    public function test_a_line_that_begins_after_the_word_was_given_finds_it(): void
    {
        $docket = $this->handOver('bell.com');
        $late = $this->house->name('late.com');
        $line = $docket
            ->lines()
            ->create([
                'name_id' => $late->id,
                'giving_account_id' => $this->house->ours->id,
                'position' => 2,
                'state' => LineState::Waiting,
            ]);
        $this->post($this->link(), ['answer' => 'no'])->assertOk();
        app(BeginDocketLines::class)->handle($docket->id);
        self::assertSame([LineState::Stopped, 'The receiver refused the handover'], [$line->refresh()->state, $line->reason]);
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
    }
}
