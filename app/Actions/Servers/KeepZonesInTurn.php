<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use App\Models\ServersKept;
use App\Outside\Dns\Dns;
use App\Outside\Dns\ZoneAsked;
use App\Outside\Dns\ZoneWanted;
use App\Queries\Servers\GivingServers;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Database\Connection;
use RuntimeException;

/**
 * Keeps a copy of each name's zone in turn, and of one that is about to move at once; and what each says about mail. Which is to be asked
 * is written first, so that nothing is lost.
 */
final readonly class KeepZonesInTurn
{
    private const TOGETHER = 50;

    /** Days until a zone is asked for again, and where nobody answered. The house's own choice. */
    private const AGAIN = 7;

    private const SILENT = 1;

    /** Names that are taken up at once. */
    private const NEW = 5_000;

    /** Of names on the Roll. */
    private const DUE = 'next_look <= ?::timestamptz AND EXISTS (SELECT FROM standings s WHERE s.name_id = z.name_id)';

    public function __construct(
        private Connection $database,
        private Dns $dns,
        private ZoneCopies $copies,
        private KeepMail $mail,
        private GivingServers $giving,
        private ExceptionHandler $handler,
        private TradeClock $clock,
    ) {
    }

    /**
     * One is kept before these move. In the transaction that has them moved.
     *
     * @param  list<int>  $nameIds
     */
    public static function want(Connection $database, array $nameIds, int $docketId): void
    {
        $database->insert(
            "INSERT INTO zone_looks (name_id, docket_id) SELECT id, ? FROM unnest(?::bigint[]) AS n(id) ORDER BY id
             ON CONFLICT (name_id) DO UPDATE SET docket_id = excluded.docket_id, next_look = '-infinity'",
            [$docketId, '{'.implode(',', $nameIds).'}'],
        );
    }

    public static function areDue(Connection $database, Instant $now): bool
    {
        return $database->scalar('SELECT EXISTS (SELECT FROM zone_looks z WHERE '.self::DUE.')', [$now->isoSecond()]) === true;
    }

    /** Names that came onto the Roll since. */
    public static function takeUp(Connection $database): void
    {
        $database->insert(
            'INSERT INTO zone_looks (name_id) SELECT s.name_id FROM standings s
             WHERE NOT EXISTS (SELECT FROM zone_looks z WHERE z.name_id = s.name_id) ORDER BY s.name_id LIMIT ? ON CONFLICT DO NOTHING',
            [self::NEW],
        );
    }

    /** All that were last seen with something wrong about mail are asked for before their turn, after those that are about to move. */
    public static function faultySoon(Connection $database, Instant $now): void
    {
        $database->update(
            'UPDATE zone_looks z SET next_look = LEAST(next_look, ?)
             WHERE EXISTS (SELECT FROM mail_faults f WHERE f.name_id = z.name_id)',
            [$now->isoSecond()],
        );
    }

    /**
     * Those whose turn it is, the longest waiting first, until none is left or the time is over.
     *
     * @param  int  $seconds  after which nothing further is begun
     */
    public function due(int $seconds): void
    {
        $until = hrtime(true) / 1e9 + $seconds;
        while (hrtime(true) / 1e9 < $until && ($rows = $this->next()) !== []) {
            try {
                $this->ask($rows);
            } catch (RuntimeException $e) {
                $this->handler->report($e);
                $this->oneByOne($rows);
            }
        }
    }

    /** @return array<string, Row> by name */
    private function next(): array
    {
        $rows = [];
        foreach (
            Row::all($this->database->select(
                'SELECT z.name_id, z.docket_id, n.ascii, s.servers FROM zone_looks z JOIN names n ON n.id = z.name_id
                 JOIN standings s ON s.name_id = z.name_id WHERE z.next_look <= ?::timestamptz ORDER BY z.next_look, z.name_id LIMIT ?',
                [$this->clock->now()->isoSecond(), self::TOGETHER],
            )) as $row
        ) {
            $rows[$row->text('ascii')] = $row;
        }

        return $rows;
    }

    /** @param  array<string, Row>  $rows  by name */
    private function ask(array $rows): void
    {
        $known = $this->copies->newest(array_map(fn (Row $row): int => $row->int('name_id'), array_values($rows)));
        $giving = $this->giving->hosts();
        $zones = [];
        $this->dns->zones(
            array_map(
                fn (Row $row): ZoneWanted => new ZoneWanted(
                    DomainName::of($row->text('ascii')),
                    ServersKept::ofText($row->text('servers')),
                    $known[$row->int('name_id')] ?? null,
                    $giving,
                ),
                array_values($rows),
            ),
            function (ZoneWanted $of, ?ZoneAsked $asked) use ($rows, &$zones): void {
                $row = $rows[$of->name->ascii];
                $this->keep($row, $asked);
                if ($asked !== null) {
                    $zones[$row->int('name_id')] = $asked->copy;
                }
            },
        );
        $this->mail->ofAsked($zones);
    }

    private function keep(Row $row, ?ZoneAsked $asked): void
    {
        $now = $this->clock->now();
        $docket = $row->intOrNull('docket_id');
        $this->database->transaction(function () use ($row, $asked, $now, $docket): void {
            if ($asked !== null) {
                $source = $asked->isWhole ? 'transferred' : 'asked';
                $this->copies->keep($row->int('name_id'), $asked->copy, $source, $asked->host, $now, $docket);
            }
            // A wish that came meanwhile stays.
            $this->database->update(
                'UPDATE zone_looks SET asked_at = ?, next_look = ?, docket_id = NULL
                 WHERE name_id = ? AND docket_id IS NOT DISTINCT FROM ?',
                [
                    $now->isoSecond(),
                    $now->plusDays($asked === null ? self::SILENT : self::AGAIN)->isoSecond(),
                    $row->int('name_id'),
                    $docket,
                ],
            );
        });
    }

    /**
     * One that can't be asked about keeps no other from being asked.
     *
     * @param  array<string, Row>  $rows
     */
    private function oneByOne(array $rows): void
    {
        foreach (array_intersect_key($rows, $this->next()) as $ascii => $row) {
            try {
                $this->ask([$ascii => $row]);
            } catch (RuntimeException $e) {
                $this->handler->report($e);
                $this->keep($row, null);
            }
        }
    }
}
