<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

/** A frame as it may be kept: codes and passwords taken out (RFC 5730 §2.9.1.1, RFC 5731 §2.6). */
final class Redacted
{
    /** Whatever stands between the marks goes, a CDATA section and comments too. */
    public static function frame(string $xml): string
    {
        return (string) preg_replace('~(<(?:[\w-]+:)?(pw|newPW)\b(?:[^>]*[^>/])?>).*?(</(?:[\w-]+:)?\2\s*>)~s', '$1[kept apart]$3', $xml);
    }
}
