<?php

declare(strict_types=1);

namespace App\Support;

/** A name as it is compared: capitals, kinds of apostrophes and blanks make no other one. The database's `folded()` says the same. */
final class Folded
{
    public static function of(string $name): string
    {
        return mb_strtolower(str_replace(['’', '‘', 'ʼ', '´', '`'], "'", (string) preg_replace('/\s+/u', ' ', trim($name))));
    }
}
