<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

enum BarKind: string
{
    /** Time that is paid for: filled, with a dark upper edge. */
    case Paid = 'paid';
    /** Expected, not yet so: a dashed outline. */
    case Expected = 'expected';
    /** Late: a diagonal hatch. */
    case Late = 'late';
}
