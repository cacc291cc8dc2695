<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

enum DifferenceKind: string
{
    case Gone = 'gone';
    case New = 'new';
    case Other = 'other';
    /** It says the same, and may be kept for another time. */
    case OtherTime = 'other_time';
}
