<?php

declare(strict_types=1);

namespace Tests\Standin;

use Acre\Wire\Json\JsonNode;
use Closure;
use RuntimeException;
use Standin\Control\Part;
use Standin\Epp\EppSession;
use Standin\Epp\OpenSessions;
use Standin\Store;
use Standin\World;

/** A small world with three accounts at one registrar, and its gate without a socket. The clock shows 6 October 2026. */
final readonly class Gatehouse
{
    public World $world;

    public string $file;

    private OpenSessions $open;

    /** @param  (Closure(Closure(): void): void)|null  $later  when what was told is recorded; null: at once */
    public function __construct(?Closure $later = null)
    {
        $this->file = (string) tempnam(sys_get_temp_dir(), 'gate');
        $this->open = new OpenSessions();
        $this->world = new World(new Store($this->file, $later));
        $account = fn (string $number, string $login, int $balance): array => [
            'number' => $number,
            'registrar' => 'skerry',
            'login' => $login,
            'mailbox' => "{$login}@a.example",
            'password' => "pass-{$number}",
            'balance' => $balance,
        ];
        $name = fn (string $name, string $account): array => [
            'name' => $name,
            'registrar' => 'skerry',
            'created' => strtotime('2020-11-02'),
            'ends' => strtotime('2027-11-02T00:00:00Z'),
            'updated' => 0,
            'statuses' => [],
            'servers' => ['ns1.a.example'],
            'shown' => [],
            'holder' => [
                'handle' => 'H-1',
                'name' => 'The Secretary',
                'street' => '4 Tenter Lane',
                'town' => 'Wickerby Sound',
                'region' => 'North Sound',
                'postcode' => 'WS1 4AB',
                'country' => 'GB',
                'voice' => '+44.1632960114',
                'mailbox' => 'a@b.example',
            ],
            'autoRenew' => true,
            'account' => $account,
            'ds' => [['tag' => 60485, 'algorithm' => 5, 'type' => 1, 'digest' => '2BB183AF5F22588179A53B0A98631FAD1A292118']],
        ];
        $this->world->load(
            JsonNode::read(
                json_encode(
                    [
                        'now' => strtotime('2026-10-06T09:00:00Z'),
                        'moods' => [],
                        'zones' => [],
                        'hosts' => [['host' => 'ns1.a.example', 'addresses' => ['192.0.2.1']]],
                        'accounts' => [
                            $account('40718', 'harrow-tern', 100_00),
                            $account('51877', 'wickerby-foundry', 100_00),
                            $account('51902', 'soundkelp', 100_00),
                            $account('52044', 'choirs', 5_00),
                        ],
                        'names' => [$name('bell.com', '40718'), $name('poor.com', '52044')],
                    ],
                    JSON_THROW_ON_ERROR,
                ),
                100_000,
            ),
            true,
        );
    }

    public function session(?string $account = null): Talk
    {
        $talk = new Talk(new EppSession($this->world, 'skerry', $this->open));
        if ($account !== null && ! $talk->login($account)->code()->isSuccess()) {
            throw new RuntimeException("{$account} could not log in.");
        }

        return $talk;
    }

    public function play(string $name, string $part): void
    {
        Part::from($part)->play($this->world->store->name($name) ?? throw new RuntimeException("There is no {$name}."), '', $this->world);
    }

    public function days(int $days): void
    {
        $this->world->moveTo($this->world->now() + $days * 86_400);
    }

    public function tearDown(): void
    {
        array_map(unlink(...), array_filter([$this->file, "{$this->file}-wal", "{$this->file}-shm"], is_file(...)));
    }
}
