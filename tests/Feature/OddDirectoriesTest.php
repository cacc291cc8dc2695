<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Contact\Field;
use Acre\Core\Time\Instant;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Outside\LeaseDue;
use App\Actions\Outside\Observe;
use App\Actions\Standings\MakeStandings;
use App\Models\Drift;
use App\Models\Setback;
use App\Models\SetbackKind;
use App\Outside\Directory\Directory;
use App\Providers\OutsideServiceProvider;
use App\Queries\Outside\LastSeen;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\Group;
use RuntimeException;
use Tests\TestCase;

/** Whatever directories say of one name of fifty, or however long they take for it, its neighbours do not notice. */
#[Group('world')]
final class OddDirectoriesTest extends TestCase
{
    use Scripted;

    private House $house;

    private string $script;

    /** @var resource listens, and never says a word */
    private $silent;

    /** @var array<string, mixed> */
    private array $https = [];

    protected function setUp(): void
    {
        parent::setUp();
        Queue::fake();
        $this->script = (string) tempnam(sys_get_temp_dir(), 'said');
        [$port, $textPort] = self::ports(2);
        $this->says([
            'bootstrap.example/dns.json' => [
                200,
                [
                    'version' => '1.0',
                    'publication' => '2026-10-06T09:00:00Z',
                    'services' => [[['com'], ['https://rdap.harbour-registry.example/']], [['org'], ['https://rdap.silent.example/']]],
                ],
            ],
        ]);
        $this->starts('scripted.php', (string) $port, (string) $textPort, $this->script);
        $silent = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($silent);
        $this->silent = $silent;
        config([
            'outside.hosts' => [
                'bootstrap.example' => "127.0.0.1:{$port}",
                'rdap.harbour-registry.example' => "127.0.0.1:{$port}",
                'rdap.skerry.example' => "127.0.0.1:{$port}",
                'rdap.silent.example' => (string) stream_socket_get_name($silent, false),
            ],
            'outside.bootstrap' => 'https://bootstrap.example/dns.json',
            'outside.answer' => 1,
            'outside.connect' => 1,
            'outside.dns.roots' => [],
        ]);
        $this->app->register(OutsideServiceProvider::class, true);
        $this->app->forgetInstance(Directory::class);
        Cache::flush();
        $this->house = new House();
    }

    protected function tearDown(): void
    {
        unlink($this->script);
        fclose($this->silent);
        parent::tearDown();
    }

    /** @param  array<string, mixed>  $https */
    private function says(array $https): void
    {
        $this->https = [...$this->https, ...$https];
        file_put_contents($this->script, json_encode(['https' => $this->https], JSON_THROW_ON_ERROR));
    }

    /** @param  array<string, mixed>  $with */
    private function domain(string $name, array $with = []): void
    {
        $this->says([
            "rdap.harbour-registry.example/domain/{$name}" => [
                200,
                $with + [
                    'objectClassName' => 'domain',
                    'ldhName' => $name,
                    'status' => ['active'],
                    'events' => [['eventAction' => 'expiration', 'eventDate' => '2027-11-02T00:00:00Z']],
                ],
            ],
        ]);
    }

    /** @return list<int> */
    private function names(int $many, string $suffix = 'com'): array
    {
        $ids = [];
        for ($at = 1; $at <= $many; $at++) {
            $ids[] = $this->house->name("bell-{$at}.{$suffix}")->id;
            $suffix === 'com' ? $this->domain("bell-{$at}.com") : null;
        }

        return $ids;
    }

    /** @return list<string> names that an answer was kept of */
    private static function kept(): array
    {
        return array_map(
            fn (Row $row): string => $row->text('ascii'),
            Row::all(
                DB::select(
                    "SELECT DISTINCT n.id, n.ascii FROM observations o JOIN names n ON n.id = o.name_id WHERE o.source = 'registry'
                        ORDER BY n.id",
                ),
            ),
        );
    }

    /**
     * @param  list<int>  $ids
     * @return list<string> why their registry was not understood
     */
    private function why(array $ids): array
    {
        return array_map(
            function (Row $row): string {
                $registry = $row->json('troubles')['registry'] ?? null;

                return is_array($registry) && is_string($registry['why'] ?? null) ? $registry['why'] : '';
            },
            Row::all(
                DB::table('observing')
                    ->whereIn('name_id', $ids)
                    ->orderBy('name_id')
                    ->get(['troubles']),
            ),
        );
    }

