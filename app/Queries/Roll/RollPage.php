<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use App\Queries\Rounds\Sums;
use App\Support\Row;

/** One page of the Roll. */
final readonly class RollPage
{
    /**
     * @param  list<Row>  $rows  of `standings`
     * @param  int  $count  how many there are in all, exact up to the limit
     * @param  int|null  $watched  how many of them are only watched; null: they are too many to say
     * @param  bool  $more  there are more than the limit
     * @param  Sums|null  $sums  what their next renewals cost; null: they are too many, or all of the Roll
     * @param  string|null  $next  where the next page begins
     */
    public function __construct(
        public array $rows,
        public int $count,
        public ?int $watched,
        public bool $more,
        public ?Sums $sums,
        public ?string $next,
    ) {
    }
}
