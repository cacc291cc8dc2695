<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Hosting\SiteJudged;
use Acre\Core\Hosting\SiteSeen;
use App\Actions\Deeds\EndLines;
use App\Actions\Hosting\KeepSite;
use App\Actions\Hosting\LookAtSites;
use App\Jobs\LookAtSitesDue;
use App\Models\Docket;
use App\Models\Name;
use App\Models\NamedPlace;
use App\Models\NamedSet;
use App\Models\NameSite;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What is expected at hosts of names, what is found, and what puts it right. */
#[Group('world')]
final class HostingTest extends TestCase
{
    use PressesDeeds;
    use Sited;
    use Worldly;

    private House $house;

    private NamedPlace $sound;

    protected function setUp(): void
    {
        parent::setUp();
        $this->world();
        $this->house = new House();
        $now = $this->world->now();
        self::assertNotNull($now);
        app(TradeClock::class)->set($now);
        $this->actingAs($this->house->clerk);
        $this->sound = NamedPlace::query()->create([
            'name' => 'Sound Hosting, shared 2',
            'operator' => 'Sound Hosting',
            'addresses' => ['192.0.2.80'],
        ]);
    }

    /**
     * @param  array<string, mixed>  $page
     * @param  list<array{name: string, type: string, data: string}>  $records
     */
    private function sited(array $page = [], string $address = '192.0.2.80', array $records = []): Name
    {
        return $this->house->name($this->host($page, $address, $records), facts: ['servers' => self::SITED]);
    }

    /** @return list<string> what is wrong at hosts of a name, as it is kept */
    private static function faults(Name $name): array
    {
        return array_values(DB::table('site_faults')
            ->join('sites', 'sites.id', '=', 'site_faults.site_id')
            ->where('name_id', $name->id)
            ->orderBy('finding')
            ->pluck('finding')
            ->map(fn (mixed $one): string => is_string($one) ? $one : '')
            ->all());
    }

    public function test_a_place_is_written_down_and_hosts_are_pasted_into_it(): void
    {
        $set = NamedSet::query()->create(['name' => 'Sandpiper', 'servers' => [['host' => 'ns1.sandpiper.example', 'addresses' => []]]]);
        $name = $this->sited();
        // Known, and on nobody's Roll any more.
        Name::query()->create(['ascii' => 'nobody-has-this.com', 'unicode' => 'nobody-has-this.com', 'suffix' => 'com']);
        $this->followingRedirects()
            ->post('/places', [
                'name' => 'Sandpiper, Shoreline',
                'kind' => 'pages',
                'operator' => 'Sandpiper',
                'plan' => 'Shoreline',
                'addresses' => "203.0.113.80, 2001:DB8:0::80\n203.0.113.80",
                'server_set_id' => $set->id,
            ])
            ->assertOk()
            ->assertSee('203.0.113.80, 2001:db8::80')
            ->assertSee('name servers: Sandpiper');
        $place = NamedPlace::query()->where('name', 'Sandpiper, Shoreline')->firstOrFail();
        $this->followingRedirects()
            ->post("/places/{$place->id}/hosts", [
                'hosts' => "{$name->ascii} /public/one\nwww.{$name->unicode}.\n\nnobody-has-this.com /x\nno host at all !\n",
            ])
            ->assertSee('2 hosts are recorded here')
            ->assertSee('nobody-has-this.com /x: no name on the Roll has this host')
            ->assertSee('no host at all !: this is no host name');
        $this->get("/places/{$place->id}")->assertSee("www.{$name->ascii}")->assertSee('/public/one')->assertSee('Not asked yet');
        self::assertSame(['', 'www'], NameSite::query()->where('place_id', $place->id)->orderBy('label')->pluck('label')->all());
        // Pasted at another place, it moves there, and keeps its folder.
        $this->post("/places/{$this->sound->id}/hosts", ['hosts' => $name->ascii]);
        $moved = NameSite::query()->where('place_id', $this->sound->id)->sole();
        self::assertSame(['', '/public/one'], [$moved->label, $moved->folder]);
        $this->get("/names/{$name->ascii}/history")->assertSee('What belongs at a host was changed');
    }

