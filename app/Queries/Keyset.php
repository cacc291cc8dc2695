<?php

declare(strict_types=1);

namespace App\Queries;

use DateTimeImmutable;
use Illuminate\Pagination\Cursor;

/** The place in a list at which a page ends, as its address says it; whatever somebody made of it there. */
final class Keyset
{
    /** The framework's own, by id; null where it is none that the framework could have made. */
    public static function cursor(mixed $given): ?Cursor
    {
        $said = is_string($given) ? json_decode((string) base64_decode(strtr($given, '-_', '+/'), true), true, 4) : null;

        return is_array($said) && is_int($said['id'] ?? null) && is_bool($said['_pointsToNextItems'] ?? null)
            ? new Cursor(['id' => $said['id']], $said['_pointsToNextItems'])
            : null;
    }

    /** An instant as PostgreSQL writes it, or null where that is none. */
    public static function instant(string $text): ?string
    {
        if (preg_match('/^-?infinity$/D', $text) === 1) {
            return $text;
        }
        if (
            preg_match('/^(\d{4})-(\d\d)-(\d\d) \d\d:\d\d:\d\d(\.\d{1,6})?[+-]\d\d(:\d\d)?$/D', $text, $part) !== 1 ||
            ! checkdate((int) $part[2], (int) $part[3], (int) $part[1])
        ) {
            return null;
        }

        return date_create_immutable($text) instanceof DateTimeImmutable ? $text : null;
    }
}
