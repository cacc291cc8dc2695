<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

/** What a suffix does with one field of the holder in the public record. */
enum Publication: string
{
    /** Always shown, whatever is wished. */
    case Shown = 'shown';
    /** Shown unless the holder wishes otherwise (RFC 5733 §2.9). */
    case Choice = 'choice';
    /** Redacted unless the holder agrees to its being shown. */
    case Consent = 'consent';
    /** Always redacted, or not in the record at all. */
    case Redacted = 'redacted';
}
