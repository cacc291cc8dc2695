<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use Acre\Wire\Text\PlainText;

/** Opens a list by what the file is, whatever it is called. */
final class Lists
{
    /** The longest line, and the longest cell: a sensible one a thousand times over. Bytes. */
    public const LINE_LIMIT = 262_144;

    public const COLUMN_LIMIT = 200;

    /** @throws ListError when it is no list */
    public static function open(string $path, ListOptions $options = new ListOptions): ListFile
    {
        $start = is_file($path) && is_readable($path) ? file_get_contents($path, false, null, 0, 1_024) : false;
        if ($start === false) {
            throw ListError::unreadable(basename($path));
        }
        $source = match (true) {
            str_starts_with($start, "PK\x03\x04") => SheetRows::open($path, $options->sheet),
            preg_match('/^(?:\xEF\xBB\xBF)?\s*\[\s*(?:\{|\]|$)/', $start) === 1 => JsonRows::open($path),
            default => CsvRows::open($path, $options->encoding),
        };

        return ListFile::of($source, $options->hasHeadings);
    }

    /** A cell's text in one line, blanks around removed. */
    public static function clean(string $cell): string
    {
        return (string) preg_replace('/^\s+|\s+$/u', '', PlainText::line($cell));
    }
}
