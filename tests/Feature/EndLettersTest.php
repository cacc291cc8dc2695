<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Actions\Ending\WriteEndLetters;
use App\Actions\Standings\MakeStandings;
use App\Jobs\SendPost;
use App\Models\DocketLine;
use App\Models\Letter;
use App\Models\Name;
use App\Models\Registration;
use App\Support\TradeClock;
use Illuminate\Support\Facades\Bus;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Letters to clients around the end of names that nobody renews by itself. */
final class EndLettersTest extends TestCase
{
    use PressesDeeds;

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        Bus::fake([SendPost::class]);
        $this->house->foundry->update(['end_letters' => true]);
    }

    /** Each stage on its first and its last day, and the days beside them. */
    #[TestWith(['2026-10-02', null])]
    #[TestWith(['2026-10-03', 'within a month'])]
    #[TestWith(['2026-10-25', 'within a month'])]
    #[TestWith(['2026-10-26', 'within a week'])]
    #[TestWith(['2026-11-01', 'within a week'])]
    #[TestWith(['2026-11-02', 'has expired'])]
    #[TestWith(['2026-11-06', 'has expired'])]
    #[TestWith(['2026-11-07', 'Last days for'])]
    #[TestWith(['2026-11-27', 'Last days for'])]
    #[TestWith(['2026-11-28', null])]
    public function test_what_is_written_on_which_day(string $day, ?string $subject): void
    {
        $this->ending('bell.com');
        $this->on($day);
        self::assertSame($subject === null ? 0 : 1, Letter::query()->count());
        self::assertStringContainsString((string) $subject, Letter::query()->first()->subject ?? '');
    }

    public function test_one_letter_tells_of_all_once_at_each_stage_and_again_of_the_next_end(): void
    {
        $names = [$this->ending('bell.com'), $this->ending('chime.com')];
        foreach (['2026-10-03', '2026-10-04', '2026-10-20', '2026-10-26', '2026-11-01', '2026-11-02', '2026-11-04', '2026-11-10'] as $day) {
            $this->on($day);
        }
        self::assertSame(['ending', 'ending', 'ending', 'ending'], Letter::query()->orderBy('id')->pluck('kind')->all());
        $first = Letter::query()->orderBy('id')->firstOrFail();
        self::assertSame('ledger@wickerby-bells.com', $first->mailbox);
        self::assertStringStartsWith('2 domain names of yours expire', $first->subject);
        self::assertStringContainsString('bell.com, expires on 2 Nov 2026, £9.90 for a year', $first->body);
        self::assertStringContainsString('chime.com', $first->body);
        self::assertStringContainsString(
            'bell.com, expired on 2 Nov 2026, £9.90 for a year',
            Letter::query()->orderByDesc('id')->firstOrFail()->body,
        );
        // One that comes later is told of alone.
        $this->ending('knell.com');
        $this->on('2026-11-11');
        $last = Letter::query()->orderByDesc('id')->firstOrFail();
        self::assertStringContainsString('knell.com', $last->body);
        self::assertStringNotContainsString('bell.com', $last->body);
        self::assertSame(5, Letter::query()->count());

        Registration::query()->where('name_id', $names[0]->id)->firstOrFail()->update(['ends_on' => Instant::of('2027-11-02')]);
        app(MakeStandings::class)->of([$names[0]->id]);
        $this->on('2027-10-10');
        self::assertSame(6, Letter::query()->count());
    }

    public function test_nothing_is_written_where_nobody_asked_for_it_or_it_is_in_hand(): void
    {
        $this->ending('sure.com', 'by_itself');
        $this->ending('let-go.com', 'lapse');
        $asked = $this->ending('asked.com', 'ask_client');
        $ordered = $this->ending('ordered.com');
        $this->actingAs($this->house->clerk);
        $this->post("/clients/{$this->house->foundry->id}/ask", [
            'mailbox' => 'ledger@wickerby-bells.com',
            'by' => '2026-10-20',
            'names' => [$asked->id],
        ])->assertSessionHasNoErrors();
        self::assertSame(1, Letter::query()->count());
        $this->pressAs($this->house->clerk, "/deeds/renew?name={$ordered->ascii}", 'prepare');
        self::assertSame(1, DocketLine::query()->where('name_id', $ordered->id)->count());
        $this->on('2026-10-10');
        self::assertSame(['renewals'], Letter::query()->pluck('kind')->all());

        $this->ending('open.com');
        $this->house->foundry->update(['end_letters' => false]);
        $this->on('2026-10-10');
        self::assertSame(1, Letter::query()->count());
        $this->house->foundry->update(['end_letters' => true, 'mailbox' => null]);
        $this->on('2026-10-10');
        self::assertSame(1, Letter::query()->count());
        $this->house->foundry->update(['mailbox' => 'ledger@wickerby-bells.com']);
        $this->on('2026-10-10');
        self::assertStringContainsString('open.com', Letter::query()->orderByDesc('id')->firstOrFail()->body);
        self::assertStringNotContainsString('ordered.com', Letter::query()->orderByDesc('id')->firstOrFail()->body);
    }

    public function test_a_client_is_chosen_on_their_form(): void
    {
        $this->actingAs($this->house->steward);
        $client = $this->house->foundry;
        $page = "/clients/{$client->id}";
        $this->get("{$page}/edit")->assertOk()->assertSee('Write to them a month and a week before');
        $this->put($page, ['name' => $client->name, 'version' => 1, 'end_letters' => '0'])->assertSessionHasNoErrors();
        self::assertFalse($client->refresh()->end_letters);
        $this->put($page, ['name' => $client->name, 'version' => 2, 'end_letters' => ['x']])->assertSessionHasErrors('end_letters');
    }

    private function ending(string $name, string $intent = 'when_told'): Name
    {
        return $this->house->name($name, facts: ['ends_on' => Instant::of('2026-11-02'), 'intent' => $intent]);
    }

    private function on(string $day): void
    {
        app(TradeClock::class)->set(Instant::of("{$day}T09:00:00Z"));
        app(WriteEndLetters::class)->handle();
    }
}
