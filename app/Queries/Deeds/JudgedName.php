<?php

declare(strict_types=1);

namespace App\Queries\Deeds;

use Acre\Core\Movement\Readiness;
use App\Queries\Names\RollCase;

final readonly class JudgedName
{
    public function __construct(public RollCase $file, public Readiness $readiness)
    {
    }

    /** The account that it lies in; 0: none of ours. */
    public function giver(): int
    {
        return $this->file->account()->id ?? 0;
    }
}
