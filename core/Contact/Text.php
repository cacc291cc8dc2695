<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

/** One line as a registry takes it (XML Schema's normalizedString). */
final class Text
{
    /** Blanks of every kind become one each; null for nothing. */
    public static function line(?string $given): ?string
    {
        $line = trim((string) preg_replace('/[\s\p{Z}\p{Cc}]+/u', ' ', (string) $given));

        return $line === '' ? null : $line;
    }
}
