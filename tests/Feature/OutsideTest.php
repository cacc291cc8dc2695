<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Contact\Field;
use Acre\Core\Contact\TakesMail;
use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Name\DomainName;
use Acre\Core\Record\Certainty;
use Acre\Core\Record\DriftField;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Record\Source;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Acre\Wire\Whois\WhoisText;
use App\Actions\Outside\FollowWorld;
use App\Actions\Outside\LeaseDue;
use App\Actions\Outside\Observe;
use App\Actions\Outside\SendAlarms;
use App\Actions\Standings\MakeStandings;
use App\Jobs\AskOutside;
use App\Jobs\LookOutside;
use App\Models\Drift;
use App\Models\DriftState;
use App\Models\Holding;
use App\Models\Import;
use App\Models\Name;
use App\Models\Registration;
use App\Outside\Directory\Directory;
use App\Outside\Directory\RecordOfText;
use App\Outside\Dns\Dns;
use App\Outside\Reach\FailureReason;
use App\Outside\Reach\Fetch;
use App\Outside\Reach\Hosts;
use App\Outside\Reach\NotReached;
use App\Outside\Reach\RateLimit;
use App\Outside\World;
use App\Providers\OutsideServiceProvider;
use App\Queries\Rounds\ReadRounds;
use App\Queries\Rounds\RoundsItem;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;
use Tests\Until;

/**
 * Asking the simulated world over its sockets, keeping what it said, and settling where it disagrees. Every test adds names of its own to
 * the world.
 */
#[Group('world')]
final class OutsideTest extends TestCase
{
    use PressesDeeds;

    /** As RFC 3915 §3.1 has it; on 5 October 2026. */
    private const DELETED = ['statuses' => ['redemptionPeriod', 'pendingDelete'], 'updated' => 1_791_158_400];

    private House $house;

    private World $world;

    private static int $trials = 1;

    protected function setUp(): void
    {
        parent::setUp();
        // As in the application, not absent as in other tests.
        $this->app->forgetInstance(World::class);
        $this->app->register(OutsideServiceProvider::class, true);
        $this->world = $this->app->make(World::class);
        Cache::flush();
        $this->house = new House(['behind' => ['SKERRY']]);
        $this->world->add([
            'names' => [],
            'moods' => [],
            'zones' => [],
            'hosts' => [
                ['host' => 'ns1.first-host.example', 'addresses' => ['192.0.2.101']],
                ['host' => 'ns2.first-host.example', 'addresses' => ['198.51.100.101']],
                ['host' => 'ns1.other-host.example', 'addresses' => ['203.0.113.101']],
                ['host' => 'ns.inside-host.example', 'addresses' => ['10.0.0.1']],
                ['host' => 'ns.six-host.example', 'addresses' => ['2001:db8::53']],
            ],
        ]);
    }

