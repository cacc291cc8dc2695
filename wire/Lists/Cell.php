<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** A cell that a spreadsheet would take for a formula gets one apostrophe before it, and loses it when it comes back. */
final class Cell
{
    private const ACTIVE = "=+-@'\t\r";

    public static function guard(string $text): string
    {
        return $text !== '' && str_contains(self::ACTIVE, $text[0]) ? "'".$text : $text;
    }

    public static function plain(string $text): string
    {
        return strlen($text) > 1 && $text[0] === "'" && str_contains(self::ACTIVE, $text[1]) ? substr($text, 1) : $text;
    }
}
