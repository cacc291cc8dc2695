<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

/** Whether a deed may start. */
enum Verdict: string
{
    case Clear = 'clear';
    /** Only time stands in the way. */
    case ClearFrom = 'clear_from';
    case NotKnown = 'not_known';
    case Stopped = 'stopped';
}
