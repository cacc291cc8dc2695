<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Time\Instant;

/** What ends on a day, or must be done by then, of one name or more. */
final readonly class Deadline
{
    /**
     * @param  'decide'|'verify'|'last'|'held'  $kind
     * @param  int  $names  of how many
     * @param  list<string>  $first  the first of them, A-labels
     */
    public function __construct(public Instant $at, public string $kind, public int $names, public array $first)
    {
    }
}
