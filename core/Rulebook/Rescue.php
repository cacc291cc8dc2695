<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

/** How a name that is past its end can still be kept. */
enum Rescue: string
{
    case Renew = 'renew';
    case Restore = 'restore';
    case Nothing = 'nothing';
}
