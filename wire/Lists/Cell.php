<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/**
 * A cell that a spreadsheet would take for a formula gets one apostrophe before it, and loses it when it comes back. So does one of
 * which a part would be a formula where another sign than ours separates cells (OWASP, “CSV Injection”).
 */
final class Cell
{
    /** The signs in full width count as the narrow ones in some locales. */
    private const ACTIVE = '/^[=+\-@\'\t\r＝＋－＠]|[;,|\t]\s*"?[=+\-@＝＋－＠]/u';

    /** Below nothing, and no formula: a program adds it up. */
    private const NUMBER = '/^-\d{1,15}(\.\d{1,6})?$/D';

    public static function guard(string $text): string
    {
        return preg_match(self::ACTIVE, $text) !== 0 && preg_match(self::NUMBER, $text) !== 1 ? "'".$text : $text;
    }

    public static function plain(string $text): string
    {
        return strlen($text) > 1 && $text[0] === "'" && preg_match(self::ACTIVE, substr($text, 1)) !== 0 ? substr($text, 1) : $text;
    }

    /**
     * A line of a file, every cell in quotes: whatever separates cells for whoever reads it, a cell stays one (RFC 4180 §2).
     *
     * @param  list<string>  $cells  guarded where they come from others
     */
    public static function line(array $cells): string
    {
        return implode(',', array_map(fn (string $cell): string => '"'.str_replace('"', '""', $cell).'"', $cells))."\r\n";
    }
}
