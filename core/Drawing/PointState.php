<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** How a drawn name server does. */
enum PointState: string
{
    case Fine = 'fine';
    /** It answers, and not as the others do. */
    case Weak = 'weak';
    case Broken = 'broken';
}
