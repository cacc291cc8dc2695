<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** What a spreadsheet's number format says of a number: that it is a date, or which currency it is in (ECMA-376 part 1, §18.8.31). */
final class NumberFormat
{
    /** Countries whose currency's sign others use too, by the language number of `[$$-C09]` (MS-LCID; from memory). */
    private const LOCALES = [
        '409' => 'USD',
        '1009' => 'CAD',
        'C0C' => 'CAD',
        'C09' => 'AUD',
        '1409' => 'NZD',
        '4809' => 'SGD',
        '1004' => 'SGD',
        'C04' => 'HKD',
        '3C09' => 'HKD',
        '80A' => 'MXN',
        '41D' => 'SEK',
        '81D' => 'SEK',
        '414' => 'NOK',
        '814' => 'NOK',
        '406' => 'DKK',
        '40F' => 'ISK',
        '411' => 'JPY',
        '804' => 'CNY',
    ];

    /** Words in quotation marks, in brackets or behind a backslash are shown as they are: `#,##0.00 "USD"` is no date. */
    public static function isDate(string $code): bool
    {
        $signs = (string) preg_replace(['/"[^"]*"/', '/\\\\./u', '/[_*]./u', '/\[(?!(?:h+|m+|s+)\])[^\]]*\]/i'], '', self::first($code));

        return preg_match('/general|standard/i', $signs) !== 1 &&
            preg_match('/[ymdhs]|e(?![+-])/i', (string) preg_replace('/a\/p|am\/pm/i', '', $signs)) === 1;
    }

    /** @return string|null ISO 4217; null: it shows none, or one that several countries could mean */
    public static function currency(string $code): ?string
    {
        $code = self::first($code);
        if (preg_match('/\[\$(?<sign>[^\]-]+)(?:-(?<locale>[0-9a-f]+))?/i', $code, $part) === 1) {
            $locale = self::LOCALES[ltrim(strtoupper($part['locale'] ?? ''), '0')] ?? null;

            return Amount::currency(trim($part['sign']), $locale);
        }
        $shown = implode(' ', [
            ...self::all('/"([^"]*)"/', $code),
            ...self::all('/((?:\\\\?\p{Sc}|\\\\[A-Za-z])+)/u', (string) preg_replace('/"[^"]*"/', '', $code)),
        ]);

        return Amount::currency(trim(str_replace('\\', '', $shown)));
    }

    /** What holds for numbers above nought stands before the first semicolon. */
    private static function first(string $code): string
    {
        return preg_match('/^(?:"[^"]*"|\\\\.|[^;"])*/su', $code, $found) === 1 ? $found[0] : $code;
    }

    /** @return list<string> */
    private static function all(string $pattern, string $text): array
    {
        return preg_match_all($pattern, $text, $found) > 0 ? $found[1] : [];
    }
}
