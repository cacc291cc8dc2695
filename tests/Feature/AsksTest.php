<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Asks\AskClient;
use App\Actions\Asks\ClientAnswers;
use App\Jobs\SendPost;
use App\Models\Ask;
use App\Models\AskLine;
use App\Models\AskState;
use App\Models\Docket;
use App\Models\DocketState;
use App\Models\Holding;
use App\Models\Letter;
use App\Models\Name;
use App\Models\Registration;
use App\Models\Secret;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use Illuminate\Support\Facades\Bus;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** A client is asked by letter which of their names to keep, and answers on a page of their own. */
final class AsksTest extends TestCase
{
    private House $house;

    /** @var list<Name> */
    private array $names;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        // Letters wait, and so do their links.
        Bus::fake([SendPost::class]);
        $this->names = array_map(
            fn (string $name): Name => $this->house->name($name, facts: ['ends_on' => Instant::of('2026-11-02'), 'intent' => 'ask_client']),
            ['bell.com', 'chime.com', 'knell.com', 'peal.com'],
        );
        $this->actingAs($this->house->clerk);
    }

    public function test_one_letter_asks_for_all_and_three_are_kept_and_one_let_go(): void
    {
        $this->house->name('far.com', facts: ['ends_on' => Instant::of('2027-11-02'), 'intent' => 'ask_client']);
        $this->house->name('sure.com', facts: ['ends_on' => Instant::of('2026-11-02'), 'intent' => 'by_itself']);
        $page = "/clients/{$this->house->foundry->id}/ask";
        $this->get($page)->assertSee('bell.com')->assertDontSee('far.com')->assertDontSee('sure.com')->assertSee('2026-10-20');
        $this->get("{$page}?months=12")->assertDontSee('far.com');
        $this->post($page, $this->form())->assertRedirect();
        $ask = Ask::query()->sole();
        $letter = Letter::query()->sole();
        self::assertSame(['renewals', 'ledger@wickerby-bells.com'], [$letter->kind, $letter->mailbox]);
        self::assertStringContainsString('bell.com, expires on 2 Nov 2026, £9.90 for a year', $letter->body);
        self::assertStringNotContainsString('/answer/', $letter->body);
        $this->get("/asks/{$ask->id}")->assertSee('An answer is due by 20 Oct 2026');
        // Asked once, they aren't asked again meanwhile.
        $this->post($page, $this->form())->assertSessionHasErrors('names');
        self::assertSame(1, Letter::query()->count());

        $address = $this->link();
        $this->app['auth']->guard()->logout();
        $this->get($address)
            ->assertOk()
            ->assertSee('which of these 4 domain names do you keep?')
            ->assertSeeInOrder(['bell.com', '2 Nov 2026', '£9.90', 'keep for 2 years', 'let it lapse'])
            ->assertHeader('Referrer-Policy', 'no-referrer');
        [$bell, $chime, $knell, $peal] = array_map(fn (Name $name): int => $name->id, $this->names);
        $this->post($address, ['name' => [$bell => '1', $chime => '']])
            ->assertStatus(422)
            ->assertSee('Please choose an answer for each name.')
            ->assertSee('<option value="1"', false);
        self::assertSame(AskState::Open, $ask->refresh()->state);
        $this->post($address, ['name' => [$bell => '1', $chime => '2', $knell => '1', $peal => '0']])
            ->assertOk()
            ->assertSee('will renew 3 names for you')
            ->assertSee('One name will be left to lapse.');
        self::assertSame(AskState::Answered, $ask->refresh()->state);
        self::assertSame(
            ['bell.com' => 'when_told', 'chime.com' => 'when_told', 'knell.com' => 'when_told', 'peal.com' => 'lapse'],
            $this->intents(),
        );
        self::assertSame('client', Registration::query()->where('name_id', $peal)->sole()->sources['intent']['from'] ?? null);
        $dockets = Docket::query()->orderBy('id')->get();
        self::assertSame([1, 2], $dockets->map(fn (Docket $one): mixed => $one->terms['years'])->all());
        self::assertSame([DocketState::Prepared->value], $dockets->map(fn (Docket $one): string => $one->state->value)->unique()->all());
        self::assertSame([$this->house->clerk->id], $dockets->pluck('prepared_by')->unique()->all());
        // The link was good once.
        $this->get($address)->assertStatus(410);
        $this->post($address, ['all' => '1'])->assertStatus(410);
        $this->actingAs($this->house->clerk)->get("/asks/{$ask->id}")
            ->assertSeeInOrder(['bell.com', 'keep for one year', "docket {$dockets->modelKeys()[0]}", 'chime.com', 'keep for 2 years'])
            ->assertSee('its intent is to lapse');
        $this->get('/names/peal.com')->assertSee('the client said so on 6 Oct 2026');
    }

    public function test_all_are_kept_with_one_press_and_what_is_odd_is_not_understood(): void
    {
        $this->post("/clients/{$this->house->foundry->id}/ask", $this->form());
        $address = $this->link();
        $id = $this->names[0]->id;
        foreach ([['name' => 'x'], ['name' => [['1']]], ['all' => '11'], ['all' => ['1']], ['name' => [$id => '-1']], []] as $odd) {
            $this->post($address, $odd)->assertStatus(422);
        }
        self::assertSame(0, AskLine::query()->whereNotNull('answer')->count());
        $this->post($address, ['all' => '1'])->assertOk()->assertSee('will renew 4 names');
        self::assertSame(4, AskLine::query()->where('answer', 'keep')->whereNotNull('docket_id')->count());
    }

    /** What was renewed since, or is another's now, is no longer decided by the letter of before. */
    public function test_what_is_no_longer_asked_is_left_as_it_is(): void
    {
        app(HouseSettings::class)->set(['silence' => 'lapse']);
        $this->post("/clients/{$this->house->foundry->id}/ask", $this->form());
        [$bell, $chime, $knell, $peal] = $this->names;
        Registration::query()->where('name_id', $bell->id)->update(['ends_on' => '2027-11-02', 'intent' => 'when_told']);
        Holding::query()->where('name_id', $chime->id)->update(['client_id' => $this->house->harrow->id]);
        // Only put right, it is asked on.
        Registration::query()->where('name_id', $knell->id)->update(['ends_on' => '2026-11-05']);
        $ask = Ask::query()->sole();
        $this->get("/asks/{$ask->id}")
            ->assertSeeInOrder(['bell.com', 'no longer needed', 'chime.com', 'no longer needed', 'knell.com', 'none yet']);
        $address = $this->link();
        $this->get($address)
            ->assertSee('which of these 2 domain names do you keep?')
            ->assertDontSee('bell.com')
            ->assertDontSee('chime.com');
        app(TradeClock::class)->set(Instant::of('2026-10-13T09:00:00Z'));
        self::assertSame(1, app(AskClient::class)->remind());
        self::assertStringNotContainsString('chime.com', Letter::query()->latest('id')->firstOrFail()->body);
        $typed = ['name' => [$bell->id => '0', $chime->id => '0', $knell->id => '1', $peal->id => '0']];
        $this->post($this->link(), $typed)->assertOk()->assertSee('will renew one name')->assertSee('One name will be left to lapse.');
        $intents = ['bell.com' => 'when_told', 'chime.com' => 'ask_client', 'knell.com' => 'when_told', 'peal.com' => 'lapse'];
        self::assertSame($intents, $this->intents());
        self::assertSame([null, null, 'keep', 'lapse'], $ask->lines()->pluck('answer')->all());
        $this->get("/asks/{$ask->id}")->assertDontSee('none yet')->assertDontSee('no longer needed');
    }

    public function test_where_nothing_is_asked_any_more_nobody_is_reminded_and_silence_says_nothing(): void
    {
        app(HouseSettings::class)->set(['silence' => 'lapse']);
        $this->post("/clients/{$this->house->foundry->id}/ask", $this->form());
        $address = $this->link();
        Registration::query()->update(['ends_on' => '2027-11-02']);
        $this->get($address)->assertStatus(410);
        $this->post($address, ['all' => '1'])->assertStatus(410);
        app(TradeClock::class)->set(Instant::of('2026-10-13T09:00:00Z'));
        self::assertSame(0, app(AskClient::class)->remind());
        app(TradeClock::class)->set(Instant::of('2026-10-21T09:00:00Z'));
        self::assertSame(1, app(ClientAnswers::class)->silent());
        self::assertSame(['ask_client'], array_values(array_unique($this->intents())));
        self::assertSame(AskState::Silent, Ask::query()->sole()->state);
    }

    #[TestWith(['nothing', 'ask_client', 0])]
    #[TestWith(['keep', 'when_told', 1])]
    #[TestWith(['lapse', 'lapse', 0])]
    public function test_who_says_nothing_is_reminded_twice_and_then_the_houses_rule_counts(
        string $rule,
        string $intent,
        int $dockets,
    ): void {
        app(HouseSettings::class)->set(['silence' => $rule]);
        $this->post("/clients/{$this->house->foundry->id}/ask", $this->form());
        $first = $this->link();
        $days = ['12' => 0, '13' => 1, '14' => 0, '18' => 1, '19' => 0, '20' => 0, '21' => 0];
        foreach ($days as $day => $written) {
            app(TradeClock::class)->set(Instant::of("2026-10-{$day}T09:00:00Z"));
            app(ClientAnswers::class)->silent();
            self::assertSame($written, app(AskClient::class)->remind(), (string) $day);
            self::assertSame(0, app(AskClient::class)->remind(), "{$day} again");
        }
        self::assertSame(3, Letter::query()->count());
        $this->get($first)->assertStatus(410);
        self::assertSame(AskState::Silent, Ask::query()->sole()->state);
        self::assertSame([$intent], array_values(array_unique($this->intents())));
        self::assertSame($dockets, Docket::query()->count());
    }

    public function test_withdrawn_nothing_is_decided(): void
    {
        $this->post("/clients/{$this->house->foundry->id}/ask", $this->form());
        $address = $this->link();
        $ask = Ask::query()->sole();
        $this->post("/asks/{$ask->id}/withdraw")->assertSessionHasNoErrors();
        $this->get($address)->assertStatus(410);
        $this->post("/asks/{$ask->id}/withdraw")->assertSessionHasErrors('ask');
        self::assertSame(['ask_client'], array_values(array_unique($this->intents())));
        $this->post("/clients/{$this->house->foundry->id}/ask", $this->form())->assertSessionHasNoErrors();
    }

    public function test_a_name_of_another_client_is_not_asked_about(): void
    {
        $other = $this->house->name('other.com', client: $this->house->harrow, facts: ['ends_on' => Instant::of('2026-11-02')]);
        $this->post("/clients/{$this->house->foundry->id}/ask", ['names' => [$other->id]] + $this->form())->assertSessionHasErrors('names');
        $this->post("/clients/{$this->house->foundry->id}/ask", ['names' => ['x']] + $this->form())->assertSessionHasErrors('names.0');
        $this->actingAs($this->house->reader)->post("/clients/{$this->house->foundry->id}/ask", $this->form())->assertForbidden();
        self::assertSame(0, Ask::query()->count());
    }

    /** @return array<string, mixed> */
    private function form(): array
    {
        return [
            'mailbox' => 'ledger@wickerby-bells.com',
            'by' => '2026-10-20',
            'names' => array_map(fn (Name $name): int => $name->id, $this->names),
        ];
    }

    /** The path behind the link of the letter that was last written. */
    private function link(): string
    {
        return (string) parse_url((string) Secret::query()->where('kind', 'link')->latest('id')->firstOrFail()->value, PHP_URL_PATH);
    }

    /** @return array<string, string> by name */
    private function intents(): array
    {
        return Registration::query()
            ->join('names', 'names.id', '=', 'registrations.name_id')
            ->whereIn('names.id', array_map(fn (Name $name): int => $name->id, $this->names))
            ->orderBy('ascii')
            ->get(['ascii', 'intent'])
            ->mapWithKeys(fn (Registration $one): array => [
                is_string($one->getAttribute('ascii')) ? $one->getAttribute('ascii') : '' => $one->intent->value,
            ])
            ->all();
    }
}
