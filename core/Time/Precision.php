<?php

declare(strict_types=1);

namespace Acre\Core\Time;

/** How exactly a fact of time is known. */
enum Precision
{
    /** Only the day was said; it is judged at its first instant in UTC. */
    case Day;
    /** The second is known. */
    case Second;

    public function coarser(self $other): self
    {
        return $this === self::Day || $other === self::Day ? self::Day : self::Second;
    }
}
