<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\RecordsWanted;
use Acre\Core\Zone\SetWanted;
use App\Actions\Looks\LookSoon;
use App\Models\DocketLine;
use App\Outside\Dns\Dns;
use App\Outside\Dns\RecordsAsked;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Follows a change of records until every server of the name says it. */
final readonly class WatchRecords
{
    private const TOGETHER = 50;

    /** Seconds between two looks, and days after which nobody looks any more. */
    private const AGAIN = 300;

    private const DAYS = 14;

    public function __construct(private Connection $database, private Dns $dns, private TradeClock $clock)
    {
    }

    /** In the line's transaction, the name locked. */
    public function begin(DocketLine $line, RecordsWanted $wanted, Instant $now): void
    {
        $this->database
            ->table('record_watches')
            ->insertOrIgnore([
                'docket_line_id' => $line->id,
                'name_id' => $line->name_id,
                'wanted' => json_encode(
                    array_map(
                        fn (SetWanted $set): array => ['host' => $set->host, 'type' => $set->type, 'data' => $set->data],
                        $wanted->sets,
                    ),
                    JSON_THROW_ON_ERROR,
                ),
                'began_at' => $now->isoSecond(),
            ]);
    }

    public function callOff(DocketLine $line): void
    {
        $this->database->delete('DELETE FROM record_watches WHERE docket_line_id = ?', [$line->id]);
    }

    /** Those whose turn it is, once. */
    public function look(): void
    {
        $now = $this->clock->now();
        $rows = Row::all(
            $this->database->select(
                'SELECT w.docket_line_id, w.name_id, w.wanted, n.ascii FROM record_watches w JOIN names n ON n.id = w.name_id
                 WHERE w.agreed_at IS NULL AND w.began_at >= ?::timestamptz AND (w.asked_at IS NULL OR w.asked_at <= ?::timestamptz)
                 ORDER BY w.asked_at NULLS FIRST, w.docket_line_id LIMIT ?',
                [$now->plusDays(-self::DAYS)->isoSecond(), $now->plusSeconds(-self::AGAIN)->isoSecond(), self::TOGETHER],
            ),
        );
        $asked = array_map(
            fn (Row $row): RecordsAsked => new RecordsAsked(
                $row->int('docket_line_id'),
                DomainName::of($row->text('ascii')),
                self::wanted($row->json('wanted')),
            ),
            $rows,
        );
        $names = [];
        foreach ($rows as $row) {
            $names[$row->int('docket_line_id')] = $row->int('name_id');
        }
        $this->dns->records($asked, function (RecordsAsked $one, array $says) use ($names, $now): void {
            $agreed = $says !== [] && ! in_array(false, $says, true);
            $this->database->update(
                'UPDATE record_watches SET says = ?::jsonb, asked_at = ?, agreed_at = ? WHERE docket_line_id = ? AND agreed_at IS NULL',
                [
                    json_encode((object) $says, JSON_THROW_ON_ERROR),
                    $now->isoSecond(),
                    $agreed ? $now->isoSecond() : null,
                    $one->key,
                ],
            );
            if ($agreed) {
                // Every page says the new ones at once.
                LookSoon::atZonesAndPages($this->database, [$names[$one->key]], $now);
            }
        });
    }

    /** @param  array<array-key, mixed>  $kept */
    private static function wanted(array $kept): RecordsWanted
    {
        $sets = [];
        foreach ($kept as $one) {
            if (is_array($one) && is_string($one['host'] ?? null) && is_string($one['type'] ?? null)) {
                $data = is_array($one['data'] ?? null) ? array_values(array_filter($one['data'], is_string(...))) : [];
                $sets[] = new SetWanted($one['host'], $one['type'], null, $data);
            }
        }

        return new RecordsWanted($sets);
    }
}
