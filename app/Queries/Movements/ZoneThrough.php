<?php

declare(strict_types=1);

namespace App\Queries\Movements;

use Acre\Core\Time\Instant;
use Acre\Core\Zone\Comparison;
use App\Queries\Servers\KeptZones;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The zone of a name before a docket moved it, and after. */
final readonly class ZoneThrough
{
    public function __construct(private Connection $database, private KeptZones $kept)
    {
    }

    public function wasKept(int $nameId, int $docketId): bool
    {
        return $this->before($nameId, $docketId) !== null;
    }

    /** @return Comparison|null null: none was kept before, or nobody has read it since */
    public function compared(int $nameId, int $docketId, Instant $arrived): ?Comparison
    {
        $before = $this->before($nameId, $docketId);
        // One that says the same as before is kept no second time.
        $newest = $this->database->selectOne(
            'SELECT c.id FROM zone_copies c JOIN zone_looks k ON k.name_id = c.name_id
             WHERE c.name_id = ? AND k.asked_at > ?::timestamptz ORDER BY c.taken_at DESC, c.id DESC LIMIT 1',
            [$nameId, $arrived->isoSecond()],
        );
        $one = $before === null ? null : $this->kept->copy($nameId, $before);
        $other = $newest === null ? null : $this->kept->copy($nameId, Row::of($newest)->int('id'));

        return $one === null || $other === null ? null : Comparison::of($one, $other);
    }

    private function before(int $nameId, int $docketId): ?int
    {
        $row = $this->database->selectOne(
            'SELECT id FROM zone_copies WHERE name_id = ? AND docket_id = ? ORDER BY id LIMIT 1',
            [$nameId, $docketId],
        );

        return $row === null ? null : Row::of($row)->int('id');
    }
}
