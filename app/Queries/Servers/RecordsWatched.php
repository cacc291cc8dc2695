<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Time\Instant;
use App\Support\Row;

/** How far a change of records has come. */
final readonly class RecordsWatched
{
    /**
     * @param  list<string>  $saying  hosts that say it
     * @param  list<string>  $others  hosts that don't, or don't answer
     */
    private function __construct(public array $saying, public array $others, public ?Instant $asked, public ?Instant $agreed)
    {
    }

    public static function of(Row $row): self
    {
        $says = $row->json('says');
        $of = fn (bool $is): array => array_map(strval(...), array_keys(array_filter($says, fn (mixed $one): bool => $one === $is)));

        return new self($of(true), $of(false), $row->instant('asked_at'), $row->instant('agreed_at'));
    }
}
