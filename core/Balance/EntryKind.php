<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

/** What happens to a balance. */
enum EntryKind: string
{
    case Charged = 'charged';
    /** The money was not there; it may be tried again. */
    case Refused = 'refused';
    case TopUp = 'top_up';
}
