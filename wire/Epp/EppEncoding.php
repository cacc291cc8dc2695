<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

/** RFC 5730 §5: whoever reads EPP reads UTF-16 as well as UTF-8. XML 1.0 §4.3.3 has UTF-16 begin with its byte order mark. */
final class EppEncoding
{
    private const MARKS = ["\xFE\xFF" => 'UTF-16BE', "\xFF\xFE" => 'UTF-16LE'];

    /** The document in UTF-8. What is no whole UTF-16, or says that it is something else, stays as it is, for the reader to refuse. */
    public static function toUtf8(string $document): string
    {
        $encoding = self::MARKS[substr($document, 0, 2)] ?? null;
        if ($encoding === null) {
            return $document;
        }
        $units = substr($document, 2);
        if (strlen($units) % 2 !== 0 || ! mb_check_encoding($units, $encoding)) {
            return $document;
        }
        $text = mb_convert_encoding($units, 'UTF-8', $encoding);
        if (
            preg_match('/^\s*<\?xml\s[^>]*?encoding\s*=\s*["\']([^"\']*)/', $text, $said) === 1 &&
            preg_match('/^utf-16(?:be|le)?$/i', $said[1]) !== 1
        ) {
            return $document;
        }

        return (string) preg_replace('/^(\s*<\?xml\s[^>]*?)\s+encoding\s*=\s*["\'][^"\']*["\']/', '$1', $text);
    }
}
