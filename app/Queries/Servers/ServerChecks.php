<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Delegation\ChangeSeen;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Time\Instant;
use App\Models\NamedSet;
use App\Models\ServersKept;
use App\Outside\Dns\PackedChange;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What servers were asked about names before a change. */
final readonly class ServerChecks
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<int>  $nameIds
     * @return array<int, ChangeSeen> by name; of those that nobody asked about there is none
     */
    public function of(array $nameIds, ServerSet $set): array
    {
        $found = [];
        $rows = $this->database->select(
            "SELECT name_id, asked_at, encode(body, 'base64') AS body FROM server_checks
             WHERE name_id = ANY (?::bigint[]) AND servers_digest = ? AND body IS NOT NULL",
            ['{'.implode(',', $nameIds).'}', ServersKept::digest($set)],
        );
        foreach (Row::all($rows) as $row) {
            $json = gzinflate((string) base64_decode($row->text('body'), true));
            $at = $row->instant('asked_at');
            if ($json !== false && $at !== null) {
                $found[$row->int('name_id')] = PackedChange::unpack($json, $at);
            }
        }

        return $found;
    }

    /** The set with whose servers a name was last compared; null: with none, or it has changed since. */
    public function lastSet(int $nameId): ?NamedSet
    {
        $digest = $this->database->scalar(
            'SELECT servers_digest FROM server_checks WHERE name_id = ? ORDER BY wanted_at DESC LIMIT 1',
            [$nameId],
        );

        return $digest === null
            ? null
            : NamedSet::query()
                ->with('registrar')
                ->orderBy('id')
                ->limit(1_000)
                ->get()
                ->first(fn (NamedSet $set): bool => ServersKept::digest($set->value()) === $digest);
    }

    /**
     * How far asking is.
     *
     * @param  list<int>  $nameIds
     * @return array{open: int, last: Instant|null} names that are still to be asked about, and when the last answer came
     */
    public function progress(array $nameIds, ServerSet $set): array
    {
        $row = Row::of(
            $this->database->selectOne(
                'SELECT count(*) FILTER (WHERE asked_at IS NULL OR asked_at < wanted_at) AS open, max(asked_at) AS last
                 FROM server_checks WHERE name_id = ANY (?::bigint[]) AND servers_digest = ?',
                ['{'.implode(',', $nameIds).'}', ServersKept::digest($set)],
            ),
        );

        return ['open' => $row->int('open'), 'last' => $row->instant('last')];
    }
}
