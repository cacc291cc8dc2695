<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** How the bytes of a file spell its letters. */
enum Encoding: string
{
    case Utf8 = 'UTF-8';
    case Utf16Le = 'UTF-16LE';
    case Utf16Be = 'UTF-16BE';
    /** What a line is taken for that is no UTF-8: the letters of Western Europe. */
    case Western = 'Windows-1252';
    case Central = 'Windows-1250';
    case Cyrillic = 'Windows-1251';
    case Greek = 'Windows-1253';
    case Turkish = 'Windows-1254';
    case Baltic = 'Windows-1257';
    case Dos = 'CP850';
    case Mac = 'MACINTOSH';
    case Japanese = 'CP932';
    case Korean = 'CP949';
    case Chinese = 'GB18030';

    /** @param  string  $start  the first bytes of a file, some thousands of them */
    public static function of(string $start): self
    {
        return match (true) {
            str_starts_with($start, "\xFF\xFE") => self::Utf16Le,
            str_starts_with($start, "\xFE\xFF") => self::Utf16Be,
            // Without a mark: names are written in ASCII, of which every other byte is then zero.
            self::isWideWithoutMark($start, 1) => self::Utf16Le,
            self::isWideWithoutMark($start, 0) => self::Utf16Be,
            default => self::Utf8,
        };
    }

    /** @return list<self> those that a person may say of a file; what is wide says so itself */
    public static function choices(): array
    {
        return array_values(array_filter(self::cases(), fn (self $one): bool => ! $one->isWide()));
    }

    public function isWide(): bool
    {
        return $this === self::Utf16Le || $this === self::Utf16Be;
    }

    /**
     * One line's text. A line is judged by itself, for a letter that is no UTF-8 may stand far below the beginning, and what
     * two programs wrote may stand in one file.
     */
    public function decode(string $line): string
    {
        if ($this === self::Utf8 || $this->isWide()) {
            return mb_check_encoding($line, 'UTF-8') ? $line : self::Western->decode($line);
        }
        $text = preg_match('/[^\x00-\x7f]/', $line) === 1 ? @iconv($this->value, 'UTF-8//IGNORE', $line) : $line;

        return is_string($text) ? $text : mb_scrub($line, 'UTF-8');
    }

    private static function isWideWithoutMark(string $start, int $zeros): bool
    {
        $pairs = str_split(substr($start, 0, 400), 2);
        $zero = array_filter($pairs, fn (string $pair): bool => ($pair[$zeros] ?? '') === "\0" && ($pair[1 - $zeros] ?? "\0") !== "\0");

        return count($pairs) >= 4 && count($zero) >= 0.7 * count($pairs);
    }
}
