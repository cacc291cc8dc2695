<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use App\Support\Row;

/** One page of the Roll. */
final readonly class RollPage
{
    /**
     * @param  list<Row>  $rows  of `standings`
     * @param  int  $count  how many there are in all, exact up to the limit
     * @param  bool  $more  there are more than the limit
     * @param  string|null  $next  where the next page begins
     */
    public function __construct(public array $rows, public int $count, public bool $more, public ?string $next)
    {
    }
}
