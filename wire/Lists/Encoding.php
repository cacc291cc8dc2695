<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** How the bytes of a file spell its letters. */
enum Encoding: string
{
    case Utf8 = 'UTF-8';
    case Utf16Le = 'UTF-16LE';
    case Utf16Be = 'UTF-16BE';
    /** What is left when it is not UTF-8: the letters of Western Europe. */
    case Latin1 = 'Windows-1252';

    /** @param  string  $start  the first bytes of a file, some thousands of them */
    public static function of(string $start): self
    {
        if (str_starts_with($start, "\xFF\xFE")) {
            return self::Utf16Le;
        }
        if (str_starts_with($start, "\xFE\xFF")) {
            return self::Utf16Be;
        }
        // A character of several bytes may have been cut in two at the end.
        for ($cut = 0; $cut < 4; $cut++) {
            if (mb_check_encoding($cut === 0 ? $start : substr($start, 0, -$cut), 'UTF-8')) {
                return self::Utf8;
            }
        }

        return self::Latin1;
    }

    public function isWide(): bool
    {
        return $this === self::Utf16Le || $this === self::Utf16Be;
    }
}
