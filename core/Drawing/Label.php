<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** A text that wants a place beside something at `$x`. */
final readonly class Label
{
    /**
     * @param  float  $x  pixels: the thing that it tells of
     * @param  string  $style  the class of its look: `plain`, `strong`, `hold`, `late`, `flag`, `today`
     * @param  float  $reach  pixels that the thing itself takes to the right of `$x`
     */
    public function __construct(public string $text, public float $x, public string $style = 'plain', public float $reach = 0)
    {
    }

    public function isStrong(): bool
    {
        return $this->style !== 'plain';
    }
}
