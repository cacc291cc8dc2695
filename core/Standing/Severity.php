<?php

declare(strict_types=1);

namespace Acre\Core\Standing;

/** How loudly a name's next date is to be told. */
enum Severity: int
{
    case Calm = 0;
    /** Somebody must decide, and there is time. */
    case Soon = 1;
    /** A movement waits for somebody. */
    case Moving = 2;
    case Grave = 3;
}
