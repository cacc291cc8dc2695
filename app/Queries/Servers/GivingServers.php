<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use App\Models\NamedSet;

/** Name servers of which somebody said that they give us whole zones: nobody else is asked for one. */
final readonly class GivingServers
{
    /** @return list<string> hosts */
    public function hosts(): array
    {
        $sets = NamedSet::query()->where('gives_zones', true)->orderBy('id')->limit(1_000)->get();

        return array_values(array_unique(array_merge(...$sets->map(fn (NamedSet $set): array => $set->value()->hosts())->all())));
    }
}
