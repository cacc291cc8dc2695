<?php

declare(strict_types=1);

namespace Acre\Core\Finding;

/** What a finding does to the deed that it is about. */
enum Effect: string
{
    case Stops = 'stops';
    /** Time alone cures it. */
    case Delays = 'delays';
    case NotKnown = 'not_known';
    case Worth = 'worth';
}
