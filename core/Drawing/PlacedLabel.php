<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** A label with its place. */
final readonly class PlacedLabel
{
    /**
     * @param  float  $left  pixels
     * @param  int  $lane  0 is nearest to the bar
     */
    public function __construct(public Label $label, public float $left, public float $width, public int $lane)
    {
    }
}
