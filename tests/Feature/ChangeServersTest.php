<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\Key;
use App\Actions\Outside\Observe;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Name;
use App\Models\NamedSet;
use App\Models\Registration;
use App\Models\Secret;
use App\Outside\Registrar\AnswerKind;
use App\Outside\Registrar\GatePin;
use App\Outside\Registrar\Orders\ReplaceServers;
use App\Outside\Registrar\Registrars;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Name servers changed by wire and by slip: what is asked before, and what is watched after, at the simulated world's servers. */
#[Group('world')]
final class ChangeServersTest extends TestCase
{
    use PressesDeeds;
    use Worldly;

    private const HERE = ['ns1.old-quay.example', 'ns2.old-quay.example'];

    private const THERE = ['ns1.new-quay.example', 'ns2.new-quay.example'];

    private const MX = 'MX 10 mail.old-quay.example.';

    private House $house;

    private Account $giver;

    private NamedSet $set;

    protected function setUp(): void
    {
        parent::setUp();
        $this->world();
        $this->house = new House();
        $trial = self::$trials++.'-'.getmypid();
        $this->house->skerry->update(['link' => 'wire', 'gate' => 'epp.skerry.example:700', 'behind' => ['SKERRY']]);
        $this->giver = $this->house->account("NS-{$trial}", null);
        $this->giver->update([
            'gate_secret_id' => Secret::query()->create(['kind' => 'gate_password', 'about' => 'a trial', 'value' => "tern {$trial}"])->id,
            'gate_for' => GatePin::of($this->house->skerry),
        ]);
        $this->add(['accounts' => [
            [
                'number' => $this->giver->number,
                'registrar' => 'skerry',
                'login' => (string) $this->giver->login,
                'mailbox' => 'a@b.example',
                'password' => "tern {$trial}",
                'balance' => 100_00,
            ],
        ], 'hosts' => [
            ['host' => self::HERE[0], 'addresses' => ['192.0.2.160']],
            ['host' => self::HERE[1], 'addresses' => ['198.51.100.160']],
            ['host' => self::THERE[0], 'addresses' => ['192.0.2.161']],
            ['host' => self::THERE[1], 'addresses' => ['198.51.100.161']],
        ]]);
        $this->set = NamedSet::query()->create([
            'name' => 'New Quay',
            'kind' => 'host',
            'operator' => 'New Quay',
            'servers' => array_map(fn (string $host): array => ['host' => $host, 'addresses' => []], self::THERE),
        ]);
        $this->world->mood('192.0.2.161', 'fine');
        $this->world->mood('198.51.100.161', 'fine');
    }

    /** @param  array<string, mixed>  $more */
    private function add(array $more): void
    {
        $this->world->add($more + ['names' => [], 'hosts' => [], 'moods' => [], 'zones' => [], 'accounts' => []]);
    }

    /**
     * A name at the old host, which the new one has too.
     *
     * @param  list<string>  $there  type and data of the name's own records, beside its address
     * @param  array<string, mixed>  $otherwise  of the registry
     * @param  list<string>  $here
     */
    private function registered(array $there, array $otherwise = [], array $here = [self::MX]): Name
    {
        $ascii = 'points-'.self::$trials++.'-'.getmypid().'.com';
        $this->add([
            'names' => [self::atRegistry($ascii, self::HERE, $otherwise + ['account' => $this->giver->number])],
            'zones' => [
                [
                    'zone' => $ascii,
                    'records' => json_encode([
                        'servedBy' => self::HERE,
                        'servers' => self::HERE,
                        'records' => self::records($ascii, $here),
                        'elsewhere' => [['servedBy' => self::THERE, 'servers' => self::THERE, 'records' => self::records($ascii, $there)]],
                    ], JSON_THROW_ON_ERROR),
                ],
            ],
        ]);

        return $this->house->name($ascii, $this->giver, facts: ['servers' => self::HERE]);
    }

    /**
     * @param  list<string>  $records
     * @return list<array{name: string, type: string, data: string}>
     */
    private static function records(string $zone, array $records): array
    {
        return array_map(function (string $record) use ($zone): array {
            [$type, $data] = explode(' ', $record, 2);

            return ['name' => $zone, 'type' => $type, 'data' => $data];
        }, ['A 192.0.2.80', ...$records]);
    }

    /** The address of the deed's page, after its servers were asked. */
    private function asked(string $accept, Name ...$names): string
    {
        $form = ['name' => implode(',', array_map(fn (Name $name): string => $name->ascii, $names)), 'set' => $this->set->id];

        return (string) $this->actingAs($this->house->steward)
            ->post('/servers/asked', $form + ($accept === '' ? [] : ['accept' => $accept]))
            ->assertRedirect()
            ->headers->get('Location');
    }

