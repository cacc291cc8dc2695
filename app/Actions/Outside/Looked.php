<?php

declare(strict_types=1);

namespace App\Actions\Outside;

/** How far a look at some names came. */
final readonly class Looked
{
    /**
     * @param  list<int>  $left  names that were not begun
     * @param  bool  $hadTurn  whether any of the others had its turn; false: their hosts want to be left alone for now
     */
    public function __construct(public array $left, public bool $hadTurn)
    {
    }
}
