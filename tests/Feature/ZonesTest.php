<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Zone\SetWanted;
use App\Actions\Servers\KeepZonesInTurn;
use App\Actions\Servers\RecordsTyped;
use App\Actions\Servers\WatchRecords;
use App\Jobs\KeepZonesDue;
use App\Models\Docket;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Name;
use App\Models\NamedSet;
use App\Models\NameSite;
use App\Models\Secret;
use App\Outside\Registrar\GatePin;
use App\Queries\Servers\KeptZones;
use App\Support\TradeClock;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Copies of zones: asked, transferred, pasted; compared, and given back as a file. */
#[Group('world')]
final class ZonesTest extends TestCase
{
    use PressesDeeds;
    use Worldly;

    private const HOSTS = ['ns1.zone-quay.example', 'ns2.zone-quay.example'];

    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->world();
        $this->house = new House();
        $this->actingAs($this->house->clerk);
    }

    /** @param  list<string>  $records  host, type and data beside the usual address */
    private function registered(array $records, bool $isGiven = false, ?string $ascii = null, string $address = '192.0.2.80'): Name
    {
        $zone = $ascii ?? 'zone-'.self::$trials++.'-'.getmypid().'.com';
        $this->world->add([
            'hosts' => [
                ['host' => self::HOSTS[0], 'addresses' => ['192.0.2.180']],
                ['host' => self::HOSTS[1], 'addresses' => ['198.51.100.180']],
            ],
            'moods' => [],
            'names' => [self::atRegistry($zone, self::HOSTS)],
            'zones' => [
                [
                    'zone' => $zone,
                    'records' => json_encode([
                        'given' => $isGiven,
                        'records' => array_map(function (string $record) use ($zone): array {
                            [$host, $type, $data] = explode(' ', $record, 3);

                            return ['name' => $host === '@' ? $zone : "{$host}.{$zone}", 'type' => $type, 'data' => $data];
                        }, ["@ A {$address}", ...$records]),
                    ], JSON_THROW_ON_ERROR),
                ],
            ],
        ]);

        return Name::query()->where('ascii', $zone)->first() ?? $this->house->name($zone, facts: ['servers' => self::HOSTS]);
    }

    /** @return list<string> hosts and types of the newest copy */
    private function newest(Name $name): array
    {
        $kept = app(KeptZones::class)->of($name->id)[0] ?? null;
        self::assertNotNull($kept);

        return array_map(
            fn (string $key): string => str_replace($name->ascii, '@', $key),
            array_keys(app(KeptZones::class)->copy($name->id, $kept->id)->sets ?? []),
        );
    }

    public function test_what_is_usual_and_known_is_asked_for_and_kept_once(): void
    {
        $name = $this->registered([
            'www CNAME zone-quay.example.',
            '@ MX 10 mail.zone-quay.example.',
            'odd-label TXT hello',
            '* A 192.0.2.81',
        ]);
        $this->followingRedirects()->post("/names/{$name->ascii}/zones/now")->assertOk()->assertSee('A copy is kept');
        $found = $this->newest($name);
        self::assertEqualsCanonicalizing(['@ SOA', '@ NS', '@ A', '@ MX', 'www.@ CNAME', '*.@ A'], $found, 'nobody knows the odd label');
        $this->followingRedirects()->post("/names/{$name->ascii}/zones/now")->assertSee('Nothing has changed');
        // What a file once said is asked for from then on.
        $file =
            "\$ORIGIN {$name->ascii}.\n\$TTL 1h\nodd-label TXT ( \"hel\"\n  \"lo\" )\n".
            "elsewhere.net. A 192.0.2.1\n\$INCLUDE other\nx BAD data\n";
        $this->followingRedirects()
            ->post("/names/{$name->ascii}/zones", ['zone' => $file])
            ->assertSee('One record is kept')
            ->assertSee('it lies outside')
            ->assertSee('$INCLUDE')
            ->assertSee('x BAD data');
        self::assertSame(['odd-label.@ TXT'], $this->newest($name));
        $this->followingRedirects()->post("/names/{$name->ascii}/zones/now")->assertSee('A copy is kept');
        self::assertContains('odd-label.@ TXT', $this->newest($name));
    }

    public function test_a_zone_is_transferred_only_where_somebody_said_that_it_may_be(): void
    {
        $name = $this->registered(['odd-label TXT hello', 'other MX 5 a.example.'], isGiven: true);
        $this->post("/names/{$name->ascii}/zones/now");
        self::assertNotContains('odd-label.@ TXT', $this->newest($name));
        NamedSet::query()->create([
            'name' => 'Zone Quay',
            'gives_zones' => true,
            'servers' => [['host' => self::HOSTS[0], 'addresses' => []]],
        ]);
        $this->post("/names/{$name->ascii}/zones/now");
        self::assertEqualsCanonicalizing(['@ SOA', '@ NS', '@ A', 'odd-label.@ TXT', 'other.@ MX'], $this->newest($name));
        self::assertSame('transferred', DB::table('zone_copies')->where('name_id', $name->id)->latest('id')->value('source'));
        // One that says so and doesn't is asked as everybody is.
        $refusing = $this->registered(['odd-label TXT hello']);
        $this->post("/names/{$refusing->ascii}/zones/now");
        self::assertSame('asked', DB::table('zone_copies')->where('name_id', $refusing->id)->value('source'));
    }

    public function test_what_was_lost_is_found_in_words_and_given_back_as_a_file(): void
    {
        $name = $this->registered(['@ MX 10 mail.zone-quay.example.', '_dmarc TXT v=DMARC1;']);
        $this->post("/names/{$name->ascii}/zones/now");
        $this->registered([], ascii: $name->ascii);
        $this->post("/names/{$name->ascii}/zones/now");
        $this->get("/names/{$name->ascii}/zones")
            ->assertOk()
            ->assertSeeInOrder(['MX', 'missing', 'mail does not arrive'])
            ->assertSee('mail looks forged');
        $older = app(KeptZones::class)->of($name->id)[1]->id;
        $file = $this->get("/names/{$name->ascii}/zones/{$older}.zone")
            ->assertOk()
            ->assertHeader('Content-Type', 'text/dns; charset=us-ascii');
        self::assertStringContainsString("{$name->ascii}.\t3600\tIN\tMX\t10 mail.zone-quay.example.\n", (string) $file->getContent());
        // Given back, it says the same.
        $upload = UploadedFile::fake()->createWithContent('back.zone', (string) $file->getContent());
        $this->followingRedirects()->post("/names/{$name->ascii}/zones", ['file' => $upload])->assertSee('records are kept');
        $newest = app(KeptZones::class)->of($name->id)[0]->id;
        $this->get("/names/{$name->ascii}/zones?before={$older}&after={$newest}")->assertSee('Every record that was asked for is the same');
        $other = $this->house->name('other-zone.com');
        $this->get("/names/{$other->ascii}/zones/{$older}.zone")->assertNotFound();
    }

    public function test_what_is_no_zone_keeps_what_was_typed(): void
    {
        $name = $this->house->name('typed.com');
        $this->followingRedirects()
            ->from('/names/typed.com/zones')
            ->post('/names/typed.com/zones', ['zone' => "hello\nthere"])
            ->assertSee('No record of this name was found')
            ->assertSee("hello\nthere", false);
        self::assertSame(0, DB::table('zone_copies')->where('name_id', $name->id)->count());
        $this->actingAs($this->house->reader)->post('/names/typed.com/zones', ['zone' => 'x'])->assertForbidden();
    }

    public function test_records_are_changed_by_whoever_keeps_the_zone_and_watched_until_every_server_says_so(): void
    {
        $names = [$this->registered(['www A 192.0.2.80']), $this->registered(['www A 192.0.2.80'])];
        NamedSet::query()->create([
            'name' => 'Zone Quay',
            'operator' => 'Zone Quay Hosting',
            'servers' => array_map(fn (string $host): array => ['host' => $host, 'addresses' => []], self::HOSTS),
        ]);
        $both = "{$names[0]->ascii},{$names[1]->ascii}";
        $typed = "@ A 203.0.113.9\nwww CNAME @\n- www A";
        $page = '/deeds/change_records?'.http_build_query(['name' => $both, 'records' => $typed]);
        $this->actingAs($this->house->steward);
        $this->get('/deeds/change_records?'.http_build_query(['name' => $both, 'records' => "@ A nonsense\nwww A 192.0.2.1"]))
            ->assertSee('These lines can’t be read')
            ->assertSee('@ A nonsense')
            ->assertDontSee('can go now');
        $this->get($page)->assertSee('There is no copy of its zone')->assertSee('0 of 2 can go now');
        foreach ($names as $name) {
            $this->post("/names/{$name->ascii}/zones/now");
        }
        $this->get($page)
            ->assertSee('2 of 2 can go now')
            ->assertSee('Afterwards its pages are not found (www A)')
            ->assertSeeInOrder(['A 192.0.2.80', 'A 203.0.113.9']);
        $this->pressAs($this->house->steward, $page)->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder([
            'what to do at Zone Quay Hosting',
            'Change these records in the zone of these names',
            '@ A 203.0.113.9',
            $names[0]->ascii,
            'The name servers have not been asked yet',
        ]);
        app(WatchRecords::class)->look();
        $this->get("/dockets/{$docket->id}")->assertSee('Not yet: ns1.zone-quay.example, ns2.zone-quay.example');
        $this->registered(["www CNAME {$names[0]->ascii}."], ascii: $names[0]->ascii, address: '203.0.113.9');
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusSeconds(301));
        foreach ($names as $name) {
            NameSite::query()->create(['name_id' => $name->id, 'label' => 'www', 'target' => 'https://one.example/',
                'is_permanent' => true, 'keeps_path' => false]);
        }
        $future = app(TradeClock::class)->now()->plusDays(3)->isoSecond();
        foreach (['sites', 'zone_looks'] as $table) {
            DB::table($table)->update(['next_look' => $future]);
        }
        app(WatchRecords::class)->look();
        foreach (['sites', 'zone_looks'] as $table) {
            $due = DB::table($table)->where('next_look', '<=', app(TradeClock::class)->now()->isoSecond())->pluck('name_id')->all();
            self::assertSame([$names[0]->id], $due, "what {$table} say of it is old now");
        }
        $agreed = fn (Name $name): mixed => DB::table('record_watches')->where('name_id', $name->id)->value('agreed_at');
        self::assertNotNull($agreed($names[0]));
        self::assertNull($agreed($names[1]));
        $this->get("/dockets/{$docket->id}")->assertSee('Every name server says it since');
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertRedirect();
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
    }

    /** A zone file as a Windows editor saves it, and hosts in their own alphabet. */
    public function test_other_editors_and_alphabets_are_read(): void
    {
        $name = $this->house->name('möwe.com');
        $file = "\xFF\xFE".mb_convert_encoding("\$TTL 300\r\n@ A 192.0.2.1\r\nwww CNAME @\r\n", 'UTF-16LE', 'UTF-8');
        $upload = UploadedFile::fake()->createWithContent('zone.txt', $file);
        $this->followingRedirects()->post("/names/{$name->ascii}/zones", ['file' => $upload])->assertSee('2 records are kept');
        $typed = RecordsTyped::read("möwe A 192.0.2.1\n@ MX 10 mail.glocken-für-alle.example.\n@ TXT \"für alle\"\n- größe AAAA");
        self::assertSame([], $typed->wrong);
        self::assertSame(
            [
                'xn--mwe-sna A 192.0.2.1',
                '@ MX 10 mail.xn--glocken-fr-alle-7vb.example.',
                '@ TXT "f\\195\\188r alle"',
                '- xn--gre-6ka8i AAAA',
            ],
            array_map(fn (SetWanted $set): string => $set->text(), $typed->wanted->sets),
        );
    }

    public function test_every_zone_is_kept_in_turn_and_judged_for_mail_with_what_its_spf_leads_to(): void
    {
        $others = $this->registered(['@ TXT v=spf1 include:missing.zone-quay.example ip4:192.0.2.1 -all']);
        $sound = $this->registered([
            '@ MX 10 mail.zone-quay.example.',
            '@ TXT v=spf1 mx -all',
            '_dmarc TXT v=DMARC1; p=reject',
        ]);
        $broken = $this->registered([
            '@ MX 10 mail.zone-quay.example.',
            "@ TXT v=spf1 include:{$others->ascii} -all",
            '_dmarc TXT v=DMARC1; p=none',
        ]);
        KeepZonesInTurn::takeUp(DB::connection());
        $keep = app(KeepZonesInTurn::class);
        $keep->due(60);
        $faults = fn (Name $name): array => DB::table('mail_faults')
            ->where('name_id', $name->id)
            ->orderBy('finding')
            ->pluck('finding')
            ->all();
        self::assertSame([], $faults($sound));
        self::assertSame(['dmarc_none', 'spf_broken'], $faults($broken), 'what it includes leads nowhere');
        foreach ([$others, $sound, $broken] as $name) {
            self::assertSame('asked', DB::table('zone_copies')->where('name_id', $name->id)->value('source'));
        }
        $this->get('/servers/mail')
            ->assertOk()
            ->assertSee('The zones of 3 of 3 names have been read')
            ->assertSee('The SPF record can’t be used')
            ->assertSee($broken->unicode)
            ->assertDontSee($sound->unicode);
        $this->get("/names/{$broken->ascii}/zones")->assertSee('missing.zone-quay.example')->assertDontSee('not read');
        $this->post('/servers/mail', ['finding' => 'dmarc_none'])->assertRedirect('/sheaf');
        $this->get('/sheaf')->assertSee($broken->unicode)->assertDontSee($sound->unicode);
        // A week later, and not before.
        $asked = fn (): mixed => DB::table('zone_looks')->where('name_id', $sound->id)->value('asked_at');
        $first = $asked();
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusDays(6));
        $keep->due(60);
        self::assertSame($first, $asked());
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusDays(2));
        $keep->due(60);
        self::assertNotSame($first, $asked());
        self::assertSame(1, DB::table('zone_copies')->where('name_id', $sound->id)->count(), 'nothing has changed in it');
    }

    /** The page of one name and that of all say the same, however the newest copy came. */
    public function test_every_new_copy_is_judged(): void
    {
        $name = $this->registered(['@ MX 10 mail.zone-quay.example.', '@ TXT v=spf1 mx -all', '_dmarc TXT v=DMARC1; p=reject']);
        $faults = fn (): array => DB::table('mail_faults')->where('name_id', $name->id)->orderBy('finding')->pluck('finding')->all();
        $this->get('/servers/mail')->assertSee('No zone has been read yet')->assertDontSee('Read these zones again');
        $this->post("/names/{$name->ascii}/zones", ['zone' => "@ 300 A 192.0.2.80\n@ 300 MX 10 mail.zone-quay.example."]);
        self::assertSame(['no_dmarc', 'no_spf'], $faults());
        $this->get('/servers/mail')->assertSee('No SPF record')->assertSee($name->unicode);
        Queue::fake();
        $future = app(TradeClock::class)->now()->plusDays(3)->isoSecond();
        KeepZonesInTurn::takeUp(DB::connection());
        DB::table('zone_looks')->update(['next_look' => $future]);
        $this->actingAs($this->house->reader)->followingRedirects()->post('/servers/mail/ask')->assertSee('are being read');
        Queue::assertPushed(KeepZonesDue::class);
        self::assertTrue(KeepZonesInTurn::areDue(DB::connection(), app(TradeClock::class)->now()));
        $this->actingAs($this->house->clerk)->post("/names/{$name->ascii}/zones/now");
        self::assertSame([], $faults());
        $this->get('/servers/mail')->assertSee('The zones of 1 of 1 names have been read')->assertSee('Mail finds its way for every name');
        DB::table('zone_looks')->update(['next_look' => $future]);
        $this->post('/servers/mail/ask');
        self::assertFalse(KeepZonesInTurn::areDue(DB::connection(), app(TradeClock::class)->now()), 'only what was wrong is asked again');
    }

    public function test_one_silent_server_keeps_no_zone_of_others_from_being_kept(): void
    {
        $silent = $this->house->name('zone-of-nobody-'.getmypid().'.com', facts: ['servers' => ['ns1.nobody-has-this.example']]);
        $names = array_map(fn (): Name => $this->registered(['@ MX 10 mail.zone-quay.example.']), range(1, 3));
        KeepZonesInTurn::takeUp(DB::connection());
        app(KeepZonesInTurn::class)->due(60);
        self::assertSame(3, DB::table('zone_copies')->count());
        self::assertSame(4, DB::table('zone_looks')->whereNotNull('asked_at')->count());
        self::assertFalse(KeepZonesInTurn::areDue(DB::connection(), app(TradeClock::class)->now()));
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusDays(1));
        self::assertTrue(KeepZonesInTurn::areDue(DB::connection(), app(TradeClock::class)->now()), 'nobody answered for one');
        self::assertSame(0, DB::table('mail_faults')->where('name_id', $silent->id)->count());
        self::assertNotSame([], $names);
    }

    public function test_a_copy_is_kept_before_a_movement_without_being_asked(): void
    {
        $name = $this->registered(['@ MX 10 mail.zone-quay.example.']);
        $this->post("/names/{$name->ascii}/zones/now");
        $this->pressAs($this->house->steward, "/hand-over?name={$name->ascii}&receiver={$this->house->theirs->id}");
        $docket = Docket::query()->latest('id')->firstOrFail();
        app(KeepZonesInTurn::class)->due(60);
        self::assertSame(
            [null, $docket->id],
            DB::table('zone_copies')->where('name_id', $name->id)->orderBy('id')->pluck('docket_id')->all(),
            'the same once more, as it was before the docket',
        );
        $this->get("/names/{$name->ascii}/zones")->assertSee("docket {$docket->id}");
    }

    public function test_a_registrar_that_keeps_the_zone_is_told_over_its_bridge(): void
    {
        $hosts = ['ns1.oriel-names.example', 'ns2.oriel-names.example'];
        $trial = self::$trials++.'-'.getmypid();
        $this->house->skerry->update(['link' => 'bridge', 'gate' => 'bridge.oriel-names.example:443', 'receiver_by' => 'handle']);
        $account = $this->house->account("ZR-{$trial}", null);
        $account->update([
            'handle' => "ZONE-{$trial}",
            'gate_secret_id' => Secret::query()->create(['kind' => 'gate_password', 'about' => 'a trial', 'value' => "tern {$trial}"])->id,
            'gate_for' => GatePin::of($this->house->skerry),
        ]);
        [$kept, $elsewhere] = ["kept-{$trial}.com", "elsewhere-{$trial}.com"];
        $this->world->add([
            'hosts' => [
                ['host' => $hosts[0], 'addresses' => ['192.0.2.182']],
                ['host' => $hosts[1], 'addresses' => ['198.51.100.182']],
                ['host' => self::HOSTS[0], 'addresses' => ['192.0.2.180']],
                ['host' => self::HOSTS[1], 'addresses' => ['198.51.100.180']],
            ],
            'moods' => [],
            'names' => [
                self::atRegistry($kept, $hosts, ['registrar' => 'oriel', 'account' => $account->number]),
                self::atRegistry($elsewhere, self::HOSTS, ['registrar' => 'oriel', 'account' => $account->number]),
            ],
            'zones' => [],
            'accounts' => [[
                'number' => $account->number,
                'registrar' => 'oriel',
                'login' => (string) $account->login,
                'mailbox' => 'a@b.example',
                'password' => "tern {$trial}",
                'balance' => 100_00,
                'handle' => "ZONE-{$trial}",
            ]],
        ]);
        NamedSet::query()->create([
            'name' => 'Oriel',
            'kind' => 'registrar',
            'registrar_id' => $this->house->skerry->id,
            'servers' => array_map(fn (string $host): array => ['host' => $host, 'addresses' => []], $hosts),
        ]);
        $this->house->name($kept, $account, facts: ['servers' => $hosts]);
        $this->house->name($elsewhere, $account, facts: ['servers' => self::HOSTS]);
        foreach ([$kept, $elsewhere] as $ascii) {
            $this->post("/names/{$ascii}/zones/now");
        }
        $records = "@ 300 A 203.0.113.9\n- www CNAME";
        $page = '/deeds/change_records?'.http_build_query(['name' => "{$kept},{$elsewhere}", 'records' => $records]);
        $this->pressAs($this->house->steward, $page)->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        $lines = $docket->lines()->with('name')->get()->keyBy('name.ascii');
        self::assertSame([LineState::Done, LineState::Begun], [$lines[$kept]?->state, $lines[$elsewhere]?->state]);
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder(['what to do at', $elsewhere]);
        app(WatchRecords::class)->look();
        self::assertNotNull(DB::table('record_watches')->where('docket_line_id', $lines[$kept]?->id)->value('agreed_at'));
        self::assertNull(DB::table('record_watches')->where('docket_line_id', $lines[$elsewhere]?->id)->value('agreed_at'));
        // What stood beside it stays.
        $this->post("/names/{$kept}/zones/now");
        self::assertEqualsCanonicalizing(
            ['@ SOA', '@ NS', '@ A', '@ MX', '@ TXT'],
            $this->newest(Name::query()->where('ascii', $kept)->firstOrFail()),
        );
    }
}
