<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** A charge on that date. */
final readonly class Coin implements Shape
{
    public function __construct(public float $x, public string $sign)
    {
    }
}
