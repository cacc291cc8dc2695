<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Delegation\Dependence;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Time\Instant;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What a name's servers depend on among our own names. */
final readonly class ReadDependence
{
    /** Names that lead from one to the next. */
    private const DEEP = 5;

    /** Days before its end in which a name that nobody keeps is told. */
    private const NEAR = 90;

    public function __construct(private Connection $database)
    {
    }

    public function of(string $ascii, Instant $now): Dependence
    {
        $servers = $ending = [];
        $wanted = [$ascii];
        for ($step = 0; $step < self::DEEP && $wanted !== []; $step++) {
            $next = [];
            foreach (Row::all(
                $this->database
                    ->table('standings')
                    ->whereIn('ascii', $wanted)
                    ->get(['ascii', 'servers', 'ends_on', 'intent', 'phase']),
            ) as $row) {
                $hosts = array_values(array_filter(explode(' ', $row->text('servers')), fn (string $host): bool => $host !== ''));
                $servers[$row->text('ascii')] = $hosts;
                $next = [...$next, ...Dependence::names($hosts)];
                $ends = $row->instant('ends_on');
                $isLate = $row->text('phase') !== 'in_term';
                $isLetGo = $row->text('intent') === Intent::Lapse->value;
                if ($ends !== null && ($isLate || ($isLetGo && $now->daysUntil($ends) <= self::NEAR))) {
                    $ending[$row->text('ascii')] = $ends;
                }
            }
            $wanted = array_values(array_diff(array_unique($next), array_map(strval(...), array_keys($servers))));
        }

        return new Dependence($servers, $ending);
    }
}
