<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Dnssec\ChainState;
use Acre\Core\Time\Instant;
use App\Actions\Outside\LookAtServers;
use App\Actions\Servers\AskServers;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Name;
use App\Models\NamedSet;
use App\Models\Registration;
use App\Models\Secret;
use App\Outside\Registrar\GatePin;
use App\Queries\Servers\LastPointing;
use App\Support\TradeClock;
use DateTimeImmutable;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** DNSSEC turned on and off at the simulated registries, by wire, by bridge and by slip: what would break is not sent. */
#[Group('world')]
final class DnssecDeedTest extends TestCase
{
    use PressesDeeds;
    use Worldly;

    private const HOSTS = ['ns1.key-quay.example', 'ns2.key-quay.example'];

    private House $house;

    private Account $giver;

    protected function setUp(): void
    {
        parent::setUp();
        $this->world();
        $this->house = new House();
        // Signatures hold by the world's clock.
        app(TradeClock::class)->set($this->world->now() ?? self::fail('The world has no clock.'));
    }

    /** @param  'wire'|'bridge'|'slip'  $link */
    private function at(string $link): void
    {
        $trial = self::$trials++.'-'.getmypid();
        $gate = ['wire' => 'epp.skerry.example:700', 'bridge' => 'bridge.oriel-names.example:443', 'slip' => null][$link];
        $this->house->skerry->update(['link' => $link, 'gate' => $gate, 'receiver_by' => 'handle']);
        $this->giver = $this->house->account("DS-{$trial}", null);
        if ($gate !== null) {
            $this->giver->update([
                'handle' => "KEY-{$trial}",
                'gate_secret_id' => Secret::query()->create([
                    'kind' => 'gate_password',
                    'about' => 'a trial',
                    'value' => "tern {$trial}",
                ])->id,
                'gate_for' => GatePin::of($this->house->skerry),
            ]);
        }
        $this->world->add([
            'names' => [],
            'moods' => [],
            'zones' => [],
            'hosts' => [
                ['host' => self::HOSTS[0], 'addresses' => ['192.0.2.190']],
                ['host' => self::HOSTS[1], 'addresses' => ['198.51.100.190']],
            ],
            'accounts' => [
                [
                    'number' => $this->giver->number,
                    'registrar' => $link === 'bridge' ? 'oriel' : 'skerry',
                    'login' => (string) $this->giver->login,
                    'mailbox' => 'a@b.example',
                    'password' => "tern {$trial}",
                    'balance' => 100_00,
                    'handle' => "KEY-{$trial}",
                ],
            ],
        ]);
    }

