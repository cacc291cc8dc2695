<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** May take until: dotted. */
final readonly class Tail implements Shape
{
    public function __construct(public float $x, public float $width)
    {
    }
}
