<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** A person's deadline. */
final readonly class Flag implements Shape
{
    public function __construct(public float $x)
    {
    }
}
