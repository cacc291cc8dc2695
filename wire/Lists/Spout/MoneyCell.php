<?php

declare(strict_types=1);

namespace Acre\Wire\Lists\Spout;

use Acre\Wire\Lists\ListNumber;

/**
 * A number with its currency, as one text on its way through the library, which knows no such thing; no cell of a document can hold U+001F.
 */
final class MoneyCell
{
    private const BETWEEN = "\x1F";

    public static function text(int|float $number, string $currency): string
    {
        return ListNumber::text((float) $number).self::BETWEEN.$currency;
    }

    /** @return string|null `8.4 USD`; null when it is another text */
    public static function read(string $text): ?string
    {
        return preg_match('/^(-?\d+(?:\.\d+)?)'.self::BETWEEN.'([A-Z]{3})$/D', $text, $part) === 1 ? "{$part[1]} {$part[2]}" : null;
    }
}
