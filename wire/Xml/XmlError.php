<?php

declare(strict_types=1);

namespace Acre\Wire\Xml;

use RuntimeException;

/** What is wrong with an XML document, and where: line and column, or the path of the element. */
final class XmlError extends RuntimeException
{
    public static function tooLong(int $bytes, int $limit): self
    {
        return new self("The document has {$bytes} bytes, and {$limit} are read at most.");
    }

    public static function documentType(int $byte): self
    {
        return new self("The document declares a type at byte {$byte}; entities are not read.");
    }

    public static function notUtf8(int $byte): self
    {
        return new self("The document is not UTF-8 from byte {$byte} on.");
    }

    public static function encoding(): self
    {
        return new self('The document says that it is in another encoding than UTF-8.');
    }

    public static function notXml(int $line, int $column, string $why): self
    {
        return new self("The document is no XML: {$why} in line {$line}, column {$column}.");
    }

    public static function otherRoot(string $expected, string $given): self
    {
        return new self("The document should begin with {$expected}, and begins with {$given}.");
    }

    public static function missing(string $path): self
    {
        return new self("{$path} is missing.");
    }

    public static function wrong(string $path, string $expected, string $given): self
    {
        return new self("{$path} should be {$expected}, and is “".mb_strimwidth($given, 0, 60, '…').'”.');
    }
}
