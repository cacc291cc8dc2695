<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** The one line through the drawing at today. */
final readonly class Today implements Shape
{
    public function __construct(public float $x)
    {
    }
}
