<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

/** How a name of a suffix goes to another registrar. */
enum MovesBy: string
{
    /** With the auth code (EPP authInfo). */
    case Code = 'code';
    /** The losing side sets the gaining registrar's tag. */
    case Tag = 'tag';
    /** A mail is answered, and nothing else. */
    case Mail = 'mail';
}
