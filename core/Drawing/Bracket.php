<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** A hold, below the bar: from, to. */
final readonly class Bracket implements Shape
{
    public function __construct(public float $x, public float $width)
    {
    }
}
