<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** A movement under way, below the bar. */
final readonly class Arrow implements Shape
{
    public function __construct(public float $x)
    {
    }
}
