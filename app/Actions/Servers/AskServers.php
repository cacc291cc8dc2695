<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Name\DomainName;
use App\Jobs\AskServersWanted;
use App\Models\ServersKept;
use App\Outside\Dns\ChangeWanted;
use App\Outside\Dns\Dns;
use App\Outside\Dns\PackedChange;
use App\Outside\Dns\ZoneWanted;
use App\Queries\Servers\GivingServers;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Contracts\Bus\Dispatcher;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Database\Connection;
use RuntimeException;

/** Asks a name's present servers, and those that it may get, what they have of it. Wanted is written first, so that nothing is lost. */
final readonly class AskServers
{
    /** Names that are asked about together. */
    private const TOGETHER = 50;

    public function __construct(
        private Connection $database,
        private Dns $dns,
        private ZoneCopies $copies,
        private GivingServers $giving,
        private KeepDelegates $delegates,
        private ExceptionHandler $handler,
        private Dispatcher $bus,
        private TradeClock $clock,
    ) {
    }

    /** @param  list<int>  $nameIds */
    public function want(array $nameIds, ServerSet $set): void
    {
        $now = $this->clock->now()->isoSecond();
        $digest = ServersKept::digest($set);
        $servers = json_encode(ServersKept::of($set), JSON_THROW_ON_ERROR);
        sort($nameIds);
        foreach (array_chunk($nameIds, 1_000) as $some) {
            $this->database
                ->table('server_checks')
                ->upsert(
                    array_map(
                        fn (int $id): array => [
                            'name_id' => $id,
                            'servers_digest' => $digest,
                            'servers' => $servers,
                            'wanted_at' => $now,
                            'asked_at' => null,
                            'body' => null,
                        ],
                        $some,
                    ),
                    ['name_id', 'servers_digest'],
                    ['servers', 'wanted_at', 'asked_at', 'body'],
                );
        }
        // Not as something that is let go of: a queue that works at once would ask inside a destructor, where fibers can't be switched.
        $this->bus->dispatch(new AskServersWanted());
    }

    /**
     * Whatever is wanted, the longest first, until none is left or the time is over. Each answer is recorded as it comes, so that a
     * slow server holds up its own names only.
     *
     * @param  int  $seconds  after which nothing further is begun
     */
    public function wanted(int $seconds): void
    {
        $until = hrtime(true) / 1e9 + $seconds;
        while (hrtime(true) / 1e9 < $until && ($wanted = $this->next()) !== []) {
            try {
                $this->ask($wanted);
            } catch (RuntimeException $e) {
                $this->handler->report($e);
                $this->oneByOne($wanted);
            }
        }
    }

    /** @param  array<int, ChangeWanted>  $wanted  by name */
    private function ask(array $wanted): void
    {
        $ids = array_flip(array_map(fn (ChangeWanted $one): string => $one->zone->name->ascii, $wanted));
        $this->dns->changes(
            array_values($wanted),
            fn (ChangeWanted $one, ChangeSeen $seen) => $this->write($ids[$one->zone->name->ascii], $one, $seen),
        );
    }

    /**
     * A name that can't be asked about says so, and keeps no other from being asked.
     *
     * @param  array<int, ChangeWanted>  $wanted  by name
     */
    private function oneByOne(array $wanted): void
    {
        foreach (array_intersect_key($wanted, $this->next()) as $id => $one) {
            try {
                $this->ask([$id => $one]);
            } catch (RuntimeException $e) {
                $this->handler->report($e);
                $none = new DelegationSeen($one->zone->name->ascii, null, null, null, [], $e->getMessage());
                $this->write($id, $one, new ChangeSeen($none, null, [], null, null, null, $this->clock->now()));
            }
        }
    }

    /** @return array<int, ChangeWanted> by name; one a name, the others of it come later */
    private function next(): array
    {
        $rows = Row::all(
            $this->database->select(
                'SELECT c.name_id, n.ascii, c.servers, s.servers AS ours FROM server_checks c
                 JOIN names n ON n.id = c.name_id LEFT JOIN standings s ON s.name_id = c.name_id
                 WHERE c.asked_at IS NULL OR c.asked_at < c.wanted_at ORDER BY c.wanted_at, c.name_id LIMIT ?',
                [self::TOGETHER],
            ),
        );
        $known = $this->copies->newest(array_map(fn (Row $row): int => $row->int('name_id'), $rows));
        $giving = $this->giving->hosts();
        $wanted = [];
        foreach ($rows as $row) {
            $id = $row->int('name_id');
            $wanted[$id] ??= new ChangeWanted(
                new ZoneWanted(
                    DomainName::of($row->text('ascii')),
                    ServersKept::ofText($row->textOrNull('ours') ?? ''),
                    $known[$id] ?? null,
                    $giving,
                ),
                ServersKept::read($row->json('servers')),
            );
        }

        return $wanted;
    }

    private function write(int $nameId, ChangeWanted $wanted, ChangeSeen $seen): void
    {
        $this->delegates->handle($nameId, $seen->standing, $seen->at);
        $this->database->update(
            "UPDATE server_checks SET asked_at = greatest(?::timestamptz, wanted_at), body = decode(?, 'base64')
             WHERE name_id = ? AND servers_digest = ?",
            [
                $seen->at->isoSecond(),
                base64_encode((string) gzdeflate(PackedChange::pack($seen))),
                $nameId,
                ServersKept::digest($wanted->to),
            ],
        );
    }
}
