<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use RuntimeException;

/** Why a file can't be read as a list; the message is for whoever chose the file. */
final class ListError extends RuntimeException
{
    public static function empty(): self
    {
        return new self('The file is empty.');
    }

    public static function noRows(): self
    {
        return new self('The file has one line of headings and nothing below it: put a name on each line after it.');
    }

    public static function notText(string $looksLike): self
    {
        return new self("The file is not text but {$looksLike}. Save the list as CSV in the program that made it, and choose that file.");
    }

    /** @param  int  $object  its number in the file */
    public static function noJson(int $object, string $why): self
    {
        return new self("Object {$object} of the file is no JSON: {$why}.");
    }

    /** @param  list<string>  $sheets */
    public static function noSuchSheet(string $sheet, array $sheets): self
    {
        return new self("The spreadsheet has no sheet “{$sheet}” with rows. It has: ".implode(', ', $sheets).'.');
    }

    /** @param  int  $limit  bytes */
    public static function longLine(int $line, int $limit): self
    {
        return new self(
            "Line {$line} is longer than "
                ."{$limit} bytes; a list of names has no such line. A quotation mark that is opened and never closed does this.",
        );
    }

    public static function tooManyColumns(int $line, int $limit): self
    {
        return new self("Line {$line} has more than {$limit} columns.");
    }

    public static function brokenText(int $line): self
    {
        return new self("Near line {$line} the file is broken: its characters can't be read as the encoding that it begins with.");
    }

    public static function openQuote(int $line): self
    {
        return new self(
            "The quotation mark that a value of line {$line} begins with has no fellow. Put one at the value's end, or take this one away.",
        );
    }

    public static function unreadable(string $path): self
    {
        return new self("The file can't be opened: {$path}.");
    }

    public static function bomb(): self
    {
        return new self(
            'The archive unpacks to far more than a list of names can be; it was left closed. Save only the list, as CSV or in a new '
                .'spreadsheet.',
        );
    }

    public static function documentType(): self
    {
        return new self(
            'The spreadsheet has a document type in it, which no program writes into a list and which can do harm; it was left closed. '
                .'Save the list as CSV.',
        );
    }

    /** The reading was stopped: it took more memory or time than any list does. */
    public static function tooHeavy(): self
    {
        return new self(
            'Reading the file took more memory or time than any list of names does, and was stopped. Save only the list, as CSV.',
        );
    }

    /** What a child process said; the message is one of the above. */
    public static function told(string $message): self
    {
        return new self($message);
    }
}