    /** @param  array<string, mixed>  $typed */
    #[TestWith([['addresses' => '300.1.1.1'], 'is no IP address'])]
    #[TestWith([['addresses' => 'wickerby-bells.com'], 'is no IP address'])]
    #[TestWith([['name' => 'sound hosting, SHARED 2'], 'There is another place with this name'])]
    #[TestWith([['kind' => 'castle'], 'kind'])]
    public function test_what_is_no_place_is_refused_and_comes_back(array $typed, string $why): void
    {
        $form = $typed + ['name' => 'Another', 'kind' => 'pages', 'plan' => 'Shoreline', 'addresses' => ''];
        $this->from('/places/create')->post('/places', $form)->assertRedirect('/places/create')->assertSessionHasErrors(array_keys($typed));
        $this->followingRedirects()->get('/places/create')->assertSee('Shoreline')->assertSee($why, false);
        self::assertSame(1, NamedPlace::query()->count());
    }

    public function test_what_is_found_is_kept_judged_and_counted(): void
    {
        $good = $this->sited();
        $elsewhere = $this->sited(address: '203.0.113.80', records: [['name' => 'mail.example', 'type' => 'A', 'data' => '192.0.2.90']]);
        $ending = $this->sited(['until' => app(TradeClock::class)->now()->plusDays(5)->epoch]);
        $this->post("/places/{$this->sound->id}/hosts", ['hosts' => "{$good->ascii}\n{$elsewhere->ascii}\n{$ending->ascii}"]);
        app(LookAtSites::class)->due(30);
        self::assertSame([[], ['elsewhere_by_records'], ['certificate_ends']], array_map(self::faults(...), [$good, $elsewhere, $ending]));
        self::assertNotNull(NameSite::query()->where('name_id', $good->id)->value('agreed_at'));
        self::assertNull(NameSite::query()->where('name_id', $elsewhere->id)->value('agreed_at'));
        $this->get('/places')->assertOk()->assertSeeInOrder(['Sound Hosting, shared 2', '3', '2']);
        $this->get("/places/{$this->sound->id}?amiss=1")->assertDontSee($good->ascii)->assertSee($elsewhere->ascii);
        $page = $this->get("/names/{$elsewhere->ascii}/sites")->assertOk();
        $page->assertSee("{$elsewhere->ascii} is at 203.0.113.80, not at Sound Hosting, shared 2 (192.0.2.80)");
        $page->assertSee('deeds/change_records?name='.$elsewhere->ascii.'&amp;records='.rawurlencode('@ A 192.0.2.80'), false);
        $this->get('/rounds')
            ->assertSee("The certificate of {$ending->ascii} expires on")
            ->assertSee("{$elsewhere->ascii} is at 203.0.113.80");
        // Put right, it is seen to be; and since when it was so stays.
        $this->world->add(['hosts' => [], 'moods' => [], 'names' => [], 'zones' => [[
            'zone' => $elsewhere->ascii,
            'records' => json_encode(['records' => [['name' => $elsewhere->ascii, 'type' => 'A', 'data' => '192.0.2.80']]]),
        ]]]);
        $before = NameSite::query()->where('name_id', $good->id)->value('agreed_at');
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusSeconds(60));
        $this->post("/names/{$elsewhere->ascii}/sites/ask")->assertRedirect();
        self::assertSame([], self::faults($elsewhere));
        $this->get("/names/{$elsewhere->ascii}/sites")->assertSee('As expected since');
        $this->post("/names/{$good->ascii}/sites/ask");
        self::assertEquals($before, NameSite::query()->where('name_id', $good->id)->value('agreed_at'));
    }

    public function test_each_is_looked_at_again_in_time_and_at_once_when_it_is_changed(): void
    {
        $name = $this->sited();
        $this->post("/names/{$name->ascii}/sites", ['label' => '', 'place_id' => $this->sound->id])->assertSessionHasNoErrors();
        $look = app(LookAtSites::class);
        $look->due(30);
        $asked = fn (): mixed => NameSite::query()->where('name_id', $name->id)->toBase()->value('asked_at');
        $first = $asked();
        self::assertNotNull($first);
        $wrong = $this->sited(['status' => 500]);
        $this->post("/names/{$wrong->ascii}/sites", ['label' => '', 'place_id' => $this->sound->id])->assertSessionHasNoErrors();
        $look->due(30);
        $amiss = fn (): mixed => NameSite::query()->where('name_id', $wrong->id)->toBase()->value('asked_at');
        $before = $amiss();
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusSeconds(3_600));
        $look->due(30);
        self::assertSame($first, $asked(), 'what is as it should be has a day');
        self::assertNotSame($before, $amiss(), 'what is not has an hour');
        $site = NameSite::query()->where('name_id', $name->id)->sole();
        $this->post("/names/{$name->ascii}/sites", [
            'label' => '',
            'place_id' => $this->sound->id,
            'folder' => '/other',
            'version' => $site->version,
        ])->assertSessionHasNoErrors();
        $look->due(30);
        self::assertNotSame($first, $asked());
        $second = $asked();
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusDays(1));
        $look->due(30);
        self::assertNotSame($second, $asked());
    }

    public function test_what_was_met_is_not_kept_where_somebody_has_changed_what_should_be(): void
    {
        $name = $this->sited();
        $site = NameSite::query()->create(['name_id' => $name->id, 'label' => '', 'place_id' => $this->sound->id]);
        $asked = NameSite::query()->with(['name', 'place.servers'])->findOrFail($site->id);
        $this->post("/names/{$name->ascii}/sites", ['label' => '', 'target' => 'https://elsewhere.example/', 'version' => 1])
            ->assertSessionHasNoErrors();
        $now = app(TradeClock::class)->now();
        $seen = new SiteSeen([], null, null, null, null, $now);
        app(KeepSite::class)->handle($asked, $seen, SiteJudged::of($asked->value(), $seen, [], null), $now);
        $row = NameSite::query()->whereKey($site->id)->toBase()->first(['asked_at', 'next_look']);
        self::assertEquals((object) ['asked_at' => null, 'next_look' => '-infinity'], $row);
        self::assertSame([], self::faults($name));
    }

    public function test_two_who_change_one_host_do_not_overwrite_each_other(): void
    {
        $name = $this->sited();
        $form = fn (string $folder, ?int $version): array => [
            'label' => 'www',
            'place_id' => $this->sound->id,
            'folder' => $folder,
            ...$version === null ? [] : ['version' => $version],
        ];
        $this->post("/names/{$name->ascii}/sites", $form('/one', null))->assertSessionHasNoErrors();
        $this->post("/names/{$name->ascii}/sites", $form('/two', 1))->assertSessionHasNoErrors();
        $this->post("/names/{$name->ascii}/sites", $form('/three', 1))->assertSessionHasErrors('version');
        $this->post("/names/{$name->ascii}/sites", $form('/four', null))->assertSessionHasErrors('version');
        self::assertSame('/two', NameSite::query()->where('name_id', $name->id)->sole()->folder);
    }

    /** @param  array<string, mixed>  $typed */
    #[TestWith([['label' => 'a b'], 'label'])]
    #[TestWith([['label' => '-x'], 'label'])]
    #[TestWith([['label' => '*'], 'label'])]
    #[TestWith([['place_id' => '', 'target' => ''], 'place_id'])]
    #[TestWith([['target' => 'javascript:alert(1)'], 'target'])]
    #[TestWith([['target' => ['https://a.example/']], 'target'])]
    #[TestWith([['place_id' => '999999'], 'place_id'])]
    public function test_a_host_that_can_not_be_is_refused(array $typed, string $field): void
    {
        $name = $this->sited();
        $this->post("/names/{$name->ascii}/sites", $typed + ['label' => 'shop', 'place_id' => $this->sound->id])
            ->assertSessionHasErrors($field);
        self::assertSame(0, NameSite::query()->count());
    }

    public function test_hosts_of_its_zone_are_offered_at_the_place_that_has_their_address(): void
    {
        $name = $this->sited(records: []);
        $this->post("/names/{$name->ascii}/zones", [
            'zone' => "\$ORIGIN {$name->ascii}.\n@ 300 A 192.0.2.80\nwww 300 CNAME @\n"
                ."shop 300 CNAME shops.elsewhere.example.\n@ 300 MX 5 a.example.\n",
        ]);
        $this->post("/names/{$name->ascii}/sites", ['label' => '', 'place_id' => $this->sound->id]);
        $page = $this->get("/names/{$name->ascii}/sites")->assertOk();
        $page->assertSeeInOrder(['Also in its zone', "shop.{$name->ascii}", 'shops.elsewhere.example.', "www.{$name->ascii}"]);
        $page->assertSee('It is at Sound Hosting, shared 2: record it');
    }

    public function test_many_names_are_redirected_by_one_slip_and_seen_to_be(): void
    {
        $target = $this->host();
        $right = $this->sited(['to' => "https://{$target}/"]);
        $wrong = $this->sited(['to' => 'https://elsewhere.example/']);
        $names = "{$right->ascii},{$wrong->ascii}";
        $address = "/deeds/redirect_names?name={$names}&target=".urlencode("https://{$target}").'&www=0';
        $this->get($address)->assertOk()->assertSee('2 of 2 can go now');
        $this->pressAs($this->house->steward, $address);
        $docket = Docket::query()->latest('id')->firstOrFail();
        $page = $this->get("/dockets/{$docket->id}")->assertSee("https://{$target}/")->assertSee('permanent (301)');
        $page->assertSee('the name itself')->assertSee('Not asked yet');
        app(LookAtSites::class)->due(30);
        $this->get("/dockets/{$docket->id}")
            ->assertSee('Redirects as expected, seen')
            ->assertSee('Not yet: redirects permanently to https://elsewhere.example/');
        $this->get('/redirects')
            ->assertSee($wrong->ascii)
            ->assertSee("redirects to https://elsewhere.example/ instead of https://{$target}/");
        $this->get($address)->assertSee('already')->assertSee('1 of 2 can go now');
        $this->get("/names/{$wrong->ascii}/sites")->assertSee("Docket {$docket->id} is changing it");
        app(EndLines::class)->done($this->house->steward, $docket, null, app(TradeClock::class)->today());
        self::assertSame([null, null], NameSite::query()->toBase()->pluck('before')->all());
        $this->get("/names/{$wrong->ascii}/sites")->assertDontSee('is changing it');
        $this->get("/dockets/{$docket->id}")->assertSee('Not yet: redirects permanently to https://elsewhere.example/');
    }

    public function test_what_was_expected_comes_back_when_a_redirect_is_called_off(): void
    {
        [$pages, $bare] = [$this->sited(), $this->sited()];
        NameSite::query()->create(['name_id' => $pages->id, 'label' => '', 'place_id' => $this->sound->id, 'folder' => '/bells']);
        $address = "/deeds/redirect_names?name={$pages->ascii},{$bare->ascii}&target=https%3A%2F%2Felsewhere.example%2F&www=0";
        $this->get($address)->assertSee("{$pages->ascii} has pages at Sound Hosting, shared 2, which nobody could visit any more");
        $this->pressAs($this->house->steward, $address);
        $docket = Docket::query()->latest('id')->firstOrFail();
        self::assertSame(2, NameSite::query()->where('target', 'https://elsewhere.example/')->count());
        self::assertSame(0, NameSite::query()->whereNotNull('place_id')->count(), 'nobody said who redirects them');
        $this->post("/dockets/{$docket->id}/call-off")->assertRedirect();
        $left = NameSite::query()->sole();
        self::assertSame([$pages->id, null, null, '/bells'], [$left->name_id, $left->target, $left->is_permanent, $left->folder]);
        self::assertSame($this->sound->id, $left->place_id);
    }

    public function test_a_docket_that_is_called_off_leaves_alone_what_was_changed_by_hand_since(): void
    {
        $name = $this->sited();
        $this->pressAs(
            $this->house->steward,
            "/deeds/redirect_names?name={$name->ascii}&target=https%3A%2F%2Felsewhere.example%2F&www=0",
        );
        $site = NameSite::query()->sole();
        $this->post("/names/{$name->ascii}/sites", [
            'label' => '',
            'target' => 'https://by-hand.example/',
            'for' => 'permanent',
            'version' => $site->version,
        ])->assertSessionHasNoErrors();
        $this->post('/dockets/'.Docket::query()->latest('id')->firstOrFail()->id.'/call-off')->assertRedirect();
        self::assertSame('https://by-hand.example/', NameSite::query()->sole()->target);
    }

    public function test_redirect_loops_are_found_before_anybody_sets_them(): void
    {
        [$one, $other] = [$this->sited(), $this->sited()];
        NameSite::query()->create([
            'name_id' => $other->id,
            'label' => '',
            'target' => "https://www.{$one->ascii}/",
            'is_permanent' => true,
            'keeps_path' => false,
        ]);
        $this->get("/deeds/redirect_names?name={$one->ascii}&target=".urlencode("https://{$other->ascii}/"))
            ->assertSee("{$other->ascii} is to redirect to www.{$one->ascii}, which would be a redirect loop")
            ->assertSee('0 of 1 can go now', false);
    }

    public function test_all_hosts_of_a_place_are_asked_at_once(): void
    {
        $name = $this->sited();
        NameSite::query()->create(['name_id' => $name->id, 'label' => '', 'place_id' => $this->sound->id]);
        app(LookAtSites::class)->due(30);
        Queue::fake();
        $this->actingAs($this->house->reader)
            ->followingRedirects()
            ->post("/places/{$this->sound->id}/ask")
            ->assertOk()
            ->assertSee('Its hosts are being asked now');
        Queue::assertPushed(LookAtSitesDue::class);
        self::assertSame('-infinity', NameSite::query()->toBase()->value('next_look'));
    }

    public function test_all_redirects_to_one_address_are_asked_at_once(): void
    {
        $sites = [];
        foreach (['https://one.example/', 'https://two.example/'] as $target) {
            $sites[$target] = NameSite::query()->create([
                'name_id' => $this->sited()->id,
                'label' => '',
                'target' => $target,
                'is_permanent' => true,
                'keeps_path' => false,
            ])->id;
        }
        app(LookAtSites::class)->due(30);
        Queue::fake();
        $this->actingAs($this->house->reader)
            ->followingRedirects()
            ->post('/redirects/ask', ['to' => 'https://two.example/'])
            ->assertOk()
            ->assertSee('These hosts are being asked now')
            ->assertSee('All redirects');
        Queue::assertPushed(LookAtSitesDue::class);
        $due = fn (): array => NameSite::query()->toBase()->where('next_look', '-infinity')->orderBy('id')->pluck('id')->all();
        self::assertSame([$sites['https://two.example/']], $due());
        $this->post('/redirects/ask', ['to' => ''])->assertRedirect('/redirects');
        self::assertSame(array_values($sites), $due());
    }

    public function test_who_may_only_look_changes_nothing(): void
    {
        $name = $this->sited();
        $site = NameSite::query()->create(['name_id' => $name->id, 'label' => '', 'place_id' => $this->sound->id]);
        $this->actingAs($this->house->reader);
        $this->get('/places')->assertOk();
        $this->get("/places/{$this->sound->id}")->assertOk()->assertDontSee('Add these hosts');
        $this->get("/names/{$name->ascii}/sites")->assertOk()->assertDontSee('Record a host');
        foreach (
            [
                $this->post('/places', ['name' => 'x', 'kind' => 'pages']),
                $this->put("/places/{$this->sound->id}", ['name' => 'x', 'kind' => 'pages', 'version' => 1]),
                $this->post("/places/{$this->sound->id}/hosts", ['hosts' => $name->ascii]),
                $this->post("/names/{$name->ascii}/sites", ['label' => 'a', 'place_id' => $this->sound->id]),
                $this->delete("/names/{$name->ascii}/sites/{$site->id}"),
            ] as $answer
        ) {
            $answer->assertForbidden();
        }
        // Of another name's page.
        $other = $this->sited();
        $this->actingAs($this->house->clerk)->delete("/names/{$other->ascii}/sites/{$site->id}")->assertNotFound();
        $this->delete("/names/{$name->ascii}/sites/{$site->id}")->assertRedirect();
        self::assertSame(0, NameSite::query()->count());
    }
}
