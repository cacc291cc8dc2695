<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Time\Instant;
use App\Support\Row;

/** How far a change of name servers has come to be seen. */
final readonly class ServersWatched
{
    /** @param  list<string>  $wanted  hosts */
    private function __construct(
        public int $docket,
        public array $wanted,
        public ?Instant $parent,
        public ?Instant $servers,
        public ?Instant $cachedUntil,
        public ?Instant $ended,
    ) {
    }

    /** Whether the registry doesn't have the wanted ones yet. */
    public function isOnItsWay(): bool
    {
        return $this->ended === null && $this->parent === null;
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('docket_id'),
            array_values(array_filter($row->json('wanted'), is_string(...))),
            $row->instant('parent_at'),
            $row->instant('servers_at'),
            $row->instant('cached_until'),
            $row->instant('ended_at'),
        );
    }
}
