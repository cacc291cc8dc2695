<?php

declare(strict_types=1);

namespace Acre\Core\Record;

/** How sure a drift is. */
enum Certainty: string
{
    /** The registry's own word, or both directories'. */
    case Sure = 'sure';
    /** The registry says so, the registrar's own directory says as we do. */
    case Split = 'split';
    /** It was seen before our own fact was written, or long ago. */
    case Stale = 'stale';
    /** Seen once, and so oddly that a second look has to show it too. */
    case Once = 'once';
    /** Only the registrar's own directory says so. */
    case OneSide = 'one_side';
}
