<?php

declare(strict_types=1);

namespace App\Queries\Movements;

use Acre\Core\Movement\Track;
use App\Models\Movement;

/** A movement with its steps in time. */
final readonly class MovementRead
{
    public function __construct(public Movement $movement, public Track $track)
    {
    }
}