    public function test_each_name_is_judged_by_what_old_and_new_servers_say(): void
    {
        $key = new Key(257, 3, 13, str_repeat('k', 64));
        $good = $this->registered([self::MX]);
        $mailless = $this->registered([]);
        $signed = $this->registered(
            [self::MX],
            ['ds' => [['tag' => 60485, 'algorithm' => 13, 'type' => 2, 'digest' => str_repeat('AB', 32)]]],
            [self::MX, 'DNSKEY 257 3 13 '.base64_encode($key->key)],
        );
        $page = "/deeds/change_servers?name={$good->ascii}&set={$this->set->id}";
        $this->actingAs($this->house->steward)->get($page)->assertSee('have not been asked about it yet');
        $this->get($this->asked('', $good, $mailless, $signed))
            ->assertOk()
            ->assertSee('1 of 3 can go now')
            ->assertSee('Its mail would not arrive: the new name servers don’t have MX')
            ->assertSee('DNSSEC would break')
            ->assertSee('The name servers were asked on');
        // Whoever means it may lose its mail; nobody may break DNSSEC.
        $this->get($this->asked('loses_mail,breaks_dnssec', $good, $mailless, $signed))->assertSee('2 of 3 can go now');
        $this->get("/names/{$mailless->ascii}/points")
            ->assertOk()
            ->assertSee('If you change to New Quay')
            ->assertSee('mail does not arrive')
            ->assertSee('ns1.old-quay.example');
        // An hour later nobody believes it any more.
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusSeconds(3_700));
        $this->get($page)->assertSee('0 of 1 can go now');
    }

    public function test_keys_that_both_have_keep_dnssec_whole(): void
    {
        $key = new Key(257, 3, 13, random_bytes(64));
        $record = 'DNSKEY 257 3 13 '.base64_encode($key->key);
        $ascii = 'points-'.self::$trials.'-'.getmypid().'.com';
        $wire = implode('', array_map(fn (string $label): string => chr(strlen($label)).$label, explode('.', $ascii)))."\0";
        $ds = Delegate::of($wire, $key);
        $name = $this->registered(
            [$record],
            ['ds' => [['tag' => $ds->tag, 'algorithm' => 13, 'type' => 2, 'digest' => bin2hex($ds->digest)]]],
            [$record],
        );
        self::assertSame($ascii, $name->ascii);
        $this->get($this->asked('', $name))->assertSee('1 of 1 can go now')->assertDontSee('DNSSEC would break');
    }

    /** RFC 6781 §4.3.5.2: off first, then the wait, then the servers. */
    public function test_a_ds_that_was_removed_is_waited_for(): void
    {
        $key = new Key(257, 3, 13, random_bytes(64));
        $record = 'DNSKEY 257 3 13 '.base64_encode($key->key);
        $digest = ['tag' => $key->tag(), 'algorithm' => 13, 'type' => 2, 'digest' => str_repeat('CD', 32)];
        $name = $this->registered([self::MX], ['ds' => [$digest]], [self::MX, $record]);
        $page = $this->get($this->asked('', $name))->assertSee('DNSSEC would break: the new name servers sign with no key');
        $page->assertSee('0 of 1 can go now');
        $this->get("/names/{$name->ascii}/points")
            ->assertSee('Turn off DNSSEC at the registry now')
            ->assertSee('The new name servers don’t sign');

        // Its registrar took the DS out; who asks again at once is told when the last resolver has let go of it.
        $this->add(['names' => [self::atRegistry($name->ascii, self::HERE, ['account' => $this->giver->number, 'ds' => []])]]);
        $kept = fn (): string => 'DNSSEC would break for some: the registry’s old DS record was gone on';
        $this->get($this->asked('', $name))->assertSee($kept())->assertSee('0 of 1 can go now');
        $this->get("/names/{$name->ascii}/points")->assertSee('DNSSEC is off at the registry');
        $seen = DB::table('delegates_seen')->where('name_id', $name->id)->sole();
        self::assertSame(['[]', true], [$seen->delegates, $seen->gone_at !== null]);
        self::assertIsInt($seen->gone_ttl);

        // Asked again later, it is gone since the first time.
        $clock = app(TradeClock::class);
        $clock->set($clock->now()->plusSeconds($seen->gone_ttl - 60));
        $this->get($this->asked('', $name))->assertSee($kept());
        self::assertSame($seen->gone_at, DB::table('delegates_seen')->where('name_id', $name->id)->value('gone_at'));
        $clock->set($clock->now()->plusSeconds(61));
        $this->get($this->asked('', $name))->assertSee('1 of 1 can go now')->assertDontSee($kept());

        // Another DS follows no other: what was kept last is still the first.
        $other = ['tag' => 1, 'digest' => str_repeat('EF', 32)] + $digest;
        $this->add(['names' => [self::atRegistry($name->ascii, self::HERE, ['account' => $this->giver->number, 'ds' => [$other]])]]);
        $this->asked('', $name);
        $then = DB::table('delegates_seen')->where('name_id', $name->id)->sole();
        self::assertIsString($then->delegates);
        self::assertStringContainsString('EFEF', $then->delegates);
        self::assertSame([$seen->gone, $seen->gone_at], [$then->gone, $then->gone_at]);
    }

    public function test_of_servers_that_know_nothing_of_the_name_nothing_good_is_said(): void
    {
        $name = $this->registered([self::MX]);
        $this->world->mood('198.51.100.161', 'silent');
        $this->world->mood('192.0.2.161', 'silent');
        $this->asked('', $name);
        $this->get("/names/{$name->ascii}/points")
            ->assertSee('None of the new name servers has a zone for it')
            ->assertSee('it stops working, for everybody by')
            ->assertSee('none of the new name servers answers for the name')
            ->assertDontSee('both give the same answers')
            ->assertDontSee('nothing to prepare');
    }

    public function test_a_silent_new_server_is_told_and_holds_up_its_neighbours_names_no_longer_than_itself(): void
    {
        $name = $this->registered([self::MX]);
        $this->world->mood('198.51.100.161', 'silent');
        $this->get($this->asked('', $name))->assertSee('ns2.new-quay.example does not answer for it');
        $this->get($this->asked('one_does_not_answer', $name))->assertSee('1 of 1 can go now');
    }

    public function test_a_name_on_hold_is_compared_with_the_servers_of_our_record(): void
    {
        $name = $this->registered([], ['statuses' => ['clientHold']]);
        $this->get($this->asked('', $name))->assertSee('Its mail would not arrive');
    }

    public function test_by_wire_the_zone_is_kept_and_the_change_watched_until_caches_agree(): void
    {
        $name = $this->registered([self::MX]);
        $this->pressAs($this->house->steward, $this->asked('', $name))->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        $line = $docket->lines()->sole();
        self::assertSame([LineState::Done, null], [$line->state, $line->reason]);
        self::assertSame(self::THERE, Registration::query()->where('name_id', $name->id)->sole()->servers);
        $kept = DB::table('zone_copies')->where('name_id', $name->id)->sole();
        self::assertSame([$docket->id, 'asked'], [$kept->docket_id, $kept->source]);
        $this->get("/dockets/{$docket->id}")->assertSee('not shown yet');

        app(Observe::class)->of([$name->id]);
        $watch = DB::table('server_watches')->where('docket_line_id', $line->id)->sole();
        self::assertNotNull($watch->parent_at);
        self::assertNotNull($watch->servers_at);
        self::assertNull($watch->ended_at);
        $this->get("/dockets/{$docket->id}")->assertSee('agree since')->assertSee('some see the old until');
        $this->get("/names/{$name->ascii}/points")->assertSee('Its name servers are being changed');

        // The registry's own TTL is two days, the longest record's an hour.
        $clock = app(TradeClock::class);
        $clock->set($clock->now()->plusSeconds(172_800));
        app(Observe::class)->of([$name->id]);
        self::assertNull(DB::table('server_watches')->where('docket_line_id', $line->id)->value('ended_at'));
        $clock->set($clock->now()->plusSeconds(3_700));
        app(Observe::class)->of([$name->id]);
        self::assertNotNull(DB::table('server_watches')->where('docket_line_id', $line->id)->value('ended_at'));
        $this->get("/dockets/{$docket->id}")->assertSee('all see the new');

        // And back, as long as the old servers still have it.
        $back = ['docket' => (string) $docket->id, 'back' => (string) $docket->id];
        $to = (string) $this->post('/servers/asked', $back)->headers->get('Location');
        $this->pressAs($this->house->steward, $to)->assertRedirect();
        self::assertSame(self::HERE, Registration::query()->where('name_id', $name->id)->sole()->servers);
    }

    /** RFC 5731 §1.1, RFC 5732: a registry gives names only to servers that it knows; one inside the name with its address. */
    public function test_a_host_that_the_registry_does_not_know_is_made_known_first(): void
    {
        $name = $this->registered([self::MX]);
        $hosts = ["ns1.{$name->ascii}", 'ns9.never-told.example'];
        $this->set->update(['servers' => [
            ['host' => $hosts[0], 'addresses' => ['203.0.113.162']],
            ['host' => $hosts[1], 'addresses' => []],
        ]]);
        $order = new ReplaceServers('roll-'.bin2hex(random_bytes(8)), $name->ascii, $hosts, [$hosts[0] => ['203.0.113.162']]);
        $link = app(Registrars::class)->of($this->giver->load('registrar'));
        self::assertSame(AnswerKind::Done, $link?->carryOut($this->giver, $order)->kind);
        $heard = array_slice($this->world->heard($this->giver->number), -4);
        self::assertSame(['check 1000', 'create 1000', 'create 1000', 'update 1000'], $heard);
        // And what the page says of it needs the address.
        $page = "/deeds/change_servers?name={$name->ascii}&set={$this->set->id}";
        $this->actingAs($this->house->steward)->get($page)->assertDontSee('the registry needs its address');
        $this->set->update(['servers' => [['host' => $hosts[0], 'addresses' => []], ['host' => $hosts[1], 'addresses' => []]]]);
        $this->get($page)->assertSee('the registry needs its address');
    }

    public function test_by_slip_the_servers_are_said_and_a_wrong_tick_is_taken_back(): void
    {
        $this->giver->update(['gate_secret_id' => null]);
        $name = $this->registered([self::MX]);
        $this->pressAs($this->house->steward, $this->asked('', $name))->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder(['Set exactly these name servers', ...self::THERE]);
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => '2026-10-06'])->assertRedirect();
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertSame(self::THERE, Registration::query()->where('name_id', $name->id)->sole()->servers);
        $this->pressAs($this->house->steward, "/deeds/undo_docket?docket={$docket->id}")->assertRedirect();
        self::assertSame(self::HERE, Registration::query()->where('name_id', $name->id)->sole()->servers);
        self::assertSame(0, DB::table('server_watches')->where('name_id', $name->id)->count());
    }

    public function test_the_hosts_of_a_set_are_looked_for(): void
    {
        $this->actingAs($this->house->clerk);
        $look = fn (): TestResponse => $this->followingRedirects()->post("/servers/sets/{$this->set->id}/ask");
        $look()->assertSee('Every host has an address');
        $this->set->update(['servers' => [
            ['host' => self::THERE[0], 'addresses' => []],
            ['host' => 'ns9.nobody-has-this.example', 'addresses' => []],
        ]]);
        $look()->assertSee('ns9.nobody-has-this.example has no address');
        $this->add(['hosts' => [['host' => 'ns3.new-quay.example', 'addresses' => ['192.0.2.163']]]]);
        $this->set->update(['servers' => [
            ['host' => self::THERE[0], 'addresses' => []],
            ['host' => 'ns3.new-quay.example', 'addresses' => []],
        ]]);
        $look()->assertSee('All new name servers are in one network (192.0.2)');
    }

    public function test_a_set_is_read_from_a_letter_and_kept_as_typed_when_it_is_wrong(): void
    {
        $this->actingAs($this->house->clerk)->get('/servers/sets')->assertOk()->assertSee('New Quay');
        $letter = "Dear customer,\nyour name servers:\nns1.gull.example 192.0.2.7\nns2.gull.example\n\nFTP: ftp.gull.example";
        $this->followingRedirects()
            ->post('/servers/sets/letter', ['letter' => $letter])
            ->assertSee('2 name servers were found')
            ->assertSee('ftp.gull.example')
            ->assertSee("ns1.gull.example 192.0.2.7\nns2.gull.example", false)
            ->assertSee('Dear customer,');
        $form = ['name' => 'Gull', 'kind' => 'host', 'operator' => 'Gull', 'servers' => "ns1.gull.example 192.0.2.700\nns1.gull.example"];
        $this->followingRedirects()
            ->from('/servers/sets/create')
            ->post('/servers/sets', $form)
            ->assertSee('192.0.2.700')
            ->assertSee('is not an IP address')
            ->assertSee('ns1.gull.example stands there twice');
        $this->post('/servers/sets', ['servers' => "ns1.gull.example\nns2.gull.example"] + $form);
        $set = NamedSet::query()->where('name', 'Gull')->sole();
        self::assertSame(['ns1.gull.example', 'ns2.gull.example'], $set->value()->hosts());
        $this->put("/servers/sets/{$set->id}", ['servers' => 'ns9.gull.example', 'version' => 1] + $form);
        self::assertSame(['ns9.gull.example'], $set->refresh()->value()->hosts());
    }
}
