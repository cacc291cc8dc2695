<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use App\Support\Row;

/** One page of what people said of things in Rounds. */
final readonly class DealtWithPage
{
    /**
     * @param  list<Row>  $rows  of `rounds_marks`, with `by`: who said so
     * @param  list<string>  $again  keys of what is due all the same
     * @param  string|null  $next  where the next page begins
     */
    public function __construct(public array $rows, public array $again, public ?string $next)
    {
    }
}
