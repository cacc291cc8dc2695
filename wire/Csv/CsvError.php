<?php

declare(strict_types=1);

namespace Acre\Wire\Csv;

use RuntimeException;

/** Why a file can't be read as a list; the message is for whoever chose the file. */
final class CsvError extends RuntimeException
{
    public static function empty(): self
    {
        return new self('The file is empty.');
    }

    public static function noRows(): self
    {
        return new self('The file has a first line but nothing below it: the first line should be headings, and a name on each line after.');
    }

    public static function notText(string $looksLike): self
    {
        return new self("The file is not text but {$looksLike}. Save the list as CSV in the program that made it, and choose that file.");
    }

    /** @param  int  $limit  bytes */
    public static function longLine(int $line, int $limit): self
    {
        return new self("Line {$line} is longer than {$limit} bytes; a list of names has no such line. A quotation mark that is opened and never closed does this.");
    }

    public static function tooManyColumns(int $line, int $limit): self
    {
        return new self("Line {$line} has more than {$limit} columns.");
    }

    public static function brokenText(int $line): self
    {
        return new self("Near line {$line} the file is broken: its characters can't be read as the encoding that it begins with.");
    }

    public static function unreadable(string $path): self
    {
        return new self("The file can't be opened: {$path}.");
    }
}
