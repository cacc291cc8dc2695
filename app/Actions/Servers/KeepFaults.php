<?php

declare(strict_types=1);

namespace App\Actions\Servers;

use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Time\Instant;
use App\Queries\Servers\ReadDependence;
use App\Support\Row;
use Illuminate\Database\Connection;

/**
 * Keeps what is wrong with where a name points, and with the names of ours that its servers lie under, so that it can be counted over
 * the whole Roll. In the transaction of the look.
 */
final readonly class KeepFaults
{
    public function __construct(private Connection $database, private ReadDependence $dependence)
    {
    }

    public function handle(int $nameId, DelegationSeen $seen, Instant $now): void
    {
        if ($seen->parent === null) {
            return;
        }
        $faults = [];
        $dependence = $this->dependence->of($seen->name, $now);
        foreach ([...$seen->findings($now), ...$dependence->of($seen->name)] as $finding) {
            $host = $finding->with['host'] ?? '';
            $host = is_string($host) ? $host : '';
            $faults["{$finding->tag->value} {$host}"] = [
                'name_id' => $nameId,
                'finding' => (string) $finding->tag->value,
                'host' => $host,
                'said' => json_encode($finding, JSON_THROW_ON_ERROR),
                'cost' => $finding->tag->cost()->value,
                'first_seen' => $now->isoSecond(),
            ];
        }
        $gone = [];
        foreach (
            Row::all(
                $this->database
                    ->table('pointing_faults')
                    ->where('name_id', $nameId)
                    ->get(['finding', 'host']),
            ) as $row
        ) {
            $key = "{$row->text('finding')} {$row->text('host')}";
            if (! isset($faults[$key])) {
                $gone[] = [$row->text('finding'), $row->text('host')];
            }
        }
        foreach ($gone as [$finding, $host]) {
            $this->database
                ->table('pointing_faults')
                ->where(['name_id' => $nameId, 'finding' => $finding, 'host' => $host])
                ->delete();
        }
        if ($faults !== []) {
            // Since when it is so stays as it was first seen.
            $this->database->table('pointing_faults')->upsert(array_values($faults), ['name_id', 'finding', 'host'], ['said', 'cost']);
        }
    }
}
