<?php

declare(strict_types=1);

namespace App\Actions\Names;

use RuntimeException;

/** What a registry gave is changed by hand only with a reason. */
final class ReasonNeeded extends RuntimeException
{
    /** @param  list<string>  $fields  columns of the registration */
    public function __construct(public readonly array $fields)
    {
        parent::__construct('A reason is needed for: '.implode(', ', $fields));
    }
}
