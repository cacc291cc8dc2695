<?php

declare(strict_types=1);

namespace App\Actions\Imports;

/** A chunk of a list has written names that the house did not hold before; within its transaction. */
final readonly class ImportedNames
{
    /** @param  list<int>  $nameIds */
    public function __construct(public array $nameIds)
    {
    }
}
