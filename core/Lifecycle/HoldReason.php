<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

/** Why a name may not go to another registrar for a time. */
enum HoldReason: string
{
    case Registered = 'registered';
    case Moved = 'moved';
}
