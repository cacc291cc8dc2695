<?php

declare(strict_types=1);

namespace App\Models;

/** What can be proven. */
enum ProofKind: string
{
    case Docket = 'docket';
    case Handing = 'handing';
    case Erasure = 'erasure';

    /** The column of the chain that points at it. */
    public function column(): string
    {
        return "{$this->value}_id";
    }
}
