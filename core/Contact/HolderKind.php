<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

/** What a holder is; rules of disclosure hang on it. */
enum HolderKind: string
{
    case Organisation = 'organisation';
    case Person = 'person';
    /** Nobody has said. */
    case Unknown = 'unknown';

    /** Words by which organisations call themselves, in some languages: common practice, and no proof. */
    private const MARKS = '/\b(ltd|limited|llc|llp|plc|inc|incorporated|corp|corporation|company|gmbh|ug|ag|kg|ohg|gbr|e\.? '
        .'?v|sarl|sas|s\.?a|bv|nv|vof|aps|ab|oy|spa|srl|pty|trust|foundation|stiftung|stichting|fondation|association|verein|society|'
        .'co-?operative|council|museum|school|college|university|church|club|committee|union|guild|institute|charity|partners|holdings?|'
        .'group|services|farm|theatre|choir|agency|studio|bank)\b/iu';

    /** Guessed from how it is called; only ever an organisation or not known. */
    public static function guess(string $called): self
    {
        return preg_match(self::MARKS, $called) === 1 || str_contains($called, ' & ') ? self::Organisation : self::Unknown;
    }
}
