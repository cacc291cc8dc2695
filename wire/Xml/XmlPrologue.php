<?php

declare(strict_types=1);

namespace Acre\Wire\Xml;

/**
 * What stands before the first element of an XML document (XML 1.0 §2.8): a declaration, comments, instructions, blanks. A document
 * type, or another encoding than UTF-8 in which one could be hidden, is nothing that anybody sends here.
 */
final class XmlPrologue
{
    private const MARK = '/^\xEF\xBB\xBF/';

    private const ENCODINGS = ['utf-8', 'utf8', 'us-ascii'];

    /**
     * @param  string  $start  the document, or as much of it as is looked at; a prologue longer than that is refused
     * @return bool whether the first element follows, in UTF-8 and without a document type before it
     */
    public static function isPlain(string $start): bool
    {
        $text = (string) preg_replace(self::MARK, '', $start);
        if (
            preg_match('/^\s*<\?xml\s[^>]*?encoding\s*=\s*["\']([^"\']*)/i', $text, $found) === 1 &&
            ! in_array(strtolower($found[1]), self::ENCODINGS, true)
        ) {
            return false;
        }
        $at = 0;
        while (preg_match('/\G(?:\s+|<\?.*?\?>|<!--.*?-->)/s', $text, $found, 0, $at) === 1) {
            $at += strlen($found[0]);
        }

        // UTF-16, UTF-32, EBCDIC and UTF-7 (XML 1.0 appendix F.1) don't begin like this.
        return preg_match('/\G<[A-Za-z_:\x80-\xFF]/', $text, $found, 0, $at) === 1;
    }

    /** Whether bytes are XML whatever their name says, in any encoding. */
    public static function isXml(string $start): bool
    {
        return preg_match(
            '/^(?:\xEF\xBB\xBF)?\s*<[A-Za-z_:!?]|^(?:\xFE\xFF|\xFF\xFE|\x00\x00\xFE\xFF)?\x00*<|^\x4C\x6F\xA7\x94|^\+ADw/',
            $start,
        ) === 1;
    }
}
