<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** The end of the paid term: a thick post; thin where another date is only marked. */
final readonly class Post implements Shape
{
    public function __construct(public float $x, public bool $thin = false)
    {
    }
}
