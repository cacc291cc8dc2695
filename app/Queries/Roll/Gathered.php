<?php

declare(strict_types=1);

namespace App\Queries\Roll;

use Acre\Core\Time\Instant;

/** A sentence of the Roll whose names were put into the sheaf, and how it stands today. */
final readonly class Gathered
{
    /**
     * @param  int  $given  names in the sheaf that came with it
     * @param  int  $leftOut  of its names, taken out since
     * @param  int  $come  that it shows today and the sheaf hasn't
     * @param  int  $gone  that it gave and shows no longer
     */
    public function __construct(
        public int $id,
        public RollFilter $sentence,
        public Instant $on,
        public int $given,
        public int $leftOut,
        public int $come,
        public int $gone,
    ) {
    }

    public function hasChanged(): bool
    {
        return $this->come > 0 || $this->gone > 0;
    }
}
