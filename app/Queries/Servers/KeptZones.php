<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Zone\ZoneCopy;
use App\Outside\Dns\PackedChange;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The copies of a name's zone. */
final readonly class KeptZones
{
    private const MOST = 50;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<KeptZone> the newest first */
    public function of(int $nameId): array
    {
        $rows = $this->database->select(
            'SELECT id, source, told_by, taken_at, docket_id, records FROM zone_copies WHERE name_id = ?
             ORDER BY taken_at DESC, id DESC LIMIT ?',
            [$nameId, self::MOST],
        );

        return array_map(KeptZone::of(...), Row::all($rows));
    }

    /** @return ZoneCopy|null null: it is not that name's */
    public function copy(int $nameId, int $id): ?ZoneCopy
    {
        $body = $this->database->scalar(
            "SELECT encode(body, 'base64') FROM zone_copies WHERE name_id = ? AND id = ?",
            [$nameId, $id],
        );
        $json = is_string($body) ? gzinflate((string) base64_decode($body, true)) : false;

        return $json === false ? null : PackedChange::unpackZone($json);
    }
}