    /** @param  array<string, mixed>|null  $signed */
    private function registered(?array $signed, string $at = 'skerry'): Name
    {
        $ascii = 'keys-'.self::$trials++.'-'.getmypid().'.com';
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'names' => [self::atRegistry($ascii, self::HOSTS, ['registrar' => $at, 'account' => $this->giver->number])],
            'zones' => [['zone' => $ascii, 'records' => json_encode(['signed' => $signed], JSON_THROW_ON_ERROR)]],
        ]);

        return $this->house->name($ascii, $this->giver, facts: ['servers' => self::HOSTS]);
    }

    /** The address of the deed's page, after its servers were asked. */
    private function asked(Name $name, string $to): string
    {
        return (string) $this->actingAs($this->house->steward)
            ->post('/servers/asked/keys', ['name' => $name->ascii, 'dnssec' => $to])
            ->assertRedirect()
            ->headers->get('Location');
    }

    private function state(Name $name): ?ChainState
    {
        app(LookAtServers::class)->of([$name->id]);

        return app(LastPointing::class)->of([$name->id])[$name->id]->delegation?->chain?->state;
    }

    #[TestWith(['wire', 'skerry', 13])]
    #[TestWith(['wire', 'skerry', 8])]
    #[TestWith(['bridge', 'oriel', 15])]
    public function test_it_is_turned_on_and_off_again(string $link, string $registrar, int $algorithm): void
    {
        $this->at($link === 'wire' ? 'wire' : 'bridge');
        $name = $this->registered(['algorithm' => $algorithm], $registrar);
        self::assertSame(ChainState::NoDelegate, $this->state($name));
        $on = $this->asked($name, 'on');
        $this->get($on)->assertSee('1 of 1 can go now')->assertSeeInOrder(['no DS record', "{$algorithm} 2 "]);
        $this->pressAs($this->house->steward, $on)->assertRedirect();
        $line = Docket::query()->latest('id')->firstOrFail()->lines()->sole();
        self::assertSame([LineState::Done, null], [$line->state, $line->reason]);
        self::assertSame([$line->after['ds'] ?? ''], Registration::query()->where('name_id', $name->id)->sole()->delegates);
        self::assertSame(ChainState::Whole, $this->state($name));
        $this->get("/names/{$name->ascii}/points")->assertSee('the registry’s DS record proves it')->assertSee('Turn off DNSSEC');
        $this->get($this->asked($name, 'on'))->assertSee('It is already so');

        $off = $this->asked($name, 'off');
        $this->get($off)->assertSee('Its host must go on signing until');
        $this->pressAs($this->house->steward, $off)->assertRedirect();
        self::assertSame([], Registration::query()->where('name_id', $name->id)->sole()->delegates);
        self::assertSame(ChainState::NoDelegate, $this->state($name));
    }

    public function test_what_would_break_is_not_sent(): void
    {
        $this->at('wire');
        $lapsed = $this->registered(['algorithm' => 13, 'lasts' => -86_400]);
        $this->get($this->asked($lapsed, 'on'))
            ->assertSee('With a DS record it would break: its signatures have expired')
            ->assertSee('0 of 1 can go now');
        $plain = $this->registered(null);
        $this->get($this->asked($plain, 'on'))->assertSee('Its zone is not signed')->assertSee('0 of 1 can go now');
        // What nobody has asked lately is not known.
        $good = $this->registered(['algorithm' => 13]);
        $page = "/deeds/change_keys?name={$good->ascii}&dnssec=on";
        $this->get($page)->assertSee('have not been asked about its keys');
        $this->get($this->asked($good, 'on'))->assertSee('1 of 1 can go now');
        app(TradeClock::class)->set(app(TradeClock::class)->now()->plusSeconds(3_700));
        $this->get($page)->assertSee('0 of 1 can go now');
    }

    public function test_a_slip_says_the_ds_of_each_name(): void
    {
        $this->at('slip');
        $name = $this->registered(['algorithm' => 14]);
        $this->pressAs($this->house->steward, $this->asked($name, 'on'))->assertRedirect();
        $docket = Docket::query()->latest('id')->firstOrFail();
        $ds = $docket->lines()->sole()->after['ds'] ?? '';
        self::assertMatchesRegularExpression('/^\d+ 14 2 [0-9A-F]{64}$/', $ds);
        $this->get("/dockets/{$docket->id}")->assertSeeInOrder(['Set exactly these DS records', "DS records of {$name->ascii}", $ds]);
        $this->post("/dockets/{$docket->id}/tick", ['how' => 'all', 'on' => app(TradeClock::class)->today()->date()])->assertRedirect();
        self::assertSame(DocketState::Closed, $docket->refresh()->state);
        self::assertSame([$ds], Registration::query()->where('name_id', $name->id)->sole()->delegates);
    }

    /** Our clock alone: others are tested beside this world, and its signatures last for days. Then its servers are asked. */
    private function go(Name $name, Instant $to): void
    {
        app(TradeClock::class)->set($to);
        app(LookAtServers::class)->of([$name->id]);
    }

    /** The page of the deed, after old and new servers were asked. */
    private function move(Name $name, NamedSet $set): string
    {
        $address = (string) $this->actingAs($this->house->steward)
            ->post('/servers/asked', ['name' => $name->ascii, 'set' => $set->id])
            ->assertRedirect()
            ->headers->get('Location');
        app(AskServers::class)->wanted(30);

        return $address;
    }

    /** RFC 6781 §4.3.5.2: off, a wait, other name servers, a wait, on; each step is refused until its wait is over. */
    public function test_the_clock_is_moved_past_every_wait_of_a_plan(): void
    {
        $this->at('wire');
        $there = ['ns1.key-cove.example', 'ns2.key-cove.example'];
        $this->world->add(['names' => [], 'moods' => [], 'zones' => [], 'hosts' => [
            ['host' => $there[0], 'addresses' => ['192.0.2.191']],
            ['host' => $there[1], 'addresses' => ['198.51.100.191']],
        ]]);
        $set = NamedSet::query()->create([
            'name' => 'Key Cove',
            'servers' => array_map(fn (string $host): array => ['host' => $host, 'addresses' => []], $there),
        ]);
        // The new host has the zone too, signed with a key of its own.
        $name = $this->registered(['algorithm' => 13]);
        $this->world->add(['names' => [], 'moods' => [], 'hosts' => [], 'zones' => [[
            'zone' => $name->ascii,
            'records' => json_encode([
                'servers' => self::HOSTS,
                'servedBy' => self::HOSTS,
                'signed' => ['algorithm' => 13, 'published' => true],
                'elsewhere' => [['servers' => $there, 'servedBy' => $there, 'signed' => ['algorithm' => 14]]],
            ], JSON_THROW_ON_ERROR),
        ]]]);
        self::assertSame(ChainState::Whole, $this->state($name));
        $this->get($this->move($name, $set))->assertSee('0 of 1 can go now');

        $this->pressAs($this->house->steward, $this->asked($name, 'off'))->assertRedirect();
        self::assertSame(ChainState::NoDelegate, $this->state($name));
        $off = app(TradeClock::class)->now();
        $ttl = 86_400;
        $this->go($name, $off->plusSeconds($ttl - 60));
        $this->get($this->move($name, $set))->assertSee('0 of 1 can go now');
        $this->go($name, $off->plusSeconds($ttl + 1));
        $page = $this->move($name, $set);
        $this->get($page)->assertSee('1 of 1 can go now');
        $this->pressAs($this->house->steward, $page)->assertRedirect();
        self::assertSame(LineState::Done, Docket::query()->latest('id')->firstOrFail()->lines()->sole()->state);

        // Until the registry shows it nobody knows when the old answers die.
        $this->get('/deeds/change_keys?name='.$name->ascii.'&dnssec=on')->assertSee('0 of 1 can go now');
        $this->go($name, app(TradeClock::class)->now()->plusSeconds(1));
        $until = DB::table('server_watches')->where('name_id', $name->id)->value('cached_until');
        self::assertIsString($until);
        $until = Instant::from(new DateTimeImmutable($until));
        $this->get($this->asked($name, 'on'))->assertSee('answers of its old name servers may be kept')->assertSee('0 of 1 can go now');
        // The clock runs on meanwhile.
        $this->go($name, $until->plusSeconds(-120));
        $this->get($this->asked($name, 'on'))->assertSee('0 of 1 can go now');
        $this->go($name, $until);
        $on = $this->asked($name, 'on');
        $this->get($on)->assertSee('1 of 1 can go now');
        $this->pressAs($this->house->steward, $on)->assertRedirect();
        self::assertSame(ChainState::Whole, $this->state($name));
    }
}
