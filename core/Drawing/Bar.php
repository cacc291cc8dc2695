<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** A stretch of a name's life. */
final readonly class Bar implements Shape
{
    public function __construct(public BarKind $kind, public float $x, public float $width)
    {
    }
}
