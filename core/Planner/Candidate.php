<?php

declare(strict_types=1);

namespace Acre\Core\Planner;

use Acre\Core\Time\Instant;

/** A name that is to move in a migration: between which days it can, and what it costs to be late. */
final readonly class Candidate
{
    /**
     * @param  int  $key  tells it apart
     * @param  Instant  $first  the first day on which it is safe to begin
     * @param  Instant|null  $sensible  the last day on which nothing is charged twice; null: any
     * @param  Instant|null  $last  the last day on which it can begin at all, before its end; null: any
     * @param  int  $price  of its transfer, in hundredths
     * @param  int  $lateCost  what is lost if it begins after its sensible day, in hundredths
     * @param  list<int>  $guards  names whose mailboxes or name servers lie in it
     */
    public function __construct(
        public int $key,
        public Instant $first,
        public ?Instant $sensible = null,
        public ?Instant $last = null,
        public int $price = 0,
        public int $lateCost = 0,
        public array $guards = [],
    ) {
    }
}
