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
    public static function open(string $path): ListFile
    {
        $start = is_file($path) && is_readable($path) ? file_get_contents($path, false, null, 0, 4) : false;
        if ($start === false) {
            throw ListError::unreadable(basename($path));
        }

        return $start === "PK\x03\x04" ? SheetFile::open($path) : CsvFile::open($path);
    }

    /** A cell's text in one line, blanks around removed. */
    public static function clean(string $cell): string
    {
        return (string) preg_replace('/^\s+|\s+$/u', '', PlainText::line($cell));
    }
}
