<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Str;

/** Enough of a value to know one's own, and too little to learn another's. */
final readonly class Masked
{
    private const DOTS = '•••';

    public static function value(string $value): string
    {
        $length = mb_strlen($value);

        return $length < 4 ? self::DOTS : mb_substr($value, 0, 1).self::DOTS.mb_substr($value, -1);
    }

    public static function mailbox(string $mailbox): string
    {
        return mb_substr($mailbox, 0, 1).self::DOTS.'@'.Str::afterLast($mailbox, '@');
    }
}