    public function test_odd_records_cost_their_odd_members_and_no_other_name(): void
    {
        $ids = $this->names(12);
        $card = fn (string $organisation): array => [
            'entities' => [
                [
                    'objectClassName' => 'entity',
                    'roles' => ['registrant'],
                    'vcardArray' => ['vcard', [['version', [], 'text', '4.0'], ['org', [], 'text', $organisation]]],
                ],
                ['objectClassName' => 'entity', 'roles' => ['registrar'], 'vcardArray' => ['vcard', [['fn', [], 'text', $organisation]]]],
            ],
        ];
        $this->domain('bell-1.com', $card(str_repeat('x', 20_000)));
        $this->domain('bell-2.com', $card("Bell\0Foundry\u{202E}\u{2028}Ltd"));
        $this->domain('bell-3.com', [
            'events' => [
                ['eventAction' => 'expiration', 'eventDate' => '0000-01-01T00:00:00Z'],
                ['eventAction' => 'registration', 'eventDate' => '99999-01-01T00:00:00Z'],
            ],
        ]);
        $this->domain('bell-4.com', ['nameservers' => [['ldhName' => "ns1.\u{0}.example"], ['ldhName' => str_repeat('y', 20_000)]]]);
        $this->domain('bell-5.com', [
            'status' => 'active',
            'entities' => 'none',
            'links' => [['href' => ['odd']]],
            'notices' => [['title' => 7]],
            'secureDNS' => ['dsData' => 'x'],
            'redacted' => 'x',
            'handle' => ['y'],
        ]);
        $this->says([
            'rdap.harbour-registry.example/domain/bell-6.com' => [
                200,
                'base64:'.
                base64_encode(
                    "{\"objectClassName\": \"domain\", \"ldhName\": \"bell-6.com\", \"handle\": \"\xff\", \"nameservers\": [{\"ldhName\": "
                        ."\"\xff.example\"}]}",
                ),
            ],
        ]);
        $this->domain('bell-7.com', $card(str_repeat('Skerry ', 130_000)));
        app(Observe::class)->of($ids);
        self::assertSame(array_map(fn (int $at): string => "bell-{$at}.com", [1, 2, 3, 4, 5, 6, 8, 9, 10, 11, 12]), self::kept());
        self::assertSame(['too_long'], $this->why([$ids[6]]), 'and more than is read at all is said to be too long');
        self::assertSame(0, Setback::query()->count());
        // Nothing of it makes a page that nobody could read.
        foreach (['bell-1.com', 'bell-2.com', 'bell-5.com'] as $name) {
            $page = (string) $this->actingAs($this->house->reader)
                ->get("/record/{$name}")
                ->assertOk()
                ->getContent();
            self::assertLessThan(60_000, strlen($page));
            self::assertDoesNotMatchRegularExpression('/[\x{202E}\x{2028}]/u', $page);
        }
    }

    /** RFC 7480 §5.3: a body of a negative answer is the server's choice; a page of whoever stands between is no word of the registry. */
    public function test_what_is_said_oddly_alarms_nobody_before_it_is_said_again(): void
    {
        $ids = $this->names(4);
        $servers = fn (array $hosts): array => [
            'nameservers' => array_map(fn (mixed $host): array => ['objectClassName' => 'nameserver', 'ldhName' => $host], $hosts),
        ];
        DB::table('registrations')->update(['servers' => '["ns1.sound.example"]']);
        $this->says([
            'rdap.harbour-registry.example/domain/bell-1.com' => [404, '<html><h1>Not Found</h1></html>'],
            'rdap.harbour-registry.example/domain/bell-2.com' => [404, ['errorCode' => 404, 'title' => 'Not found']],
        ]);
        $this->domain('bell-3.com', $servers([]));
        $this->domain('bell-4.com', $servers(['ns9.elsewhere.example']));
        $drifts = fn (): array => array_map(
            fn (Row $row): array => [$row->text('ascii'), $row->text('certainty'), $row->bool('alarming')],
            Row::all(
                DB::select(
                    "SELECT n.ascii, d.certainty, d.alarming FROM drifts d JOIN names n ON n.id = d.name_id
                        WHERE d.finding IN ('not_in_directory', 'servers_changed') ORDER BY n.ascii",
                ),
            ),
        );
        app(Observe::class)->of($ids);
        self::assertSame(
            [['bell-1.com', 'once', false], ['bell-2.com', 'sure', true], ['bell-3.com', 'once', false], ['bell-4.com', 'sure', true]],
            $drifts(),
        );
        self::assertSame(
            ['hourly'],
            array_values(
                array_unique(array_map(fn (Row $row): string => $row->text('pace'), Row::all(DB::table('observing')->get(['pace'])))),
            ),
            'and it is looked at again within the hour',
        );
        self::assertNotSame('gone', DB::table('standings')->where('ascii', 'bell-1.com')->value('next_kind'));
        self::assertSame('gone', DB::table('standings')->where('ascii', 'bell-2.com')->value('next_kind'));
        app(TradeClock::class)->set(Instant::of('2026-10-06T09:05:00Z'));
        app(Observe::class)->of($ids);
        self::assertSame(['once', false], array_slice($drifts()[0], 1), 'too soon after to be another look');
        app(TradeClock::class)->set(Instant::of('2026-10-06T10:00:00Z'));
        app(Observe::class)->of($ids);
        self::assertSame(
            [['bell-1.com', 'sure', true], ['bell-2.com', 'sure', true], ['bell-3.com', 'sure', true], ['bell-4.com', 'sure', true]],
            $drifts(),
        );
        self::assertSame('gone', DB::table('standings')->where('ascii', 'bell-1.com')->value('next_kind'));
    }

