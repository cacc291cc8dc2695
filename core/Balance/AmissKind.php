<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

/** How what was charged differs from what was expected. */
enum AmissKind: string
{
    /** It should have been charged, and nothing shows that it was: the name may not be renewed. */
    case Missing = 'missing';
    case Double = 'double';
    case OtherPrice = 'other_price';
    /** Charged for a name that is none of ours. */
    case NotOurs = 'not_ours';
}
