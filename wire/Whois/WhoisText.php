<?php

declare(strict_types=1);

namespace Acre\Wire\Whois;

use Acre\Wire\Text\PlainText;

/**
 * The text that a directory of the old kind sends (RFC 3912), which has no form: most write `Key: value`, some `[Key] value`, some a
 * key and its values below it. Whatever it holds is shown as text and never as markup.
 */
final readonly class WhoisText
{
    /** Bytes that are read. */
    public const LIMIT = 200_000;

    /** Characters of a line from which a value is read. */
    private const LINE = 1_000;

    private const TAB = '        ';

    /** @param  array<string, list<string>>  $values  by key in small letters */
    private function __construct(public string $text, private array $values)
    {
    }

    /**
     * Neither the encoding is said anywhere (RFC 3912 §5): what is no UTF-8 is taken for Latin-1.
     *
     * @throws WhoisError when it is longer than is read, or empty
     */
    public static function read(string $bytes): self
    {
        if (strlen($bytes) > self::LIMIT) {
            throw WhoisError::tooLong(strlen($bytes), self::LIMIT);
        }
        // Escapes to another set of letters (RFC 1468) are seven-bit, and so look like UTF-8.
        $bytes = str_contains($bytes, "\e$") ? mb_convert_encoding($bytes, 'UTF-8', 'ISO-2022-JP') : $bytes;
        $text = mb_check_encoding($bytes, 'UTF-8') ? $bytes : mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252');
        // What is indented is told by its blanks; they must not become one.
        $text = PlainText::lines(str_replace("\t", self::TAB, $text));
        if (trim($text) === '') {
            throw WhoisError::empty();
        }

        return new self($text, self::pairs(explode("\n", $text)));
    }

    /** The first value of the first of these keys that has one. */
    public function value(string ...$keys): ?string
    {
        foreach ($keys as $key) {
            if (isset($this->values[$key])) {
                return $this->values[$key][0];
            }
        }

        return null;
    }

    /** @return list<string> all values of the first of these keys that has any */
    public function values(string ...$keys): array
    {
        foreach ($keys as $key) {
            if (isset($this->values[$key])) {
                return $this->values[$key];
            }
        }

        return [];
    }

    /** Whether it says that it has no such name; that doesn't prove that the name is free. */
    public function saysNothing(): bool
    {
        return preg_match(
            '/^[%#*\s]*(?:no (?:match|entries found|data found|object found|information available about domain)|not found|domain (?:name '
                .')?not found|nothing found)\b|^[^:%#\n]{0,80}\b(?:no match for|was not found|has not been registered|is '
                .'(?:available|free)(?: for registration)?[.!\s]*$)|^(?:status|domain status):\s*(?:free|available)\s*$/im',
            $this->text,
        ) === 1;
    }

    /**
     * @param  list<string>  $lines
     * @return array<string, list<string>>
     */
    private static function pairs(array $lines): array
    {
        $values = [];
        $above = null;
        $depth = 0;
        foreach ($lines as $line) {
            $indent = strspn($line, ' ');
            $line = PlainText::line(trim($line), self::LINE);
            if ($line === '' || $line[0] === '%' || $line[0] === '#') {
                $above = $line === '' ? null : $above;

                continue;
            }
            if (preg_match('/^(?:[a-z]\.\s+)?(\[[^\]]{1,50}\](?:\s*\/\s*\[[^\]]{1,50}\])?)(?:\s+(.*))?$/u', $line, $found) === 1) {
                foreach ((array) preg_split('/[\[\]\/\s]*[\[\]][\[\]\/\s]*/', $found[1], flags: PREG_SPLIT_NO_EMPTY) as $key) {
                    if (($found[2] ?? '') !== '') {
                        $values[mb_strtolower(trim((string) $key))][] = trim($found[2]);
                    }
                }
                $above = null;
            } elseif (preg_match('/^([\p{L}][\p{L}\d \/().\'-]{0,50}?)\s*\.*:(?:\s+(.*))?$/u', $line, $found) === 1) {
                $key = mb_strtolower($found[1]);
                $value = trim($found[2] ?? '');
                [$above, $depth] = [$key, $value === '' ? $indent - 1 : $indent];
                if ($value !== '') {
                    $values[$key][] = $value;
                }
            } elseif ($above !== null && $indent > $depth) {
                $values[$above][] = $line;
            }
        }

        return $values;
    }
}
