<?php

declare(strict_types=1);

namespace Acre\Wire\Json;

/** Finds where a text stops being JSON (RFC 8259); PHP's own reader says that it does, and not where. */
final class JsonPlace
{
    private const STRING = '/"(?:[^"\\\\\x00-\x1f]++|\\\\(?:["\\\\\/bfnrt]|u[0-9a-fA-F]{4}))*+"/A';

    private const SCALAR = '/(?:-?(?:0|[1-9]\d*+)(?:\.\d++)?(?:[eE][+-]?\d++)?|true|false|null)(?![\w.+-])/A';

    private const UTF8 = '/(?:[\x00-\x7f]++|[\xc2-\xdf][\x80-\xbf]|\xe0[\xa0-\xbf][\x80-\xbf]|[\xe1-\xec\xee\xef][\x80-\xbf]{2}|'
        .'\xed[\x80-\x9f][\x80-\xbf]|\xf0[\x90-\xbf][\x80-\xbf]{2}|[\xf1-\xf3][\x80-\xbf]{3}|\xf4[\x80-\x8f][\x80-\xbf]{2})*+/A';

    /**
     * @param  int  $depth  of nesting that is read
     * @return int the byte, counted from 0, of the first token that can't stand there; the text's length when more should follow
     */
    public static function ofError(string $text, int $depth): int
    {
        $place = self::ofToken($text, $depth);
        preg_match(self::UTF8, $text, $whole);

        return min($place, strlen($whole[0] ?? ''));
    }

    private static function ofToken(string $text, int $depth): int
    {
        // What may come next: a value, a value or the list's end, a key, a key or the object's end, a colon, a comma or an end.
        $next = 'value';
        $open = [];
        for ($at = 0; ;) {
            $at += strspn($text, " \t\r\n", $at);
            $sign = $text[$at] ?? '';
            if (($next === 'after' && $open === []) || $sign === '') {
                return $at;
            }
            $width = 1;
            if ($next === 'colon' && $sign === ':') {
                $next = 'value';
            } elseif ($next === 'after' && $sign === ',') {
                $next = end($open) === '{' ? 'key' : 'value';
            } elseif (
                (($next === 'after' || $next === 'key or end') && $sign === '}' && end($open) === '{') ||
                (($next === 'after' || $next === 'value or end') && $sign === ']' && end($open) === '[')
            ) {
                array_pop($open);
                $next = 'after';
            } elseif (str_starts_with($next, 'key') && preg_match(self::STRING, $text, $found, 0, $at) === 1) {
                $width = strlen($found[0]);
                $next = 'colon';
            } elseif (str_starts_with($next, 'value') && ($sign === '{' || $sign === '[')) {
                $open[] = $sign;
                $next = $sign === '{' ? 'key or end' : 'value or end';
                if (count($open) >= $depth) {
                    return $at;
                }
            } elseif (
                str_starts_with($next, 'value') &&
                (preg_match(self::STRING, $text, $found, 0, $at) === 1 || preg_match(self::SCALAR, $text, $found, 0, $at) === 1)
            ) {
                $width = strlen($found[0]);
                $next = 'after';
            } else {
                return $at;
            }
            $at += $width;
        }
    }
}