    /**
     * What directories put in place of a holder's data is none: RFC 9537 §3.3 and §3.4 (part of a value, or another), and words for it
     * (common practice).
     */
    public function test_what_stands_in_place_of_a_holder_is_no_holder(): void
    {
        $ids = $this->names(1);
        $this->domain('bell-1.com', [
            'entities' => [
                [
                    'objectClassName' => 'entity',
                    'roles' => ['registrant'],
                    'vcardArray' => [
                        'vcard',
                        [
                            ['version', [], 'text', '4.0'],
                            ['fn', [], 'text', 'REDACTED FOR PRIVACY'],
                            ['org', [], 'text', 'B***'],
                            ['email', [], 'text', 'proxy-7@relay.example'],
                            ['tel', ['type' => 'voice'], 'uri', 'tel:+44.1632960114'],
                        ],
                    ],
                ],
            ],
            'redacted' => [
                ['name' => ['description' => 'Registrant Organization'], 'method' => 'partialValue'],
                ['name' => ['description' => 'Registrant Email'], 'method' => 'replacementValue'],
            ],
        ]);
        app(Observe::class)->of($ids);
        $record = app(LastSeen::class)->of($ids[0], 'bell-1.com')['registry'][0]->record ?? null;
        self::assertNotNull($record);
        $seen = fn (Field $field): array => [$record->field($field)->value, $record->field($field)->isRedacted];
        self::assertSame(
            [[null, true], [null, true], [null, true], ['+44.1632960114', false]],
            array_map($seen, [Field::Name, Field::Organisation, Field::Mailbox, Field::Voice]),
        );
    }

    /** RFC 5731 §2.3, in RDAP's word (RFC 8056 §2): `active`. */
    public function test_what_its_registry_calls_active_is_not_suspended_by_the_rules(): void
    {
        $ids = $this->names(1);
        DB::table('registrations')->update(['ends_on' => '2026-08-01']);
        $this->domain('bell-1.com', ['events' => [['eventAction' => 'expiration', 'eventDate' => '2026-08-01T00:00:00Z']]]);
        app(MakeStandings::class)->of($ids);
        $phase = fn (): mixed => DB::table('standings')->where('ascii', 'bell-1.com')->value('phase');
        self::assertSame('redemption', $phase());
        app(Observe::class)->of($ids);
        self::assertSame('grace', $phase());
        $this->actingAs($this->house->reader)->get('/names/bell-1.com')->assertSee('its registry still calls it active: renew it today');
        $this->get('/roll')->assertSee('bell-1.com');
        $this->domain('bell-1.com', [
            'status' => ['inactive'],
            'events' => [['eventAction' => 'expiration', 'eventDate' => '2026-08-01T00:00:00Z']],
        ]);
        app(TradeClock::class)->set(Instant::of('2026-10-06T12:00:00Z'));
        app(Observe::class)->of($ids);
        self::assertSame('redemption', $phase());
    }

    public function test_a_holder_who_was_ours_and_is_another_is_an_alarm(): void
    {
        $ids = $this->names(2);
        app(RecordRegistrants::class)->of(
            array_fill_keys($ids, ['registrant' => 'Bell Foundry', 'mailbox' => 'ledger@bells.example']),
            'typed',
            null,
        );
        $of = fn (string $who): array => [
            'entities' => [
                [
                    'objectClassName' => 'entity',
                    'roles' => ['registrant'],
                    'vcardArray' => ['vcard', [['version', [], 'text', '4.0'], ['fn', [], 'text', $who]]],
                ],
            ],
        ];
        $this->domain('bell-1.com', $of('Bell Foundry'));
        $this->domain('bell-2.com', $of('Somebody Else'));
        // By then directories show what was typed.
        app(TradeClock::class)->set(Instant::of('2026-10-13T09:00:00Z'));
        app(Observe::class)->of($ids);
        $drifts = fn (): array => Drift::query()
            ->whereIn('finding', ['holder_differs', 'holder_changed'])
            ->where('state', 'open')
            ->orderBy('name_id')
            ->get()
            ->map(fn (Drift $drift): array => [$drift->finding->value, $drift->alarming])
            ->all();
        self::assertSame([['holder_differs', false]], $drifts(), 'ours may be what is wrong');
        $this->domain('bell-1.com', $of('Somebody Else'));
        app(TradeClock::class)->set(Instant::of('2026-10-13T12:00:00Z'));
        app(Observe::class)->of($ids);
        self::assertSame([['holder_changed', true], ['holder_differs', false]], $drifts());
        app(TradeClock::class)->set(Instant::of('2026-10-14T12:00:00Z'));
        app(Observe::class)->of($ids);
        self::assertSame([['holder_changed', true], ['holder_differs', false]], $drifts(), 'and stays one');
    }

