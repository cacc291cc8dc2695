<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Time\Instant;
use Acre\Core\Zone\ZoneCopy;
use App\Outside\Dns\PackedChange;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Zones as they were, each with its source and instant. What was kept is never changed. */
final readonly class ZoneCopies
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  string  $source  `asked`, `transferred`, `pasted` or `uploaded`
     * @param  string  $toldBy  who said it: servers, or a file
     * @return bool whether it says something that the newest one doesn't
     */
    public function keep(int $nameId, ZoneCopy $copy, string $source, string $toldBy, Instant $at, ?int $docketId = null): bool
    {
        $body = PackedChange::packZone($copy);
        $digest = hash('xxh128', $body);
        $newest = $this->database->selectOne(
            'SELECT digest FROM zone_copies WHERE name_id = ? ORDER BY taken_at DESC, id DESC LIMIT 1',
            [$nameId],
        );
        if ($docketId === null && $newest !== null && Row::of($newest)->text('digest') === $digest) {
            return false;
        }

        return $this->database->insert(
            "INSERT INTO zone_copies (name_id, source, told_by, taken_at, docket_id, digest, records, body)
             VALUES (?, ?, ?, ?, ?, ?, ?, decode(?, 'base64'))",
            [
                $nameId,
                $source,
                mb_substr($toldBy, 0, 300),
                $at->isoSecond(),
                $docketId,
                $digest,
                count($copy->entries()),
                base64_encode((string) gzdeflate($body)),
            ],
        );
    }

    /**
     * @param  list<int>  $nameIds
     * @return array<int, ZoneCopy> the newest of each name
     */
    public function newest(array $nameIds): array
    {
        $found = [];
        $rows = $this->database->select(
            "SELECT n.id, encode(c.body, 'base64') AS body FROM unnest(?::bigint[]) AS n(id) CROSS JOIN LATERAL (
                SELECT body FROM zone_copies WHERE name_id = n.id ORDER BY taken_at DESC, id DESC LIMIT 1) c",
            ['{'.implode(',', $nameIds).'}'],
        );
        foreach (Row::all($rows) as $row) {
            $json = gzinflate((string) base64_decode($row->text('body'), true));
            $copy = $json === false ? null : PackedChange::unpackZone($json);
            if ($copy !== null) {
                $found[$row->int('id')] = $copy;
            }
        }

        return $found;
    }
}
