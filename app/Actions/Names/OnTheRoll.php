<?php

declare(strict_types=1);

namespace App\Actions\Names;

use App\Models\Name;
use RuntimeException;

/** A name is held or watched already. */
final class OnTheRoll extends RuntimeException
{
    public function __construct(public readonly Name $name)
    {
        parent::__construct("{$name->ascii} is on the Roll already.");
    }
}
