<?php

declare(strict_types=1);

namespace Acre\Core\Disclosure;

/** What the public record shows of a registrant. */
enum Disclosure: string
{
    case Shown = 'shown';
    /** By our wish. */
    case Withheld = 'withheld';
    /** By a privacy service's data. */
    case Replaced = 'replaced';
    /** By the registry's rule. */
    case Redacted = 'redacted';
    case NotKnown = 'unknown';
}
