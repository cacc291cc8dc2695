<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

/** Why a name may not go to another registrar for a time. */
enum HoldReason: string
{
    case Registered = 'registered';
    case Moved = 'moved';
    /** It has no status of its own, and is not to be seen from outside. */
    case RegistrantChanged = 'registrant_changed';
}
