<?php

declare(strict_types=1);

namespace Tests\Standin;

use Acre\Wire\Json\JsonNode;
use PHPUnit\Framework\TestCase;
use Standin\Dns\Mood;
use Standin\Registry\Registered;
use Standin\Registry\Registry;
use Standin\Store;
use Standin\World;

/** What happens to names in the simulated world as its clock goes on, in order. */
final class EndHabitTest extends TestCase
{
    private string $file;

    private World $world;

    protected function setUp(): void
    {
        $this->file = (string) tempnam(sys_get_temp_dir(), 'world');
        $this->world = new World(new Store($this->file));
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), array_filter([$this->file, "{$this->file}-wal", "{$this->file}-shm"], is_file(...)));
    }

    /** @param  list<string>  $statuses */
    private function load(string $name, string $ends, bool $autoRenew, array $statuses = []): void
    {
        $this->world->load(
            JsonNode::read(
                json_encode(
                    [
                        'now' => strtotime('2026-10-06T09:00:00Z'),
                        'hosts' => [],
                        'moods' => [],
                        'zones' => [],
                        'names' => [
                            [
                                'name' => $name,
                                'registrar' => 'skerry',
                                'created' => 0,
                                'ends' => strtotime("{$ends}T00:00:00Z"),
                                'updated' => 0,
                                'statuses' => $statuses,
                                'servers' => ['ns1.a.example'],
                                'shown' => [],
                                'holder' => ['handle' => 'X'],
                                'autoRenew' => $autoRenew,
                            ],
                        ],
                    ],
                    JSON_THROW_ON_ERROR,
                ),
                10_000,
            ),
            true,
        );
    }

    private function on(string $day, string $name): ?Registered
    {
        $this->world->moveTo((int) strtotime("{$day}T12:00:00Z"));

        return $this->world->store->name($name);
    }

    public function test_a_registry_that_renews_takes_it_back_when_nobody_wants_the_name(): void
    {
        $this->load('a.com', '2026-10-20', false);
        self::assertSame([], $this->on('2026-10-19', 'a.com')?->statuses);
        $after = $this->on('2026-10-21', 'a.com');
        self::assertSame([['autoRenewPeriod'], '2027-10-20'], [$after?->statuses, gmdate('Y-m-d', $after->ends ?? 0)]);
        $deleted = $this->on('2026-11-20', 'a.com');
        self::assertSame(
            [['pendingDelete', 'redemptionPeriod'], '2026-10-20'],
            [$deleted?->statuses, gmdate('Y-m-d', $deleted->ends ?? 0)],
        );
        self::assertFalse($this->world->store->name('a.com')?->isDelegated());
        self::assertSame(['pendingDelete'], $this->on('2026-12-20', 'a.com')?->statuses);
        self::assertNull($this->on('2026-12-26', 'a.com'));
    }

    public function test_months_at_once_come_to_the_same(): void
    {
        $this->load('a.com', '2026-10-20', false);
        self::assertNull($this->on('2027-03-01', 'a.com'));
        $this->load('a.com', '2026-10-20', true);
        $kept = $this->on('2027-03-01', 'a.com');
        self::assertSame([[], '2027-10-20'], [$kept?->statuses, gmdate('Y-m-d', $kept->ends ?? 0)]);
    }

    public function test_what_is_done_with_a_name_meanwhile_does_not_lengthen_its_time(): void
    {
        $this->load('a.com', '2026-10-20', false);
        $name = $this->on('2026-11-10', 'a.com');
        self::assertNotNull($name);
        $name->change([], ['clientTransferProhibited']);
        $this->world->change($name);
        self::assertSame(['clientTransferProhibited', 'pendingDelete', 'redemptionPeriod'], $this->on('2026-11-20', 'a.com')?->statuses);
        $this->world->change($this->world->store->name('a.com') ?? self::fail('It is gone.'));
        self::assertNotContains('redemptionPeriod', $this->on('2026-12-20', 'a.com')->statuses ?? ['redemptionPeriod']);
        self::assertNull($this->on('2026-12-26', 'a.com'));
    }

    /** RFC 3915 §3.1; that they take five days is common practice. */
    public function test_the_short_periods_end_each_on_its_day(): void
    {
        $this->load('a.com', '2027-10-20', true, ['addPeriod', 'clientHold']);
        $name = $this->world->store->name('a.com');
        self::assertNotNull($name);
        self::assertSame(['clientHold'], $name->statuses, 'it was created long ago');
        [$name->renewed, $name->moved] = [(int) strtotime('2026-10-07T00:00:00Z'), (int) strtotime('2026-10-09T00:00:00Z')];
        $name->change([], ['renewPeriod', 'transferPeriod']);
        $this->world->change($name);
        self::assertSame(['clientHold', 'renewPeriod', 'transferPeriod'], $this->on('2026-10-11', 'a.com')?->statuses);
        self::assertSame(['clientHold', 'transferPeriod'], $this->on('2026-10-12', 'a.com')?->statuses);
        self::assertSame(['clientHold'], $this->on('2026-10-14', 'a.com')?->statuses);
        self::assertSame(
            [['clientHold', 'autoRenewPeriod'], '2028-10-20'],
            [$this->on('2027-10-21', 'a.com')?->statuses, gmdate('Y-m-d', $this->world->store->name('a.com')->ends ?? 0)],
        );
    }

    public function test_others_suspend_or_go_on(): void
    {
        $this->load('a.co.uk', '2026-10-20', false);
        self::assertSame([], $this->on('2026-11-18', 'a.co.uk')?->statuses);
        self::assertSame(['serverHold'], $this->on('2026-11-20', 'a.co.uk')?->statuses);
        self::assertNull($this->on('2027-01-19', 'a.co.uk'));
        $this->load('a.de', '2026-10-20', false);
        self::assertSame([], $this->on('2028-01-01', 'a.de')?->statuses);
    }

    /** Checked against PostgreSQL's and python-dateutil's intervals: 29 February and a year is the 28th. */
    public function test_a_leap_day_has_its_anniversary_on_the_28th(): void
    {
        $this->load('a.com', '2028-02-29', true);
        $after = $this->on('2028-03-01', 'a.com');
        self::assertSame('2029-02-28', gmdate('Y-m-d', $after->ends ?? 0));
    }

    public function test_a_directory_is_some_minutes_behind_its_registry(): void
    {
        $this->load('a.com', '2027-10-20', true);
        $name = $this->world->store->name('a.com');
        self::assertNotNull($name);
        $name->servers = ['ns9.b.example'];
        $this->world->change($name);
        self::assertSame(['ns1.a.example'], $this->world->published('a.com')?->servers);
        self::assertSame(['ns9.b.example'], $this->world->store->name('a.com')?->servers, 'its zone shows it at once');
        $this->world->moveTo($this->world->now() + (Registry::for('a.com')->behind ?? 0) + 1);
        self::assertSame(['ns9.b.example'], $this->world->published('a.com')?->servers);
    }

    public function test_the_world_is_as_it_was_after_its_process_died(): void
    {
        $this->load('a.com', '2027-10-20', true);
        $this->world->store->hosts->putMood('192.0.2.1', Mood::Silent->value);
        $now = $this->world->now();
        $again = Killed::world($this->file);
        self::assertSame(['a.com', 'silent'], [$again->store->name('a.com')?->name, $again->store->hosts->mood('192.0.2.1')]);
        self::assertEqualsWithDelta($now, $again->now(), 2);
    }
}
