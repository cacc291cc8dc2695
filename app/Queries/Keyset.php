<?php

declare(strict_types=1);

namespace App\Queries;

use DateTimeImmutable;

/** The place in a list at which a page ends, as its address says it; whatever somebody made of it there. */
final class Keyset
{
    /** An instant as PostgreSQL writes it, or null where that is none. */
    public static function instant(string $text): ?string
    {
        if (preg_match('/^-?infinity$/D', $text) === 1) {
            return $text;
        }
        if (preg_match('/^(\d{4})-(\d\d)-(\d\d) \d\d:\d\d:\d\d(\.\d{1,6})?[+-]\d\d(:\d\d)?$/D', $text, $part) !== 1 || ! checkdate((int) $part[2], (int) $part[3], (int) $part[1])) {
            return null;
        }

        return date_create_immutable($text) instanceof DateTimeImmutable ? $text : null;
    }
}
