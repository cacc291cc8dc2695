<?php

declare(strict_types=1);

namespace Standin\Web;

/** What a web server shows to prove which host it is. */
enum Showing: string
{
    /** Its certificate and the one that signed it. */
    case Whole = 'whole';
    /** Its own certificate alone. */
    case Incomplete = 'incomplete';
    case SelfSigned = 'self-signed';
    /** Signed by somebody whom nobody trusts. */
    case Stranger = 'stranger';
    /** It doesn't speak TLS. */
    case Nothing = 'nothing';
}
