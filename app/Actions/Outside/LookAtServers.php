<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Name\DomainName;
use App\Actions\Servers\KeepPointing;
use App\Outside\Dns\Dns;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Asks the name servers of names, and nobody else, now. */
final readonly class LookAtServers
{
    public function __construct(
        private Connection $database,
        private Dns $dns,
        private KeepObservation $keep,
        private KeepPointing $pointing,
        private TradeClock $clock,
    ) {
    }

    /** @param  list<int>  $nameIds  some dozens at most */
    public function of(array $nameIds): void
    {
        $ids = [];
        $rows = $this->database->table('names')->whereIn('id', $nameIds)->orderBy('id')->get(['id', 'ascii']);
        foreach (Row::all($rows) as $row) {
            $ids[$row->text('ascii')] = $row->int('id');
        }
        $seen = [];
        $names = array_map(fn (string|int $ascii): DomainName => DomainName::of((string) $ascii), array_keys($ids));
        $this->dns->delegations($names, function (DelegationSeen $one) use (&$seen): void {
            $seen[$one->name] = $one;
        });
        $now = $this->clock->now();
        $this->database->transaction(function () use ($ids, $seen, $now): void {
            $this->database->select('SELECT id FROM names WHERE id = ANY (?::bigint[]) ORDER BY id FOR UPDATE', [
                '{'.implode(',', $ids).'}',
            ]);
            foreach (array_intersect_key($ids, $seen) as $name => $id) {
                $this->keep->pointing($id, $seen[$name], $now);
                $this->pointing->handle($id, $seen[$name], $now);
            }
        });
    }
}
