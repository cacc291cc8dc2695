<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

/** What asks for a verification (ICANN RAA 2013, accuracy specification 1). */
enum VerificationCause: string
{
    case Registered = 'registered';
    case Moved = 'moved';
    case Changed = 'changed';
}
