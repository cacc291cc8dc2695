<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use App\Actions\Books\ChangeIntent;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Setbacks\SetAside;
use App\Actions\Standings\MakeStandings;
use App\Http\Middleware\CleanStrings;
use App\Models\Client;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\DocketState;
use App\Models\Name;
use App\Models\Setback;
use App\Models\SetbackKind;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PDOException;
use RuntimeException;
use Tests\TestCase;

/** One thing that fails is set aside with its error and its next attempt; what stands beside it goes on. */
final class SetAsideTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        Queue::fake();
        $this->house = new House();
    }

    private function docket(Name ...$names): Docket
    {
        $ids = array_values(array_map(fn (Name $name): int => $name->id, $names));
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            House::token(),
            ChangeIntent::key(),
            $ids,
            ['intent' => Intent::Lapse->value],
            $ids,
        );
        app(SettleDocket::class)->handle($this->house->steward, $docket);

        return $docket;
    }

    /** Throws whenever a statement that begins so is given that value, first or last. */
    private function breaks(string $begins, mixed $value, bool &$isBroken): void
    {
        DB::listen(function (QueryExecuted $query) use ($begins, $value, &$isBroken): void {
            $given = array_values($query->bindings);
            if ($isBroken && str_starts_with($query->sql, $begins) && ($given[0] === $value || $given[count($given) - 1] === $value)) {
                throw new RuntimeException("odd\nand\u{202E} long ".str_repeat('x', 2_000));
            }
        });
    }

    public function test_a_docket_that_cannot_close_stops_no_other(): void
    {
        [$first, $second] = [$this->docket($this->house->name('bell.com')), $this->docket($this->house->name('quay.com'))];
        $isBroken = true;
        $this->breaks('insert into "proofs"', $first->id, $isBroken);
        app(BeginDocketLines::class)->sweep();
        self::assertSame([DocketState::Settled, DocketState::Closed], [$first->refresh()->state, $second->refresh()->state]);
        $setback = Setback::query()->sole();
        self::assertSame([SetbackKind::Docket, $first->id, 1], [$setback->kind, $setback->docket_id, $setback->failures]);
        self::assertStringStartsWith('odd and long xxx', $setback->error);
        self::assertSame(1_000, mb_strlen($setback->error));
        // An Owner reads why, and lets it be tried again; whoever else looks is told that it failed.
        $this->actingAs($this->house->reader)
            ->get("/dockets/{$first->id}")
            ->assertOk()
            ->assertSee('An Owner can read why')
            ->assertDontSee('odd and long');
        $this->get('/rounds')->assertSee('a docket could not continue');
        $this->actingAs($this->house->owner)
            ->get("/dockets/{$first->id}")
            ->assertSee('odd and long')
            ->assertSee('Try again');
        app(BeginDocketLines::class)->sweep();
        self::assertSame(1, $setback->refresh()->failures, 'it waits for its next attempt');
        $isBroken = false;
        $this->post("/failed-work/{$setback->id}")->assertRedirect('/failed-work');
        app(BeginDocketLines::class)->sweep();
        self::assertSame([DocketState::Closed, 0], [$first->refresh()->state, Setback::query()->count()]);
    }

    public function test_a_name_that_cannot_be_begun_stops_no_other_of_its_docket(): void
    {
        $names = array_map(fn (int $at): Name => $this->house->name("bell-{$at}.com"), range(1, 60));
        $docket = $this->docket(...$names);
        $isBroken = true;
        $this->breaks('update "registrations"', $names[6]->registration()->sole()->id, $isBroken);
        app(BeginDocketLines::class)->handle($docket->id);
        $states = array_count_values(array_map(fn (DocketLine $line): string => $line->state->value, $docket->lines()->get()->all()));
        self::assertSame(['done' => 59, 'waiting' => 1], $states);
        self::assertSame([SetbackKind::DocketLine, $names[6]->id], [Setback::query()->sole()->kind, Setback::query()->sole()->name_id]);
        $isBroken = false;
        DB::update('UPDATE setbacks SET retry_at = clock_timestamp()');
        app(BeginDocketLines::class)->sweep();
        self::assertSame([DocketState::Closed, 0], [$docket->refresh()->state, Setback::query()->count()]);
    }

    public function test_a_name_that_cannot_be_judged_keeps_no_other_from_it(): void
    {
        [$odd, $fine] = [$this->house->name('bell.com'), $this->house->name('quay.com')];
        $broken = $odd->id;
        DB::listen(function (QueryExecuted $query) use (&$broken): void {
            if (
                str_starts_with($query->sql, 'INSERT INTO standing_ages') &&
                str_contains(json_encode($query->bindings, JSON_THROW_ON_ERROR), "name_id\\\":{$broken},")
            ) {
                throw new RuntimeException('odd');
            }
        });
        app(MakeStandings::class)->staleNames([$odd->id, $fine->id]);
        self::assertSame(1, app(MakeStandings::class)->due());
        self::assertSame([$odd->id], Setback::query()->where('kind', SetbackKind::Standing)->pluck('subject_id')->all());
        self::assertSame([$odd->id], DB::table('standings_stale')->pluck('name_id')->all());
        $broken = 0;
        DB::update('UPDATE setbacks SET retry_at = clock_timestamp()');
        app(MakeStandings::class)->due();
        self::assertSame([0, 0], [Setback::query()->count(), DB::table('standings_stale')->count()]);
    }

    public function test_waits_grow_up_to_a_quarter_of_a_day_and_a_database_that_is_away_is_no_setback(): void
    {
        $aside = app(SetAside::class);
        $waits = [];
        for ($failure = 0; $failure < 14; $failure++) {
            $waits[] = $aside->note(SetbackKind::Import, 7, new RuntimeException('odd'));
        }
        self::assertSame([10, 20, 40, 80], array_slice($waits, 0, 4));
        self::assertSame(21_600, $waits[13]);
        self::assertFalse($aside->attempt(SetbackKind::Import, 7, fn () => self::fail('It waits for its next attempt.')));
        self::assertSame([7], $aside->rests(SetbackKind::Import));
        $this->expectException(PDOException::class);
        $aside->attempt(SetbackKind::Import, 8, fn () => throw new PDOException('SQLSTATE[08006] no connection to the server'));
    }

    /** What stopped every docket: a line break in a client's name, a reason, a registrar's name in a directory. */
    public function test_control_characters_come_in_as_blanks_and_a_docket_with_them_closes(): void
    {
        $this->actingAs($this->house->steward)
            ->post('/clients', ['name' => "Bell\nFoundry\u{202E}\u{85}Ltd", 'remarks' => "one\r\ntwo\u{2028}three\u{202E}"])
            ->assertSessionHasNoErrors();
        $client = Client::query()->latest('id')->firstOrFail();
        self::assertSame(['Bell Foundry Ltd', "one\ntwo\nthree"], [$client->name, $client->remarks]);
        // Even what came past that, or before it, is told by the proof.
        DB::update("UPDATE clients SET name = E'Bell\\nFoundry\\u202E' WHERE id = ?", [$client->id]);
        $name = $this->house->name('bell.com', client: $client->refresh());
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            House::token(),
            'give_to_client',
            [$name->id],
            ['client' => $this->house->harrow->id, 'on' => '2026-10-06'],
            [$name->id],
        );
        app(SettleDocket::class)->handle($this->house->steward, $docket);
        app(BeginDocketLines::class)->sweep();
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertStringContainsString('Bell\u{a}Foundry\u{202e}', $docket->proof->text ?? '');
    }

    /** The middleware that makes one line of what is typed knows every field that has several. */
    public function test_the_fields_of_several_lines_are_the_ones_that_pages_show(): void
    {
        $shown = [];
        $views = glob(resource_path('views/{*,*/*,*/*/*}.blade.php'), GLOB_BRACE);
        foreach ($views === false ? [] : $views as $view) {
            $source = (string) file_get_contents($view);
            preg_match_all('/<x-field\b(?:[^>"]|"[^"]*")*\btype="area"(?:[^>"]|"[^"]*")*>|<textarea\b[^>]*>/', $source, $fields);
            foreach ($fields[0] as $field) {
                if (preg_match('/\bname="([a-z_]+)"/', $field, $found) === 1) {
                    $shown[] = $found[1];
                }
            }
        }
        self::assertEqualsCanonicalizing(array_values(array_unique($shown)), CleanStrings::LINES);
    }

    public function test_the_page_of_what_is_set_aside_and_jobs_that_failed(): void
    {
        $this->actingAs($this->house->owner)->get('/failed-work')->assertOk()->assertSee('Nothing has failed');
        DB::table('failed_jobs')->insert([
            'uuid' => ($uuid = House::token()),
            'connection' => 'database',
            'queue' => 'default',
            'payload' => json_encode(['uuid' => $uuid, 'displayName' => 'App\\Jobs\\WorkGate', 'data' => []]),
            'exception' => "RuntimeException: odd in a file\n#0 a trace",
        ]);
        $this->get('/failed-work')->assertSee('Work Gate')->assertSee('RuntimeException: odd in a file')->assertDontSee('a trace');
        $this->post("/failed-work/jobs/{$uuid}")->assertRedirect('/failed-work');
        foreach ([$this->house->steward, $this->house->reader] as $other) {
            $this->actingAs($other)->get('/failed-work')->assertForbidden();
            $this->post("/failed-work/jobs/{$uuid}")->assertForbidden();
        }
    }
}
