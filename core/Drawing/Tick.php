<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** A mark on the axis; without a label it is only a stroke. */
final readonly class Tick
{
    public function __construct(public float $x, public string $label, public bool $strong)
    {
    }
}
