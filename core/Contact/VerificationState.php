<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

/** Where the verification of a registrant's mailbox stands for a name; follows from facts, and is never typed. */
enum VerificationState: string
{
    /** Nothing that happened asks for it, as far as is known. */
    case NotAsked = 'not_asked';
    case Open = 'open';
    case Verified = 'verified';
    /** Its day has passed: by the rules the name was switched off. */
    case Lapsed = 'lapsed';
}