    public function test_what_cannot_be_written_down_of_one_name_is_set_aside_and_asked_for_again(): void
    {
        $ids = $this->names(50);
        $odd = $ids[20];
        DB::listen(function (QueryExecuted $query) use (&$odd): void {
            if (str_starts_with($query->sql, 'insert into "observations"') && ($query->bindings[0] ?? null) === $odd) {
                throw new RuntimeException('odd');
            }
        });
        app(Observe::class)->of($ids);
        self::assertCount(49, self::kept());
        self::assertSame([SetbackKind::Look, $ids[20]], [Setback::query()->sole()->kind, Setback::query()->sole()->name_id]);
        $due = fn (): ?Instant => Row::of(DB::table('observing')->where('name_id', $ids[20])->first())->instant('due_at');
        self::assertTrue($due()?->isBefore(app(TradeClock::class)->now()->plusSeconds(3_600)));
        $this->actingAs($this->house->reader)->get('/rounds')->assertSee('one name could not be checked');
        $odd = 0;
        DB::update('UPDATE setbacks SET retry_at = clock_timestamp()');
        app(Observe::class)->of([$ids[20]]);
        self::assertSame([50, 0], [count(self::kept()), Setback::query()->count()]);
    }

    public function test_a_silent_host_is_left_alone_after_three_questions_and_others_are_asked(): void
    {
        $silent = $this->names(10, 'org');
        $fine = $this->names(10);
        app(Observe::class)->of([...$silent, ...$fine]);
        self::assertCount(10, self::kept());
        self::assertSame(['silent' => 3, 'too_often' => 7], array_count_values($this->why($silent)));
    }

    /** Fifty that are slow: what was answered is kept, what was not begun is still due, and nobody holds it. */
    public function test_what_slow_directories_answered_in_time_is_kept_and_the_rest_is_still_due(): void
    {
        $ids = [...$this->names(1), ...$this->names(6, 'org')];
        DB::table('observing')
            ->whereIn('name_id', $ids)
            ->update(['due_at' => '-infinity']);
        $take = app(LeaseDue::class);
        $taken = $take->handle(50);
        self::assertEqualsCanonicalizing($ids, $taken);
        sort($taken);
        $looked = app(Observe::class)->within($taken, 1);
        $take->giveBack($looked->left);
        self::assertTrue($looked->hadTurn);
        self::assertSame(['bell-1.com'], self::kept());
        self::assertGreaterThanOrEqual(4, count($looked->left));
        self::assertEqualsCanonicalizing($looked->left, $take->handle(50));
    }

    public function test_a_quiet_name_is_looked_at_cheaply_and_what_its_registrar_said_last_still_counts(): void
    {
        $name = $this->house->name('bell.com');
        $own = 'rdap.skerry.example/domain/bell.com';
        $this->domain('bell.com', ['links' => [['rel' => 'related', 'type' => 'application/rdap+json', 'href' => "https://{$own}"]]]);
        $this->says([
            $own => [
                200,
                [
                    'objectClassName' => 'domain',
                    'ldhName' => 'bell.com',
                    'status' => ['active'],
                    'events' => [['eventAction' => 'registrar expiration', 'eventDate' => '2027-11-02T00:00:00Z']],
                ],
            ],
        ]);
        $asked = fn (): int => substr_count((string) $this->server?->getOutput(), $own);
        app(Observe::class)->within([$name->id], 10);
        self::assertSame(1, $asked());
        $drifts = DB::table('drifts')->where('state', 'open')->pluck('finding')->all();
        DB::update("UPDATE observing SET pace = 'weekly'");
        app(TradeClock::class)->set(Instant::of('2026-10-08T09:00:00Z'));
        app(Observe::class)->within([$name->id], 10);
        self::assertSame([1, $drifts], [$asked(), DB::table('drifts')->where('state', 'open')->pluck('finding')->all()]);
        DB::update("UPDATE observing SET pace = 'weekly'");
        app(TradeClock::class)->set(Instant::of('2026-10-12T10:00:00Z'));
        app(Observe::class)->within([$name->id], 10);
        self::assertSame(2, $asked(), 'once a week everybody is asked');
    }
}
