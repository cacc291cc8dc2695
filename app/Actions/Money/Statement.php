<?php

declare(strict_types=1);

namespace App\Actions\Money;

/** A registrar's statement that was read. */
final readonly class Statement
{
    /**
     * @param  list<StatementLine>  $lines
     * @param  array<int, string>  $refused  why, by the line
     */
    public function __construct(public array $lines, public array $refused)
    {
    }
}
