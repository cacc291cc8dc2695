<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\Propagation;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Time\Instant;
use App\Actions\Looks\LookSoon;
use App\Models\DocketLine;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Follows a change of name servers until parent, servers and zone agree, and the last old answer has died. */
final readonly class WatchServers
{
    public function __construct(private Connection $database)
    {
    }

    /** In the line's transaction, the name locked. */
    public function begin(DocketLine $line, ServerSet $wanted, ?ChangeSeen $seen, Instant $now): void
    {
        $this->database->update(
            'UPDATE server_watches SET ended_at = ? WHERE name_id = ? AND ended_at IS NULL AND docket_line_id <> ?',
            [$now->isoSecond(), $line->name_id, $line->id],
        );
        $zone = $seen?->before;
        $this->database
            ->table('server_watches')
            ->insertOrIgnore([
                'docket_line_id' => $line->id,
                'name_id' => $line->name_id,
                'wanted' => json_encode($wanted->hosts(), JSON_THROW_ON_ERROR),
                'parent_ttl' => $seen?->standing->ttl,
                'zone_ttl' => $zone === null ? null : $zone->sets["{$zone->zone} NS"]->ttl ?? null,
                'record_ttl' => $zone?->longest() ?? Propagation::USUAL,
                'began_at' => $now->isoSecond(),
            ]);
    }

    public function callOff(DocketLine $line): void
    {
        $this->database->delete('DELETE FROM server_watches WHERE docket_line_id = ?', [$line->id]);
    }

    /**
     * What was seen of a name now. In the transaction that keeps it.
     *
     * @return Instant|null when the change that is still watched began; null: nothing is
     */
    public function seen(int $nameId, DelegationSeen $seen, Instant $now): ?Instant
    {
        $row = $this->database->selectOne(
            'SELECT * FROM server_watches WHERE name_id = ? AND ended_at IS NULL ORDER BY began_at DESC LIMIT 1 FOR UPDATE',
            [$nameId],
        );
        if ($row === null || $seen->parent === null) {
            return $row === null ? null : Row::of($row)->instant('began_at');
        }
        $row = Row::of($row);
        $wanted = ServerSet::ofHosts(array_values(array_filter($row->json('wanted'), is_string(...))));
        $parent = $row->instant('parent_at') ?? ($wanted->isExactly($seen->parent) ? $now : null);
        $servers = $parent === null ? null : $row->instant('servers_at') ?? ($seen->isServedBy($wanted) ? $now : null);
        $until = $parent === null
            ? null
            : Propagation::of($row->intOrNull('parent_ttl'), $row->intOrNull('zone_ttl'), $row->int('record_ttl'), $parent)->answersUntil;
        $ended = $servers !== null && $until !== null && $until->hasComeAt($now) ? $now : null;
        $this->database->update(
            'UPDATE server_watches SET parent_at = ?, servers_at = ?, cached_until = ?, ended_at = ? WHERE docket_line_id = ?',
            [
                $parent?->isoSecond(),
                $servers?->isoSecond(),
                $until?->isoSecond(),
                $ended?->isoSecond(),
                $row->int('docket_line_id'),
            ],
        );
        if ($servers !== null && $row->instant('servers_at') === null) {
            // Its zone and its pages are others now.
            LookSoon::atZonesAndPages($this->database, [$nameId], $now);
        }

        return $ended === null ? $row->instant('began_at') : null;
    }
}
