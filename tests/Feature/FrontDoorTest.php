<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Time\Instant;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Facade;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route as Router;
use Tests\TestCase;

/** What ./acre asks of the application: tell and clock. */
final class FrontDoorTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House(['plain_after_days' => 22, 'late_until_days' => 30]);
    }

    public function test_tell_says_standing_what_is_to_come_and_readiness(): void
    {
        $this->house->name('bell.com', facts: ['ends_on' => Instant::of('2026-11-02'), 'intent' => 'lapse']);
        self::assertSame(0, Artisan::call('acre:tell', ['name' => 'https://www.BELL.com/']));
        $said = Artisan::output();
        foreach (
            [
                'bell.com, on 6 Oct 2026',
                'Held for Wickerby Bell Foundry at Skerry Registrations, account 40718',
                'Will lapse on 2 Nov, as intended',
                '2 Nov 2026   The paid term ends',
                '1 Jan 2027   Last day to keep it',
                'Handover: Clear',
            ] as $part
        ) {
            self::assertStringContainsString($part, $said);
        }
        Artisan::call('acre:tell', ['name' => 'bell.com', '--at' => '2027-01-02', '--json' => true]);
        $data = json_decode(Artisan::output(), true, 32, JSON_THROW_ON_ERROR);
        self::assertIsArray($data);
        self::assertIsArray($data['standing']);
        self::assertIsArray($data['handover']);
        self::assertSame(
            ['pending_delete', true, 'stopped'],
            [$data['standing']['phase'], $data['standing']['presumed'], $data['handover']['verdict']],
        );
    }

    public function test_tell_by_facts_that_are_given(): void
    {
        self::assertSame(
            0,
            Artisan::call('acre:tell', [
                'name' => 'bell.nl',
                '--created' => '2020-01-01',
                '--ends' => '2026-09-20',
                '--moved' => '2026-09-01',
                '--status' => 'client hold',
            ]),
        );
        $said = Artisan::output();
        foreach (['By the facts given', 'Deleted: it can be restored until 30 Oct', 'It is on hold (clientHold)'] as $part) {
            self::assertStringContainsString($part, $said);
        }
        Artisan::call('acre:tell', ['name' => 'bell.com', '--ends' => '2027-02-10', '--lead' => '30']);
        self::assertStringContainsString('11 Jan 2027  Charged', Artisan::output());
        Artisan::call('acre:tell', [
            'name' => 'bell.com',
            '--ends' => '2027-02-10',
            '--status' => 'redemptionPeriod,pendingDelete',
            '--deleted' => '2026-10-05',
        ]);
        self::assertStringContainsString('Deleted: it can be restored until 4 Nov', Artisan::output());
        Artisan::call('acre:tell', ['name' => 'bell.com', '--status' => 'serverHold']);
        self::assertStringContainsString('By the facts given', Artisan::output());
    }

    public function test_tell_refuses_what_it_cannot_read(): void
    {
        foreach (
            [
                ['--ends' => 'soon', 'is not a date'],
                ['--status' => 'clientHold,held', '“held” is no EPP status'],
                ['--lead' => '-3', '“-3” is not a number of days'],
                ['--lead' => '91', 'from 0 to 90'],
            ] as $refused
        ) {
            $said = array_pop($refused);
            self::assertSame(2, Artisan::call('acre:tell', ['name' => 'bell.com', ...$refused]));
            self::assertStringContainsString($said, Artisan::output());
        }
    }

    public function test_the_rulebook_is_read_a_suffix_a_row_with_every_source(): void
    {
        $this->actingAs($this->house->reader)
            ->get('/rulebook')
            ->assertOk()
            ->assertSeeInOrder([
                '.co.uk',
                'grace 30, suspended 60',
                'tag',
                '.com',
                'grace 45, redemption 30, being deleted 5',
                'code',
                'a year',
                '.nl',
                'quarantine 40',
            ]);
        $this->get('/rulebook/com?created=2020-11-02&ends=2026-09-22')
            ->assertOk()
            ->assertSeeInOrder([
                'Try the rules',
                'Late: it can be renewed',
                'Last day to keep it',
                'All rules and editions',
                'published',
                'RFC 5731',
                'not in force',
            ]);
        $this->get('/rulebook/works')->assertSee('has no page for .works');
        $this->get('/rulebook/com?created=x&ends=2000-13-01&lead=999&intent=none')
            ->assertOk()
            ->assertSeeInOrder(['“x” is not a date', 'There is no day 2000-13-01', '“999” is not a number of days from 0 to 90'])
            ->assertSee('name="lead" min="0" max="90" value="999"', false);
        $this->get('/rulebook/com?created=2026-01-02&ends=2026-01-01')->assertOk()->assertSee('A span must end after it begins');
        foreach (['/rulebook/..', '/rulebook/a.b.com', '/rulebook/-'] as $nonsense) {
            $this->get($nonsense)->assertNotFound();
        }
    }

    public function test_tell_of_a_name_that_is_not_held_or_none(): void
    {
        self::assertSame(0, Artisan::call('acre:tell', ['name' => 'bell.nothing-known']));
        self::assertStringContainsString('Not on the Roll', Artisan::output());
        self::assertSame(2, Artisan::call('acre:tell', ['name' => 'bell_.com']));
        self::assertStringContainsString('underscore', Artisan::output());
        self::assertSame(2, Artisan::call('acre:tell', ['name' => 'bell.com', '--at' => 'soon']));
    }

    public function test_moving_the_clock_makes_the_standings_again(): void
    {
        $this->house->name('bell.com', facts: ['ends_on' => Instant::of('2026-10-12')]);
        $kind = fn (): string => Row::of(DB::table('standings')->sole())->text('next_kind');
        self::assertSame('ends', $kind());
        self::assertSame(1, Artisan::call('acre:clock', ['to' => '+6d']), 'The clock of a house that is no demo stays.');
        DB::table('settings')->insert(['key' => 'demo', 'value' => 'true']);
        self::assertSame(0, Artisan::call('acre:clock', ['to' => '+6d']));
        self::assertSame('late_plain', $kind());
        Artisan::call('acre:clock', ['to' => '2026-11-05']);
        self::assertSame('late_dear', $kind());
        self::assertSame('2026-11-05', app(TradeClock::class)->today()->iso());
        self::assertSame(2, Artisan::call('acre:clock', ['to' => '2026-10-01']));
        self::assertSame(2, Artisan::call('acre:clock', ['to' => 'yesterday']));
    }

    public function test_nothing_that_is_done_by_the_clock_fails_while_there_is_nothing_to_do(): void
    {
        DB::table('settings')->insert(['key' => 'demo', 'value' => 'true']);
        Queue::fake();
        $events = app(Schedule::class)->events();
        self::assertGreaterThan(15, count($events));
        foreach ($events as $event) {
            $event->run(app());
            self::assertSame(0, $event->exitCode, (string) $event->description);
        }
        // What they dispatch goes as they go.
        app()->forgetInstance(Schedule::class);
        Facade::clearResolvedInstance(Schedule::class);
    }

    public function test_a_house_that_is_no_demo_is_never_emptied(): void
    {
        $this->house->name('bell.com');
        self::assertSame(1, Artisan::call('acre:demo'));
        self::assertSame(1, DB::table('standings')->count());
    }

    public function test_a_change_of_terms_or_prices_reaches_the_standings(): void
    {
        $this->house->name('bell.com', facts: ['ends_on' => Instant::of('2026-12-02'), 'intent' => 'by_itself']);
        $this->actingAs($this->house->clerk)
            ->post("/registrars/{$this->house->skerry->id}/prices", [
                'suffix' => '.COM',
                'action' => 'renew',
                'amount' => '12,40',
                'currency' => 'gbp',
                'tax_percent' => '20',
                'since' => '2026-10-01',
            ])
            ->assertSessionHasNoErrors();
        self::assertSame('14.88', Row::of(DB::table('standings')->sole())->text('sum'));
        self::assertSame(2, DB::table('prices')->where('suffix', 'com')->count());
        $this->put("/registrars/{$this->house->skerry->id}", [
            'name' => 'Skerry Registrations',
            'receiver_by' => 'mailbox',
            'confirms' => 'nobody',
            'accept_days' => 7,
            'lot_size' => 50,
            'handover_hold_days' => 0,
            'charge_lead_days' => 30,
            'late_until_days' => 30,
            'plain_after_days' => 22,
            'version' => 1,
        ])->assertSessionHasNoErrors();
        self::assertSame(
            '2026-11-02',
            Row::of(DB::table('standings')->sole())
                ->instant('next_at')
                ?->date(),
        );
        $this->put("/clients/{$this->house->foundry->id}", ['name' => 'The Foundry', 'version' => 1])->assertSessionHasNoErrors();
        self::assertSame('The Foundry', Row::of(DB::table('standings')->sole())->text('client_name'));
    }

    public function test_rows_that_people_write_down_are_checked_and_kept_apart(): void
    {
        $this->actingAs($this->house->clerk)
            ->post('/clients', ['name' => 'wickerby bell FOUNDRY'])
            ->assertSessionHasErrors('name');
        $this->post('/accounts', [
            'registrar_id' => $this->house->skerry->id,
            'number' => '40718',
            'access' => 'ours',
        ])->assertSessionHasErrors('number');
        $this->post('/accounts', [
            'registrar_id' => $this->house->skerry->id,
            'number' => '52044',
            'access' => 'theirs',
            'owner_id' => $this->house->foundry->id,
            'mailbox' => 'not one',
        ])->assertSessionHasErrors('mailbox');
        $this->post('/accounts', [
            'registrar_id' => $this->house->skerry->id,
            'number' => '52044',
            'access' => 'theirs',
            'owner_id' => $this->house->foundry->id,
        ])
            ->assertSessionHasNoErrors()
            ->assertRedirect();
        $this->get('/accounts?q=52044')->assertSee('not confirmed to belong together');
        $this->put("/clients/{$this->house->foundry->id}", ['name' => 'One', 'version' => 1])->assertSessionHasNoErrors();
        $this->from('/x')
            ->put("/clients/{$this->house->foundry->id}", ['name' => 'Two', 'version' => 1])
            ->assertSessionHasErrors('version')
            ->assertSessionHasInput('name', 'Two');
    }

    public function test_the_clock_takes_no_year_in_which_no_name_can_be(): void
    {
        DB::table('settings')->insert(['key' => 'demo', 'value' => 'true']);
        foreach (['9999-12-31', '2101-01-01', '+9999d'] as $to) {
            self::assertSame($to === '+9999d' ? 0 : 2, Artisan::call('acre:clock', ['to' => $to]), $to);
        }
    }

    /** A settings file that was copied by hand has empty keys; each is filled in once, and kept. */
    public function test_settings_copied_by_hand_are_filled_in(): void
    {
        $folder = sys_get_temp_dir().'/acre-door-'.bin2hex(random_bytes(6));
        mkdir($folder);
        copy(base_path('.env.example'), "{$folder}/.env");
        $load = fn (): string => (string) shell_exec(
            'cd '.
                escapeshellarg($folder).
                ' && bash -c '.
                escapeshellarg(
                    'set -eu; . '.
                        base_path('bin/common.sh').
                        '; load_settings; echo "$APP_KEY|$WORLD_KEY|$SIGNING_KEY|$DB_ADMIN_PASSWORD|$DB_OWNER_PASSWORD|$DB_PASSWORD"; '
                            .'stat -c %a .env',
                ).
                ' 2>&1',
        );
        $first = $load();
        self::assertMatchesRegularExpression('~^base64:[\w+/]{43}=(\|[0-9a-f]{64}){5}\n600\n$~', $first);
        self::assertSame($first, $load());
        // One that was emptied, or that an older house lacks, is made anew; the rest stays.
        file_put_contents("{$folder}/.env", preg_replace('/^SIGNING_KEY=.*\n/m', '', (string) file_get_contents("{$folder}/.env")));
        self::assertSame(explode('|', $first)[0], explode('|', $load())[0]);
        self::assertMatchesRegularExpression('~(\|[0-9a-f]{64}){5}~', $load());
        shell_exec('rm -rf '.escapeshellarg($folder));
    }

    /** Where files are taken the web server lets large bodies in, to processes of their own; nowhere else. */
    public function test_only_what_takes_a_file_may_be_large(): void
    {
        preg_match('~location \~ (\S+) \{~', (string) file_get_contents(base_path('bin/templates/nginx.conf')), $found);
        $taken = $found[1] ?? '';
        $uploads = [];
        /** @var Route $route */
        foreach (Router::getRoutes()->getRoutes() as $route) {
            if (in_array('throttle:uploads', $route->gatherMiddleware(), true)) {
                $uploads[] = $path = '/'.preg_replace('/\{\w+\}/', '7', $route->uri());
                self::assertMatchesRegularExpression("~{$taken}~", $path);
            } elseif (in_array('POST', $route->methods(), true)) {
                self::assertDoesNotMatchRegularExpression("~{$taken}~", '/'.preg_replace('/\{\w+\}/', '7', $route->uri()));
            }
        }
        self::assertCount(8, $uploads);
    }
}