    /**
     * A name as its registry has it, under a label that no other test uses.
     *
     * @param  array<string, mixed>  $otherwise
     */
    private function registered(string $suffix = 'com', array $otherwise = [], ?string $as = null): string
    {
        $name = $as ?? 'trial-'.self::$trials++.".{$suffix}";
        $this->world->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'names' => [
                [
                    'name' => $name,
                    'registrar' => 'skerry',
                    'reseller' => null,
                    'created' => Instant::of('2020-11-02')->epoch,
                    'ends' => Instant::of('2027-11-02')->epoch,
                    'updated' => Instant::of('2026-09-01')->epoch,
                    'moved' => null,
                    'statuses' => [],
                    'servers' => ['ns1.first-host.example', 'ns2.first-host.example'],
                    'ds' => [],
                    'shown' => ['organisation'],
                    'validated' => null,
                    'autoRenew' => true,
                    'due' => Instant::of('2099-01-01')->epoch,
                    'holder' => [
                        'handle' => 'T-1',
                        'name' => 'The Secretary',
                        'organisation' => 'Wickerby Bell Foundry',
                        'street' => '4 Tenter Lane',
                        'town' => 'Wickerby Sound',
                        'region' => 'North Sound',
                        'postcode' => 'WS1 4AB',
                        'country' => 'GB',
                        'voice' => '+44.1632960114',
                        'mailbox' => 'ledger@wickerby-bells.com',
                    ],
                    ...$otherwise,
                ],
            ],
        ]);

        return $name;
    }

    /** @param  array<string, mixed>  $facts */
    private function held(string $name, array $facts = []): Name
    {
        return $this->house->name($name, facts: ['servers' => ['ns1.first-host.example', 'ns2.first-host.example'], ...$facts]);
    }

    private function observe(Name ...$names): void
    {
        app(Observe::class)->of(array_values(array_map(fn (Name $name): int => $name->id, $names)));
    }

    /** @return array<string, string> state by what was found */
    private function drifts(Name $name): array
    {
        return Drift::query()
            ->where('name_id', $name->id)
            ->orderBy('id')
            ->get()
            ->mapWithKeys(fn (Drift $drift): array => [$drift->finding->value => $drift->state->value])
            ->all();
    }

    /** @return TestResponse<Response> */
    private function press(string $address): TestResponse
    {
        return $this->pressAs($this->house->steward, $address);
    }

    public function test_what_is_said_is_kept_when_it_changes_and_its_age_always(): void
    {
        $name = $this->held($ascii = $this->registered());
        $this->observe($name);
        $kept = fn (): array => DB::table('observations')->where('name_id', $name->id)->orderBy('id')->pluck('source')->all();
        self::assertEqualsCanonicalizing(['registry', 'registrar', 'dns'], $kept());
        app(TradeClock::class)->set(Instant::of('2026-10-07T09:00:00Z'));
        $this->observe($name);
        self::assertCount(3, $kept(), 'nothing new was said');
        self::assertSame(
            1,
            DB::table('observations')
                ->where('name_id', $name->id)
                ->where('source', 'registry')
                ->where('last_seen', '>=', '2026-10-07T09:00:00Z')
                ->count(),
        );
        $this->registered(otherwise: ['ends' => Instant::of('2028-11-02')->epoch], as: $ascii);
        app(TradeClock::class)->set(Instant::of('2026-10-08T09:00:00Z'));
        $this->observe($name);
        self::assertCount(5, $kept(), 'both directories say another end, the name servers the same');
        $page = $this->actingAs($this->house->reader)
            ->get("/record/{$ascii}")
            ->assertOk();
        $page->assertSee('2 Nov 2028')->assertSee('Registry, earlier');
    }

    public function test_a_list_of_somebodys_own_names_is_no_alarm_in_the_simulated_world(): void
    {
        $known = $this->registered(otherwise: ['ends' => Instant::of('2031-11-02')->epoch]);
        $tag = 'own-'.bin2hex(random_bytes(4));
        $file = UploadedFile::fake()->createWithContent(
            'list.csv',
            "name,created,ends,lock,registrant,mailbox,ns1\n{$tag}.com,2019-03-04,2027-03-04,yes,Sound Kelp "
                ."Farm,tide@kelp.example,ns1.first-host.example\n{$tag}.co.uk,,2027-05-06,yes,,,\n"
                ."{$tag}.de,2019-03-04,,,,,\n{$tag}.nowhere,2019-03-04,2027-03-04,,,,\n{$known},2020-11-02,2027-11-02,,,,\n",
        );
        $this->actingAs($this->house->clerk)
            ->post('/imports', [
                'list' => $file,
                'registrar' => $this->house->skerry->id,
                'account' => $this->house->ours->id,
                'client' => $this->house->harrow->id,
            ])
            ->assertSessionHasNoErrors();
        $import = Import::query()->sole();
        $this->post("/imports/{$import->id}/columns", [
            'columns' => $import->matched['columns'] ?? [],
            'order' => 'ymd',
        ])->assertSessionHasNoErrors();
        $this->post("/imports/{$import->id}/write")->assertRedirect();
        $this->observe(...Name::query()->orderBy('id')->get()->all());
        $found = fn (string $ascii): array => array_keys($this->drifts(Name::query()->where('ascii', $ascii)->sole()));
        self::assertSame([], $found("{$tag}.com"), 'it is as the list says');
        self::assertEqualsCanonicalizing(
            ['servers_not_written', 'created_not_written'],
            $found("{$tag}.co.uk"),
            'what the list does not say',
        );
        self::assertNotContains('not_in_directory', $found("{$tag}.de"));
        self::assertContains('renewed', $found($known), 'what the world knew stays as it is there');
        self::assertSame([], $found("{$tag}.nowhere"), 'no registry of the simulation has that suffix');
        self::assertSame(
            [],
            Drift::query()
                ->whereIn('finding', ['not_in_directory', 'other_registrar', 'holder_differs'])
                ->pluck('finding')
                ->all(),
        );
    }

    public function test_drift_is_seen_explained_taken_confirmed_and_undone(): void
    {
        $name = $this->held(
            $ascii = $this->registered(otherwise: ['ends' => Instant::of('2030-11-02')->epoch, 'statuses' => ['clientTransferProhibited']]),
            ['lock' => 'on'],
        );
        $this->observe($name);
        self::assertSame(['renewed' => 'open'], $this->drifts($name));
        $this->actingAs($this->house->steward)->get('/drift')->assertSee('Renewed, not yet on record')->assertSee($ascii);
        $this->get('/roll?finding=record.renewed')->assertSee($ascii)->assertSee('differs');
        $this->get("/names/{$ascii}")->assertSee('The registry says something else');
        $to = $this->post('/drift', ['act' => 'take:renewed'])->headers->get('Location');
        $this->press((string) $to)->assertRedirect();
        $registration = Registration::query()->where('name_id', $name->id)->firstOrFail();
        self::assertSame('2030-11-02', $registration->ends_on?->date());
        self::assertSame('directory', $registration->sources['ends']['from']);
        self::assertSame(['renewed' => 'taken'], $this->drifts($name));
        $this->observe($name);
        self::assertSame(['renewed' => 'taken'], $this->drifts($name), 'the next look confirms it');
        $docket = Drift::query()->where('name_id', $name->id)->value('docket_id');
        self::assertIsInt($docket);
        $this->press("/deeds/undo_docket?docket={$docket}")->assertRedirect();
        self::assertSame('2027-11-02', $registration->refresh()->ends_on?->date());
        self::assertSame(['renewed' => 'open'], $this->drifts($name));
    }

    public function test_what_its_registry_has_renewed_is_not_called_deleted(): void
    {
        $name = $this->held($ascii = $this->registered(otherwise: ['ends' => Instant::of('2027-08-01')->epoch]), [
            'ends_on' => Instant::of('2026-08-01'),
        ]);
        $this->actingAs($this->house->clerk)
            ->get("/names/{$ascii}")
            ->assertSee('Deleted: it can be restored');
        $this->observe($name);
        $this->get("/names/{$ascii}")
            ->assertDontSee('Deleted')
            ->assertSee('the registry says that it runs until 1 Aug 2027')
            ->assertSee('Its registrar says that it is paid until 1 Aug 2027; our record says 1 Aug 2026')
            ->assertSee('ended');
        $this->get('/roll')->assertSee('Renewed to 1 Aug 2027')->assertSee('according to the registry; our record says 1 Aug 2026');
        $this->get("/hand-over?name={$ascii}&receiver={$this->house->theirs->id}")
            ->assertOk()
            ->assertSee('Not known yet')
            ->assertDontSee('restore it first');
        $titles = fn (): array => array_map(
            fn (RoundsItem $item): string => $item->section->value,
            array_values(
                array_filter(
                    app(ReadRounds::class)->handle(app(TradeClock::class)->today(), null)->items,
                    fn (RoundsItem $item): bool => $item->title === $ascii,
                ),
            ),
        );
        self::assertSame(['look'], $titles(), 'nothing of it is lost');
        $this->press("/deeds/update_our_record?name={$ascii}&what=all")->assertRedirect();
        $this->get("/names/{$ascii}")
            ->assertSee('Ends on 1 Aug')
            ->assertDontSee('says that it runs');
        self::assertSame([], $titles());
    }

    public function test_a_renewal_by_itself_is_confirmed_by_the_registrars_own_directory(): void
    {
        $late = fn (bool $renews): Name => $this->held(
            $this->registered(
                otherwise: [
                    'ends' => Instant::of('2027-09-30')->epoch,
                    'statuses' => ['autoRenewPeriod'],
                    'autoRenew' => $renews,
                    'due' => Instant::of('2099-01-01')->epoch,
                ],
            ),
            ['ends_on' => Instant::of('2026-09-30'), 'intent' => 'by_itself'],
        );
        [$paid, $unpaid] = [$late(true), $late(false)];
        $this->observe($paid, $unpaid);
        self::assertSame([['renewed' => 'open'], ['not_renewed' => 'open']], [$this->drifts($paid), $this->drifts($unpaid)]);
        $this->actingAs($this->house->steward)
            ->get("/names/{$paid->ascii}")
            ->assertSee('the registry says that it runs until 30 Sep 2027')
            ->assertSee('Its registrar says that it is paid until 30 Sep 2027');
        $this->get("/names/{$unpaid->ascii}")
            ->assertSee('Late: ')
            ->assertSee('Auto-renew failed');
        $this->get('/rounds')->assertSee('auto-renew failed');
        $this->get("/record/{$unpaid->ascii}")
            ->assertSee('renew it by hand')
            ->assertDontSee('Take it');
        $this->post('/drift', ['act' => 'take:not_renewed'])->assertNotFound();
        $this->get('/roll?finding=record.renewed')->assertSee($paid->ascii)->assertDontSee($unpaid->ascii);
        // What was not meant to renew has not failed to.
        $this->press("/deeds/change_intent?name={$unpaid->ascii}&intent=when_told")->assertRedirect();
        self::assertSame(['not_renewed' => 'gone'], $this->drifts($unpaid));
        $this->press("/deeds/change_intent?name={$unpaid->ascii}&intent=by_itself")->assertRedirect();
        $this->observe($unpaid);
        // Whoever knows better says so, and it is presumed again.
        $this->press("/deeds/keep_our_record?name={$unpaid->ascii}&what=ends&because=its+registrar+is+slow")->assertRedirect();
        $this->get("/names/{$unpaid->ascii}")->assertSee('that is not confirmed');
        $to = $this->post('/drift', ['act' => 'take:renewed'])->headers->get('Location');
        $this->press((string) $to)->assertRedirect();
        self::assertSame('2027-09-30', Registration::query()->where('name_id', $paid->id)->firstOrFail()->ends_on?->date());
        $this->observe($paid);
        self::assertSame(['renewed' => 'taken'], $this->drifts($paid));
    }

    public function test_what_is_typed_or_brought_in_as_it_was_seen_settles_it_at_once(): void
    {
        $seen = fn (): Name => $this->held($this->registered(otherwise: ['ends' => Instant::of('2030-11-02')->epoch]), ['lock' => 'off']);
        [$typed, $wrong, $listed] = $names = [$seen(), $seen(), $seen()];
        $this->observe(...$names);
        $edit = fn (Name $name, string $ends): TestResponse => $this->actingAs($this->house->clerk)->put("/names/{$name->ascii}", [
            'version' => Registration::query()->where('name_id', $name->id)->firstOrFail()->version,
            'created_on' => '2020-11-02',
            'ends_on' => $ends,
            'intent' => 'when_told',
            'lock' => 'off',
            'disclosure' => 'unknown',
            'servers' => implode("\n", Registration::query()->where('name_id', $name->id)->firstOrFail()->servers),
        ]);
        $edit($typed, '2030-11-02')->assertSessionHasNoErrors();
        self::assertSame(['renewed' => 'gone'], $this->drifts($typed));
        $this->get("/names/{$typed->ascii}")->assertDontSee('The registry says something else');
        // What is as wrong as before is said as it is now.
        $edit($wrong, '2028-11-02')->assertSessionHasNoErrors();
        self::assertSame(['renewed' => 'open'], $this->drifts($wrong));
        $this->get("/names/{$wrong->ascii}")->assertSee('paid until 2 Nov 2030; our record says 2 Nov 2028');
        // What was seen and can't be read any more settles nothing.
        DB::update(
            "UPDATE observation_bodies SET body = decode(?, 'base64')
                WHERE observation_id IN (SELECT id FROM observations WHERE name_id = ? AND source = 'registry')",
            [base64_encode((string) gzdeflate('no record')), $wrong->id],
        );
        $edit($wrong, '2030-11-02')->assertSessionHasNoErrors();
        self::assertSame(['renewed' => 'open'], $this->drifts($wrong));

        $file = UploadedFile::fake()->createWithContent('list.csv', "name,ends\n{$listed->ascii},2030-11-02\n");
        $this->post('/imports', [
            'list' => $file,
            'registrar' => $this->house->skerry->id,
            'account' => $this->house->ours->id,
            'client' => $this->house->harrow->id,
        ])->assertSessionHasNoErrors();
        $import = Import::query()->sole();
        $this->post("/imports/{$import->id}/columns", [
            'columns' => $import->matched['columns'] ?? [],
            'order' => 'ymd',
        ])->assertSessionHasNoErrors();
        $this->post("/imports/{$import->id}/write")->assertRedirect();
        self::assertSame(['renewed' => 'gone'], $this->drifts($listed));
    }

    public function test_what_is_seen_deleted_is_not_presumed_renewed(): void
    {
        $name = $this->held(
            $this->registered(
                otherwise: [
                    'ends' => Instant::of('2026-08-20')->epoch,
                    'statuses' => ['redemptionPeriod', 'pendingDelete'],
                    'due' => Instant::of('2099-01-01')->epoch,
                ],
            ),
            ['ends_on' => Instant::of('2026-08-20'), 'intent' => 'by_itself'],
        );
        $this->actingAs($this->house->reader)
            ->get("/names/{$name->ascii}")
            ->assertSee('that is not confirmed');
        $this->observe($name);
        self::assertSame(['status_seen' => 'open'], $this->drifts($name));
        $this->get("/names/{$name->ascii}")
            ->assertDontSee('that is not confirmed')
            ->assertSee('New status at the registry: redemptionPeriod');
        self::assertSame('redemption', DB::table('standings')->where('name_id', $name->id)->value('next_kind'));
        $this->get("/names/{$name->ascii}")->assertSee('This is what its registry says, last on 6 Oct');
        $this->get("/record/{$name->ascii}")->assertSeeInOrder(
            ['class="sentence"', 'Deleted: it can be restored', 'the only one who can act on it'],
            false,
        );
    }

    public function test_rounds_name_what_is_alarming_and_count_the_rest_by_kind(): void
    {
        $gone = $this->held($this->registered(otherwise: ['registrar' => 'farshore']));
        $hosts = $this->held($this->registered(otherwise: ['servers' => ['ns1.other-host.example']]));
        $later = [
            $this->held($this->registered(otherwise: ['ends' => Instant::of('2030-11-02')->epoch])),
            $this->held($this->registered(otherwise: ['ends' => Instant::of('2031-11-02')->epoch])),
        ];
        $unlocked = $this->held($this->registered(), ['lock' => 'on']);
        $this->observe($gone, $hosts, $unlocked, ...$later);
        $items = array_values(
            array_filter(
                app(ReadRounds::class)->handle(app(TradeClock::class)->today(), null)->items,
                fn (RoundsItem $item): bool => str_starts_with($item->key, 'drift:'),
            ),
        );
        $said = array_map(fn (RoundsItem $item): array => [$item->section->value, $item->title, $item->names, $item->isName], $items);
        self::assertEqualsCanonicalizing(
            [
                ['lost', $gone->ascii, 1, true],
                ['dark', $hosts->ascii, 1, true],
                ['look', '2 names', 2, false],
                ['look', $unlocked->ascii, 1, true],
            ],
            $said,
        );
        $page = $this->actingAs($this->house->clerk)->get('/rounds')->assertOk();
        $page
            ->assertSeeInOrder([$gone->ascii, 'it has left our account', $hosts->ascii, 'its name servers were changed, not by us'])
            ->assertSee('renewed, not yet on record')
            ->assertSee('/drift?kind=renewed', false);
        // What is taken over is due no more.
        $this->press("/deeds/update_our_record?name={$unlocked->ascii}&what=all")->assertRedirect();
        self::assertNotContains(
            $unlocked->ascii,
            array_map(
                fn (RoundsItem $item): string => $item->title,
                app(ReadRounds::class)->handle(app(TradeClock::class)->today(), null)->items,
            ),
        );
    }

    /** RFC 5321 §5.1 (an MX, or else an address; an alias is followed first) and RFC 7505 (a null MX). */
    public function test_whether_a_host_takes_mail_is_as_the_standards_read_its_records(): void
    {
        $zone = function (string ...$records): string {
            $name = $this->registered();
            $this->world->add([
                'names' => [],
                'moods' => [],
                'hosts' => [],
                'zones' => [
                    [
                        'zone' => $name,
                        'records' => json_encode(
                            [
                                'records' => array_map(function (string $record) use ($name): array {
                                    [$at, $type, $data] = explode(' ', $record, 3);

                                    return [
                                        'name' => $at === '@' ? $name : "{$at}.{$name}",
                                        'type' => $type,
                                        'data' => str_replace('@', $name, $data),
                                    ];
                                }, $records),
                            ],
                            JSON_THROW_ON_ERROR,
                        ),
                    ],
                ],
            ]);

            return $name;
        };
        $elsewhere = $zone('@ MX 10 mail.@', 'mail A 192.0.2.80');
        $hosts = [
            $elsewhere => TakesMail::Yes,
            $zone('@ MX 0 .') => TakesMail::No,
            $zone('@ MX 0 .', '@ A 192.0.2.80') => TakesMail::No,
            $zone('@ A 192.0.2.80') => TakesMail::Yes,
            $zone('@ TXT nothing') => TakesMail::No,
            'no-such-host.'.$zone('@ A 192.0.2.80') => TakesMail::No,
            'post.'.$zone('post CNAME inside.@', 'inside MX 10 mail.@') => TakesMail::Yes,
            'post.'.$zone("post CNAME {$elsewhere}") => TakesMail::Yes,
            'post.'.$zone('post CNAME post.@') => TakesMail::Unknown,
        ];
        $told = [];
        app(Dns::class)->mail(array_map(DomainName::of(...), array_keys($hosts)), function (DomainName $host, TakesMail $takes) use (
            &$told,
        ): void {
            $told[$host->ascii] = $takes;
        });
        ksort($hosts);
        ksort($told);
        self::assertSame($hosts, $told);
    }

    public function test_all_that_can_be_taken_is_taken_at_once(): void
    {
        $name = $this->held(
            $this->registered(
                otherwise: [
                    'statuses' => ['clientTransferProhibited', 'serverHold', 'clientUpdateProhibited'],
                    'servers' => ['ns1.other-host.example'],
                    'created' => Instant::of('2019-05-05')->epoch,
                ],
            ),
            ['ends_on' => null, 'lock' => 'unknown'],
        );
        $this->observe($name);
        self::assertEqualsCanonicalizing(
            ['held_by_registry', 'servers_changed', 'lock_not_written', 'end_not_written', 'created_differs', 'status_seen'],
            array_keys($this->drifts($name)),
        );
        $this->press("/deeds/update_our_record?name={$name->ascii}&what=all")->assertRedirect();
        $registration = Registration::query()->where('name_id', $name->id)->firstOrFail();
        self::assertSame(
            [Lock::On, ['ns1.other-host.example'], '2027-11-02', '2019-05-05'],
            [$registration->lock, $registration->servers, $registration->ends_on?->date(), $registration->created_on?->date()],
        );
        self::assertEqualsCanonicalizing(['serverHold', 'clientUpdateProhibited'], $registration->statuses);
        $this->observe($name);
        self::assertSame([], array_filter($this->drifts($name), fn (string $state): bool => $state === 'open'));
    }

    public function test_left_with_a_reason_it_stays_left_until_the_outside_changes_again(): void
    {
        $name = $this->held($ascii = $this->registered(otherwise: ['servers' => ['ns1.other-host.example']]));
        $this->observe($name);
        $this->actingAs($this->house->steward)
            ->get("/deeds/keep_our_record?name={$ascii}&what=servers")
            ->assertOk()
            ->assertSee('Reason');
        $this->press("/deeds/keep_our_record?name={$ascii}&what=servers&because=their+own+host,+agreed")->assertRedirect();
        self::assertSame(['servers_changed' => 'left'], $this->drifts($name));
        $this->observe($name);
        self::assertSame(['servers_changed' => 'left'], $this->drifts($name));
        $this->get('/drift?kind=left')->assertSee('their own host, agreed');
        $this->registered(otherwise: ['servers' => ['ns2.first-host.example']], as: $ascii);
        $this->observe($name);
        self::assertSame(['servers_changed' => 'open'], $this->drifts($name));
    }

    public function test_put_right_outside_it_goes_by_itself(): void
    {
        $name = $this->held($ascii = $this->registered(otherwise: ['servers' => ['ns1.other-host.example']]));
        $this->observe($name);
        $this->registered(as: $ascii);
        $this->observe($name);
        self::assertSame(['servers_changed' => 'gone'], $this->drifts($name));
        $this->actingAs($this->house->reader)
            ->get("/record/{$ascii}")
            ->assertSee('No longer different');
    }

    public function test_an_alarm_is_written_once_to_those_who_may_act(): void
    {
        $names = [
            $this->held($this->registered(otherwise: ['servers' => ['ns1.other-host.example']])),
            $this->held($this->registered(otherwise: ['registrar' => 'farshore'])),
        ];
        $this->observe(...$names);
        $letters = DB::table('letters')->where('kind', 'alarm')->get();
        self::assertEqualsCanonicalizing([$this->house->owner->id, $this->house->steward->id], $letters->pluck('user_id')->all());
        self::assertStringContainsString($names[0]->ascii, (string) json_encode($letters));
        self::assertStringContainsString($names[1]->ascii, (string) json_encode($letters), 'one letter tells of both');
        $this->observe(...$names);
        app(SendAlarms::class)->handle();
        self::assertSame(2, DB::table('letters')->where('kind', 'alarm')->count());
    }

    public function test_a_name_that_somebody_deletes_is_told_at_once_and_nothing_is_begun_with_it(): void
    {
        $name = $this->held($this->registered());
        $page = fn (): TestResponse => $this->actingAs($this->house->steward)
            ->get("/names/{$name->ascii}")
            ->assertOk();
        $page()->assertSeeInOrder(['Handover', 'Clear', 'Renewal']);
        $this->registered(otherwise: self::DELETED, as: $name->ascii);
        $this->observe($name);
        self::assertSame(['deleted' => 'open'], $this->drifts($name));
        self::assertSame(2, DB::table('letters')->where('kind', 'alarm')->count());
        $page()
            ->assertSee('its registrar can still restore it')
            ->assertSeeInOrder(['Handover', 'Stopped', 'Renewal']);
        foreach (["/hand-over?name={$name->ascii}", "/deeds/change_lock?name={$name->ascii}&lock=on"] as $deed) {
            $this->get($deed)
                ->assertOk()
                ->assertSeeInOrder(['Stopped', 'It was deleted before its term ended', 'See the public record']);
        }
        // Left, because somebody knows better, it is in nobody's way.
        $this->press("/deeds/keep_our_record?name={$name->ascii}&what=statuses&because=it+was+meant")->assertRedirect();
        $page()->assertSeeInOrder(['Handover', 'Clear', 'Renewal']);
    }

    public function test_what_went_to_another_registrar_is_closed_from_where_it_is_told(): void
    {
        $name = $this->held($this->registered(otherwise: ['registrar' => 'farshore']));
        $this->observe($name);
        $this->actingAs($this->house->steward)
            ->get('/drift')
            ->assertSeeInOrder(['Gone from our account', 'Update our record', 'Keep ours']);
        $to = (string) $this->post('/drift', ['act' => 'take:other_registrar'])->headers->get('Location');
        self::assertStringContainsString('/deeds/remove_names', $to);
        $this->get("{$to}&because=as+agreed")
            ->assertOk()
            ->assertSeeInOrder(['Remove one name from our record', 'only watched', 'Clear'])
            ->assertDontSee('No directory says');
        $this->press("{$to}&because=as+agreed")->assertRedirect();
        self::assertSame(['other_registrar' => 'taken'], $this->drifts($name));
        $this->get('/roll?finding=lifecycle.watched')->assertSeeInOrder([$name->ascii, 'Farshore Domains', 'watched; not ours']);
        $this->observe($name);
        self::assertSame(['other_registrar' => 'taken'], $this->drifts($name));
        $missing = $this->held('nobody-has-this-one.com');
        $this->observe($missing);
        $this->get("/record/{$missing->ascii}")->assertSee("/deeds/remove_names?name={$missing->ascii}&amp;then=end", false);
    }

    public function test_taken_over_a_deletion_is_the_phase_of_the_name(): void
    {
        $name = $this->held($this->registered(otherwise: self::DELETED));
        $this->observe($name);
        $this->press("/deeds/update_our_record?name={$name->ascii}&what=statuses")->assertRedirect();
        self::assertSame(['deleted' => 'taken'], $this->drifts($name));
        self::assertSame('redemption', DB::table('standings')->where('name_id', $name->id)->value('phase'));
        $this->observe($name);
        self::assertSame(['deleted' => 'taken'], $this->drifts($name), 'and no other word of it');
        $this->actingAs($this->house->steward)
            ->get("/hand-over?name={$name->ascii}")
            ->assertSeeInOrder(['Stopped', 'Deleted: restore it first, by 4 Nov']);
        $this->get("/names/{$name->ascii}")->assertSeeInOrder([
            'Held for',
            'last day to keep it, 4 Nov',
            'deleted',
            'Only after a restore',
            'Not now',
            'its status is redemptionPeriod',
            '4 Nov 2026',
            '9 Nov 2026',
        ]);
        // Taken back, nothing of it is left.
        $docket = Drift::query()->where('name_id', $name->id)->value('docket_id');
        $this->press('/deeds/undo_docket?docket='.(is_int($docket) ? $docket : 0))->assertRedirect();
        self::assertNull(Registration::query()->where('name_id', $name->id)->sole()->deleted_since);
        self::assertSame(['deleted' => 'open'], $this->drifts($name));
        self::assertSame('redemption', DB::table('standings')->where('name_id', $name->id)->value('phase'), 'its registry still says so');
    }

    public function test_the_accredited_registrar_and_the_reseller_behind_a_shop_are_no_drift(): void
    {
        $name = $this->held($this->registered('co.uk', ['registrar' => 'anchorage', 'reseller' => 'Skerry']));
        $this->observe($name);
        self::assertSame(['other_registrar' => 'open'], $this->drifts($name));
        $this->house->skerry->update(['behind' => ['Anchorage Registrar Services', 'ANCHORAGE']]);
        $this->observe($name);
        self::assertSame(['other_registrar' => 'gone'], $this->drifts($name));
    }

    public function test_any_name_can_be_asked_about_and_an_empty_record_proves_nothing(): void
    {
        $free = 'nobody-'.self::$trials++.'.com';
        $this->actingAs($this->house->reader)
            ->get("/record/{$free}")
            ->assertOk()
            ->assertSee('It has not been checked yet')
            ->assertSee('not on the Roll');
        $this->post('/record', ['names' => "https://www.{$free}/shop"])->assertRedirect("/record/{$free}");
        $this->get("/record/{$free}")->assertSee('does not prove that the name is free');
        self::assertSame(
            'infinity',
            DB::table('observing')
                ->where('name_id', Name::query()->where('ascii', $free)->value('id'))
                ->value('due_at'),
            'it is not looked at by itself',
        );
        $stranger = $this->registered(otherwise: ['registrar' => 'farshore', 'shown' => ['organisation', 'mailbox']]);
        $this->post('/record', ['names' => $stranger]);
        $this->get("/record/{$stranger}")
            ->assertSee('Farshore Domains')
            ->assertSee('ledger@wickerby-bells.com')
            ->assertSee('it was not followed')
            ->assertSee('redacted');
        $this->post('/record', ['names' => ($nowhere = 'nobody-'.self::$trials++.'.nowhere')]);
        $this->get("/record/{$nowhere}")
            ->assertSee('No directory could be read')
            ->assertSee('No directory is known that answers for .nowhere')
            ->assertDontSee('It has not been checked');
    }

    public function test_a_pasted_list_is_asked_about_in_the_background_and_what_is_no_name_is_said(): void
    {
        Queue::fake();
        $this->actingAs($this->house->reader)
            ->post('/record', ['names' => "one-trial.com, two-trial.com\nnot_a_name!!"])
            ->assertRedirectContains('/record?names=one-trial.com');
        Queue::assertPushed(AskOutside::class, 1);
        $told = session()->get('told');
        self::assertIsString($told);
        self::assertStringContainsString('not_a_name', $told);
        $this->post('/record', ['names' => '!!'])->assertSessionHasErrors('names');
    }

    public function test_a_pasted_lists_page_says_of_each_name_what_was_last_seen(): void
    {
        $seen = $this->held($this->registered(otherwise: ['ends' => Instant::of('2030-11-02')->epoch, 'statuses' => ['serverHold']]));
        $free = Name::query()->create(['ascii' => ($empty = 'nobody-'.self::$trials++.'.com'), 'unicode' => $empty, 'suffix' => 'com']);
        $this->observe($seen, $free);
        $page = $this->actingAs($this->house->reader)
            ->get('/record?names='.rawurlencode("{$seen->ascii} {$empty} never-asked.com {$seen->ascii} no_name!!"))
            ->assertOk();
        $page
            ->assertSeeInOrder([$seen->ascii, '2 Nov 2030', 'serverHold', 'ns1.first-host.example', $empty, 'never-asked.com'])
            ->assertSee('no_name!!');
        self::assertSame(1, substr_count((string) $page->getContent(), "/record/{$seen->ascii}\""), 'once, however often it was pasted');
        $this->get('/record?names='.rawurlencode(implode(' ', array_map(fn (int $one): string => "many-{$one}.com", range(1, 51)))))
            ->assertSee('At most 50 names')
            ->assertDontSee('/record/many-51.com');
    }

    public function test_a_raw_answer_is_plain_text_whatever_it_holds(): void
    {
        $name = $this->held(
            $ascii = $this->registered(
                otherwise: [
                    'holder' => [
                        'handle' => 'T-2',
                        'organisation' => '<script>alert(1)</script>',
                        'name' => 'x',
                        'mailbox' => 'a@b.example',
                    ],
                ],
            ),
        );
        $this->observe($name);
        $id = DB::table('observations')->where('name_id', $name->id)->where('source', 'registry')->value('id');
        self::assertIsInt($id);
        $raw = $this->actingAs($this->house->reader)
            ->get("/record/{$ascii}/{$id}")
            ->assertOk()
            ->assertHeader('X-Content-Type-Options', 'nosniff');
        self::assertStringStartsWith('text/plain', (string) $raw->headers->get('Content-Type'));
        self::assertStringContainsString('<script>', (string) $raw->getContent());
        $this->get("/record/{$ascii}")
            ->assertOk()
            ->assertDontSee('<script>alert', false)
            ->assertSee('&lt;script&gt;alert', false);
        $this->get("/record/other-name.com/{$id}")->assertNotFound();
    }

    public function test_the_registry_of_the_old_kind_says_little_and_that_is_read_as_little(): void
    {
        $name = $this->held($this->registered('de', ['ends' => null]), ['ends_on' => null]);
        $this->observe($name);
        $told = app(Directory::class)->ask(DomainName::of($name->ascii));
        self::assertSame(
            [Source::Text, 'Skerry Registrations', null, []],
            [$told[0]->source, $told[0]->record?->registrar, $told[0]->record?->ends, $told[0]->record?->holder],
        );
        self::assertSame([], $this->drifts($name), 'what it does not say is no other word');
        self::assertFalse(app(Directory::class)->ask(DomainName::of('nobody-'.self::$trials++.'.de'))[0]->record !== null);
    }

    public function test_redaction_reaches_the_record_field_by_field(): void
    {
        $told = app(Directory::class)->ask(DomainName::of($this->registered()))[0];
        self::assertNotNull($told->record);
        self::assertSame('Wickerby Bell Foundry', $told->record->field(Field::Organisation)->value);
        self::assertSame([true, null], [$told->record->field(Field::Street)->isRedacted, $told->record->field(Field::Street)->value]);
        self::assertSame('GB', $told->record->field(Field::Country)->value);
    }

    public function test_names_come_in_their_turn_and_what_a_worker_dies_with_comes_round_again(): void
    {
        $names = array_map(fn (int $one): Name => $this->held("in-turn-{$one}.com"), [1, 2, 3]);
        $take = app(LeaseDue::class);
        self::assertCount(2, $taken = $take->handle(2));
        self::assertCount(1, $take->handle(10));
        self::assertSame([], $take->handle(10));
        app(TradeClock::class)->set(Instant::of('2026-10-06T09:16:00Z'));
        self::assertEqualsCanonicalizing(array_map(fn (Name $name): int => $name->id, $names), $take->handle(10));
        self::assertNotSame([], $taken);
    }

    public function test_a_host_that_was_asked_often_enough_is_left_alone_and_nothing_fails(): void
    {
        config(['outside.a_minute' => 1]);
        $this->app->forgetInstance(Directory::class);
        $names = [$this->held($this->registered()), $this->held($this->registered())];
        app()->call([new LookOutside(), 'handle']);
        $rows = DB::table('observing')->whereIn('name_id', array_map(fn (Name $name): int => $name->id, $names))->orderBy('name_id')->get();
        self::assertSame([0, 0], $rows->pluck('failures')->all());
        self::assertSame(['weekly', 'weekly'], $rows->pluck('pace')->all());
        self::assertSame(
            1,
            DB::table('observing')->where('name_id', $names[1]->id)->where('due_at', '<', '2026-10-06T09:15:00Z')->count(),
            'its turn comes soon',
        );
        $this->actingAs($this->house->reader)->get('/outside')->assertSee('wants to be left alone');
    }

    public function test_the_outside_is_looked_at_by_one_worker_at_a_time_and_by_the_next_once_that_one_is_gone(): void
    {
        $name = $this->held($this->registered());
        $asked = fn (): bool => DB::table('observing')->where('name_id', $name->id)->whereNotNull('asked_at')->exists();
        self::assertTrue(DB::connection('owner')->scalar('SELECT pg_try_advisory_lock(7305, 0)'));
        app()->call([new LookOutside(), 'handle']);
        self::assertFalse($asked());
        // Killed, it says nothing any more.
        DB::purge('owner');
        Until::so('the next one looks', function () use ($asked): bool {
            app()->call([new LookOutside(), 'handle']);

            return $asked();
        });
    }

    public function test_a_directory_that_says_429_is_left_alone_for_as_long_as_it_says(): void
    {
        $patience = app(RateLimit::class);
        $patience->ask('rdap.trial.example');
        $patience->rest('rdap.trial.example', 90);
        try {
            $patience->ask('rdap.trial.example');
            self::fail('It was asked.');
        } catch (NotReached $e) {
            self::assertSame(FailureReason::TooOften, $e->why);
            self::assertEqualsWithDelta(90, $e->wait, 5);
        }
    }

    public function test_a_plan_that_does_not_fit_says_what_it_can_not_keep(): void
    {
        // Forty-five names every hour, at two questions each, are one and a half a minute.
        DB::statement(
            "INSERT INTO names (ascii, unicode, suffix) SELECT 'plan-' || n || '.com', 'plan-' || n || '.com', 'com'
                FROM generate_series(1, 45) n",
        );
        DB::statement(
            "INSERT INTO observing (name_id, due_at, pace) SELECT id, '2026-10-07', 'hourly' FROM names WHERE ascii LIKE 'plan-%'",
        );
        config(['outside.a_minute' => 1]);
        $this->actingAs($this->house->reader)
            ->get('/outside')
            ->assertOk()
            ->assertSee('1.5 a minute on average')
            ->assertSee('queries that don’t fit wait')
            ->assertSee('a day becomes 1.5 days');
    }

    /** A text that names no end, no statuses of EPP's and next to nothing of the holder is read as saying nothing of them. */
    public function test_what_a_text_does_not_say_is_not_made_up(): void
    {
        $read = fn (string $text, string $asked): ?Record => RecordOfText::read(WhoisText::read($text), $asked);
        $little = $read("Domain: bell.de\nStatus: connect\nChanged: 2026-09-01\n", 'bell.de');
        self::assertNotNull($little);
        self::assertSame(
            [null, null, null, [], ['connect'], null, []],
            [$little->ends, $little->created, $little->servers, $little->statuses, $little->words, $little->registrar, $little->holder],
        );
        self::assertSame('2026-09-01', $little->changed?->iso());
        $much = $read(
            "Domain Name: BELL.COM\nRegistrar: Oriel Names [Tag = ORIEL]\nDomain Status: clientTransferProhibited\nDomain Status: "
                ."odd\nRegistry Expiry Date: 2027-10-13T08:00:00Z\nName Server: NS1.WIRE.EXAMPLE\nRegistrant Name: A. Kettle\n",
            'bell.com',
        );
        self::assertSame(
            ['Oriel Names', 'ORIEL', [Status::ClientTransferProhibited], ['odd'], '2027-10-13', ['ns1.wire.example'], 'A. Kettle'],
            [
                $much?->registrar,
                $much?->tag,
                $much?->statuses,
                $much?->words,
                $much?->ends?->date(),
                $much?->servers,
                $much?->holder[Field::Name->value]->value,
            ],
        );
        self::assertNull($read("Domain: other.de\nStatus: connect\n", 'bell.de'), 'about another name');
        self::assertNull($read("% nothing here\n", 'bell.de'));
    }

    public function test_silence_is_no_drift_and_is_asked_again_later_each_time(): void
    {
        $name = $this->held($this->registered(otherwise: ['servers' => ['ns1.other-host.example']]));
        $this->observe($name);
        // Nobody listens there.
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($socket);
        $dead = (string) stream_socket_get_name($socket, false);
        fclose($socket);
        config(['outside.hosts' => array_map(fn (): string => $dead, config()->array('outside.hosts'))]);
        $this->app->forgetInstance(Hosts::class);
        $this->app->forgetInstance(Directory::class);
        $due = [];
        foreach ([1, 2, 3] as $failures) {
            $this->observe($name);
            $row = Row::of(DB::table('observing')->where('name_id', $name->id)->first());
            self::assertSame($failures, $row->int('failures'));
            $due[] = $row->instant('due_at')?->epoch;
        }
        self::assertGreaterThan($due[0], $due[1]);
        self::assertSame(['servers_changed' => 'open'], $this->drifts($name), 'what was known stays');
        $this->actingAs($this->house->reader)
            ->get("/record/{$name->ascii}")
            ->assertOk()
            ->assertSee('did not answer')
            ->assertSee('ns1.other-host.example');
    }

    public function test_a_directory_that_cannot_prove_who_it_is_is_not_believed(): void
    {
        config(['outside.authority' => null]);
        $this->app->forgetInstance(Directory::class);
        $told = app(Directory::class)->ask(DomainName::of($this->registered()))[0];
        self::assertSame([FailureReason::Certificate, null], [$told->why, $told->record]);
    }

    /** What was known stays, nothing is made of it, and the next look reads what there is. */
    #[TestWith(['the connection closes before the answer', 'did not answer: the connection was closed'])]
    #[TestWith(['no answer comes', 'did not answer: it took longer than 1 s'])]
    #[TestWith(['garbage comes instead of the answer', 'can’t be read: it is no HTTP'])]
    #[TestWith(['its disk is full', 'answered 500'])]
    #[TestWith(['it shows a certificate that nobody here signed', 'could not prove who it is'])]
    public function test_bad_weather_at_a_directory_is_no_drift(string $weather, string $said): void
    {
        config(['outside.answer' => 1]);
        $name = $this->held($this->registered());
        $this->observe($name);
        $this->world->play($name->ascii, 'lock');
        $this->world->weather($weather, 2, 'the directories');
        $this->app->forgetInstance(Directory::class);
        $this->observe($name);
        self::assertSame([], $this->drifts($name));
        $this->actingAs($this->house->reader)
            ->get("/record/{$name->ascii}")
            ->assertOk()
            ->assertSee($said);
        $this->world->weather('fair', 0, 'the directories');
        $this->app->forgetInstance(Directory::class);
        $this->observe($name);
        $this->get("/record/{$name->ascii}")
            ->assertOk()
            ->assertDontSee($said);
    }

    #[TestWith(['https://rdap.elsewhere.example/domain/a.com', FailureReason::NotListed])]
    #[TestWith(['http://rdap.harbour-registry.example/domain/a.com', FailureReason::NotListed])]
    #[TestWith(['file:///etc/passwd', FailureReason::NotListed])]
    #[TestWith(['https://user@rdap.harbour-registry.example/', FailureReason::NotListed])]
    #[TestWith(['gopher://rdap.harbour-registry.example/', FailureReason::NotListed])]
    public function test_only_listed_hosts_are_asked_and_only_over_tls(string $url, FailureReason $why): void
    {
        try {
            app(Fetch::class)->get($url, 'application/rdap+json');
            self::fail('It was asked.');
        } catch (NotReached $e) {
            self::assertSame($why, $e->why);
        }
    }

    /** RFC 6890: a listed host that resolves to one of these is not dialled. */
    #[TestWith(['127.0.0.1'])]
    #[TestWith(['10.1.2.3'])]
    #[TestWith(['169.254.169.254'])]
    #[TestWith(['192.168.0.1'])]
    #[TestWith(['100.64.0.1'])]
    #[TestWith(['192.0.2.7'])]
    #[TestWith(['::1'])]
    #[TestWith(['fe80::1'])]
    #[TestWith(['fd00::1'])]
    #[TestWith(['::ffff:10.0.0.1'])]
    #[TestWith(['::ffff:1.1.1.1'], 'mapped')]
    #[TestWith(['::7f00:1'], 'compatible')]
    #[TestWith(['224.0.0.1'], 'multicast')]
    #[TestWith(['239.255.255.250'])]
    #[TestWith(['255.255.255.255'])]
    #[TestWith(['240.0.0.1'])]
    #[TestWith(['ff02::1'], 'multicast, version 6')]
    #[TestWith(['ff0e::1'])]
    #[TestWith(['64:ff9b::7f00:1'], 'NAT64')]
    #[TestWith(['64:ff9b:1::a00:1'])]
    #[TestWith(['2002:7f00:1::1'], '6to4')]
    #[TestWith(['2001:0:7f00:1::1'], 'Teredo')]
    #[TestWith(['fec0::1'], 'site-local')]
    #[TestWith(['0.0.0.0'])]
    #[TestWith(['::'])]
    public function test_no_special_purpose_address_is_public(string $address): void
    {
        self::assertFalse(Hosts::isPublic($address));
        self::assertNull((new Hosts([]))->nameServer($address));
    }

    public function test_public_addresses_are_and_a_listed_host_at_a_private_one_is_refused(): void
    {
        self::assertTrue(Hosts::isPublic('1.1.1.1'));
        self::assertTrue(Hosts::isPublic('2606:4700::1'));
        $this->expectExceptionMessage('no public address');
        (new Hosts(['localhost' => null]))->dial('localhost', 443);
    }

    public function test_an_answer_longer_than_is_read_is_refused(): void
    {
        $fetch = new Fetch(app(Hosts::class), (string) config()->string('outside.authority'), 5, 5, 200);
        $this->expectExceptionMessage('more than 200 bytes');
        $fetch->get('https://rdap.harbour-registry.example/domain/'.$this->registered(), 'application/rdap+json');
    }

    /**
     * @param-out DelegationSeen  $seen
     *
     * @return array<string, ServerSeen> by host
     */
    private function servers(string $name, ?DelegationSeen &$seen = null): array
    {
        app(Dns::class)->delegations([DomainName::of($name)], function (DelegationSeen $one) use (&$seen): void {
            $seen = $one;
        });
        self::assertInstanceOf(DelegationSeen::class, $seen);

        return array_combine(array_map(fn (ServerSeen $server): string => $server->host, $seen->servers), $seen->servers);
    }

    public function test_name_servers_are_asked_one_by_one(): void
    {
        $name = $this->registered(
            otherwise: [
                'servers' => ['ns1.first-host.example', 'ns.inside-host.example', 'ns.nowhere-host.example', 'ns.six-host.example'],
                'ds' => [['tag' => 60485, 'algorithm' => 5, 'type' => 1, 'digest' => str_repeat('AB', 20)]],
            ],
        );
        $servers = $this->servers($name, $seen);
        self::assertSame(
            [Answer::Authoritative, Answer::NotPublic, Answer::NoAddress],
            [
                $servers['ns1.first-host.example']->answer,
                $servers['ns.inside-host.example']->answer,
                $servers['ns.nowhere-host.example']->answer,
            ],
        );
        self::assertSame(
            [Answer::NotPublic, '2001:db8::53'],
            [$servers['ns.six-host.example']->answer, $servers['ns.six-host.example']->address],
            'found by its address of version 6',
        );
        self::assertSame([true, 172_800], [$seen->isSigned(), $seen->ttl]);
        self::assertSame([], $this->servers('nobody-'.self::$trials++.'.com', $none));
        self::assertSame([], $none->parent);
    }

    #[TestWith(['silent', Answer::Silent])]
    #[TestWith(['refuses', Answer::Refused])]
    #[TestWith(['lame', Answer::Lame])]
    #[TestWith(['fails', Answer::Fails])]
    #[TestWith(['out of step', Answer::Authoritative])]
    public function test_a_server_in_a_mood(string $mood, Answer $answer): void
    {
        $place = 110 + (int) array_search($mood, ['silent', 'refuses', 'lame', 'fails', 'out of step'], true);
        $host = "ns{$place}.moody-host.example";
        $this->world->add([
            'names' => [],
            'zones' => [],
            'hosts' => [['host' => $host, 'addresses' => ["203.0.113.{$place}"]]],
            'moods' => [['address' => "203.0.113.{$place}", 'mood' => $mood]],
        ]);
        $servers = $this->servers($this->registered(otherwise: ['servers' => [$host, 'ns1.first-host.example']]), $seen);
        self::assertSame($answer, $servers[$host]->answer);
        self::assertSame(
            $mood === 'out of step' ? ['out_of_step'] : [$mood === 'silent' ? 'server_silent' : 'server_lame'],
            array_map(fn ($finding): string => (string) $finding->tag->value, $seen->findings(Instant::of('2026-10-06T09:00:00Z'))),
        );
    }

    public function test_hosts_inside_the_name_are_found_by_their_glue(): void
    {
        $name = $this->registered();
        $this->world->add([
            'names' => [],
            'zones' => [],
            'moods' => [],
            'hosts' => [['host' => "ns1.{$name}", 'addresses' => ['203.0.113.121']]],
        ]);
        $this->registered(otherwise: ['servers' => ["ns1.{$name}", 'ns1.first-host.example']], as: $name);
        $servers = $this->servers($name);
        self::assertSame(['203.0.113.121', Answer::Authoritative], [$servers["ns1.{$name}"]->address, $servers["ns1.{$name}"]->answer]);
    }

    public function test_of_many_of_a_kind_the_newest_few_stand_and_a_link_to_all(): void
    {
        $names = array_map(fn (int $place): Name => $this->held("many-{$place}.com"), range(1, 10));
        foreach ($names as $place => $name) {
            Drift::query()->create([
                'name_id' => $name->id,
                'finding' => RecordFinding::LockIsOff,
                'detail' => '',
                'field' => DriftField::Lock,
                'alarming' => false,
                'cost' => RecordFinding::LockIsOff->cost()->value,
                'said' => json_decode(
                    json_encode(Finding::of(RecordFinding::LockIsOff, Effect::Worth), JSON_THROW_ON_ERROR),
                    true,
                    8,
                    JSON_THROW_ON_ERROR,
                ),
                'certainty' => Certainty::Sure,
                'state' => DriftState::Open,
                'first_seen' => Instant::of('2026-10-01')->plusDays($place),
                'last_seen' => Instant::of('2026-11-01'),
            ]);
        }
        $this->actingAs($this->house->steward)
            ->get('/drift')
            ->assertSeeInOrder(['many-10.com', 'many-9.com', 'many-3.com', 'All 10'])
            ->assertDontSee('many-2.com')
            ->assertSee('right:lock_is_off');
        $this->get('/drift?kind=lock_is_off')->assertSee('many-2.com')->assertSee('many-1.com');
    }

    #[TestWith(['/drift', 'No differences'])]
    #[TestWith(['/drift?kind=left', 'Kept'])]
    #[TestWith(['/record', 'Query the directories'])]
    #[TestWith(['/outside', 'Monitoring'])]
    #[TestWith(['/record/never-asked.com', 'Query the directories'])]
    public function test_pages_of_the_outside_stand_when_nothing_was_seen_yet(string $address, string $says): void
    {
        $this->actingAs($this->house->reader)->get($address)->assertOk()->assertSee($says);
    }

    public function test_whoever_runs_its_name_servers_is_told_by_the_name_that_is_registered(): void
    {
        $name = $this->held(
            $ascii = $this->registered(
                otherwise: ['servers' => ['ns1.dales-host.co.uk', 'ns2.dales-host.co.uk', 'ns1.first-host.example']],
            ),
        );
        $this->observe($name);
        $this->actingAs($this->house->reader)
            ->get("/record/{$ascii}")
            ->assertSee('dales-host.co.uk or first-host.example');
    }

    public function test_settling_takes_a_clerk_and_a_reader_only_looks(): void
    {
        $name = $this->held($ascii = $this->registered(otherwise: ['ends' => Instant::of('2030-11-02')->epoch]));
        $this->observe($name);
        $this->actingAs($this->house->reader)->get('/drift')->assertOk()->assertSee($ascii)->assertDontSee('take:renewed');
        $this->post('/drift', ['act' => 'take:renewed'])->assertForbidden();
        $this->actingAs($this->house->clerk)
            ->post('/drift', ['act' => 'take:renewed', 'names' => ['renewed' => [$name->id]]])
            ->assertRedirectContains('/deeds/update_our_record');
        $this->post('/drift', ['act' => 'take:nothing_such'])->assertNotFound();
        $this->post('/drift', ['act' => 'steal'])->assertSessionHasErrors('act');
    }

    public function test_a_watched_name_stands_on_the_roll_says_what_its_registry_says_and_is_held_when_it_arrives(): void
    {
        $ascii = $this->registered(otherwise: ['registrar' => 'farshore', 'ends' => Instant::of('2026-11-11')->epoch]);
        $this->actingAs($this->house->clerk)
            ->post("/record/{$ascii}/watch", ['client' => $this->house->foundry->id, 'why' => ''])
            ->assertSessionHasErrors('why');
        $this->post("/record/{$ascii}/watch", ['client' => $this->house->foundry->id, 'why' => 'wanted, should it lapse'])->assertRedirect(
            "/record/{$ascii}",
        );
        $name = Name::query()->where('ascii', $ascii)->firstOrFail();
        $this->get('/roll?finding=lifecycle.watched')
            ->assertSee($ascii)
            ->assertSee('Farshore Domains')
            ->assertSee('watched; not ours')
            ->assertSee('Ends 11 Nov');
        $this->get("/record/{$ascii}")->assertSee('wanted, should it lapse');
        $this->get("/names/{$ascii}")->assertRedirect("/record/{$ascii}");
        self::assertSame([], $this->drifts($name), 'our books have nothing of their own to say of it');
        $this->actingAs($this->house->steward)
            ->get("/deeds/change_intent?name={$ascii}&intent=lapse")
            ->assertOk()
            ->assertSee('It is only watched');
        $this->get("/hand-over?name={$ascii}&receiver={$this->house->theirs->id}")
            ->assertOk()
            ->assertSee('It is only watched');
        $this->press("/deeds/change_words?name={$ascii}&give=wanted")->assertRedirect();
        $this->get('/roll')->assertSee($ascii);
        $this->registered(otherwise: ['registrar' => 'farshore', 'ends' => Instant::of('2027-11-11')->epoch], as: $ascii);
        $this->observe($name);
        $this->get('/roll?finding=lifecycle.watched')->assertSee('Ends 11 Nov 2027');
        // Deleted, it is told when it falls free: by its record, and looked at again that stays so.
        $this->registered(otherwise: ['registrar' => 'farshore', 'ends' => Instant::of('2027-11-11')->epoch, ...self::DELETED], as: $ascii);
        $this->observe($name);
        $this->observe($name);
        $this->get('/roll?finding=lifecycle.watched')->assertSee('Free from 9 Nov')->assertDontSee('Ends 11 Nov');
        // Past redemption five days are left, from then.
        $this->registered(
            otherwise: [
                'registrar' => 'farshore',
                'statuses' => ['pendingDelete'],
                'updated' => Instant::of('2026-10-06T08:00:00Z')->epoch,
            ],
            as: $ascii,
        );
        $this->observe($name);
        $this->get('/roll?finding=lifecycle.watched')->assertSee('Free from 11 Oct');
        self::assertSame(1, DB::table('observing')->where('name_id', $name->id)->where('due_at', '<', 'infinity')->count());
        $this->registered(otherwise: ['ends' => Instant::of('2027-11-11')->epoch], as: $ascii);
        $registration = Registration::query()->create([
            'name_id' => $name->id,
            'span' => Span::since(Instant::of('2026-10-06')),
            'ends_on' => Instant::of('2027-11-11'),
            'lock' => 'off',
        ]);
        Holding::query()->create([
            'name_id' => $name->id,
            'registration_id' => $registration->id,
            'account_id' => $this->house->ours->id,
            'client_id' => $this->house->foundry->id,
            'span' => Span::since(Instant::of('2026-10-06')),
        ]);
        app(MakeStandings::class)->of([$name->id]);
        self::assertSame(0, DB::table('watchings')->count(), 'held, and no longer watched');
        $this->get("/names/{$ascii}")->assertOk();
        $this->post("/record/{$ascii}/watch", ['client' => $this->house->foundry->id, 'why' => 'again'])->assertSessionHas('told');
        self::assertSame(0, DB::table('watchings')->count());
    }

    public function test_a_name_that_nobody_has_registered_can_be_watched_too(): void
    {
        $this->actingAs($this->house->clerk)
            ->post('/record', ['names' => 'nobody-has-it.com'])
            ->assertRedirect('/record/nobody-has-it.com');
        $this->post('/record/nobody-has-it.com/watch', ['client' => $this->house->foundry->id, 'why' => 'wanted'])->assertRedirect();
        $this->get('/roll?finding=lifecycle.watched')->assertSeeInOrder(['nobody-has-it.com', 'Not in any directory', 'watched; not ours']);
        // Registered under a suffix that publishes no end, it ends some day that nobody says.
        $this->registered(otherwise: ['registrar' => 'farshore', 'ends' => null], as: 'nobody-has-it.com');
        $this->observe(Name::query()->where('ascii', 'nobody-has-it.com')->sole());
        $this->get('/roll?finding=lifecycle.watched')->assertSeeInOrder(['nobody-has-it.com', 'Farshore Domains', 'Expiry not known']);
    }

    public function test_watching_can_be_ended_and_a_reader_cannot_begin_it(): void
    {
        $ascii = $this->registered(otherwise: ['registrar' => 'farshore']);
        $this->actingAs($this->house->reader)
            ->post("/record/{$ascii}/watch", ['client' => $this->house->foundry->id, 'why' => 'x'])
            ->assertForbidden();
        $this->actingAs($this->house->clerk)
            ->post("/record/{$ascii}/watch", ['client' => $this->house->foundry->id, 'why' => 'x'])
            ->assertRedirect();
        $this->delete("/record/{$ascii}/watch")->assertRedirect();
        $this->get("/record/{$ascii}")
            ->assertSee('no longer watched')
            ->assertSee('not on the Roll');
        $this->get('/roll')->assertDontSee($ascii);
    }

    public function test_the_database_keeps_held_and_watched_apart(): void
    {
        $name = $this->held($this->registered());
        $this->expectExceptionMessage('is held');
        DB::table('watchings')->insert([
            'name_id' => $name->id,
            'client_id' => $this->house->foundry->id,
            'why' => 'x',
            'since' => '2026-10-06',
        ]);
    }

    public function test_the_house_follows_the_worlds_clock_forward_and_never_back(): void
    {
        $clock = app(TradeClock::class);
        $there = $this->world->now();
        self::assertNotNull($there);
        $clock->set($there->plusDays(-3));
        self::assertTrue(app(FollowWorld::class)->handle());
        self::assertEqualsWithDelta($there->epoch, $clock->now()->epoch, 10);
        self::assertFalse(app(FollowWorld::class)->handle(), 'it is there');
        $clock->set($there->plusDays(1));
        self::assertFalse(app(FollowWorld::class)->handle());
        self::assertSame($there->plusDays(1)->date(), $clock->now()->date());
        self::assertNull((new World('http://127.0.0.1:9', 'x'))->now(), 'a world that does not answer moves nothing');
    }
}
