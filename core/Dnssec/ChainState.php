<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

/** Whether what a zone says can be proved from its parent (RFC 4035 §5). */
enum ChainState: string
{
    /** Neither keys nor DS. */
    case Unsigned = 'unsigned';
    /** Proved, from DS to records. */
    case Whole = 'whole';
    /** Signed, and its parent doesn't know: nobody validates. */
    case NoDelegate = 'no_delegate';
    /** The parent has DS of kinds only that nobody can compute: counts as unsigned (RFC 4035 §5.2). */
    case Unreadable = 'unreadable';
    /** The parent has a DS, and the proof breaks: nothing is answered by resolvers that validate. */
    case Dark = 'dark';
    case NotKnown = 'not_known';
}
