<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

/** Who must say yes when a name gets another registrant. */
enum Side: string
{
    /** The one who is it until then. */
    case Prior = 'prior';
    case New = 'new';
}
