<?php

declare(strict_types=1);

namespace Acre\Wire\Card;

/**
 * The lines of a card as its newer versions write them: quoted-printable values (vCard 2.1 §2.1.3) are decoded, letters of
 * another character set (`CHARSET`, §2.1.4) become UTF-8. The library reads neither where both are used together.
 */
final class OldLines
{
    /** @param  string  $card  with line feeds alone */
    public static function inUtf8(string $card): string
    {
        // Unfolded first: some fold in the middle of a letter's bytes.
        $card = (string) preg_replace('/\n[ \t]/', '', $card);
        // A quoted-printable line that ends with `=` goes on in the next.
        $joined = (string) preg_replace_callback(
            '/^[^:\n]*\bQUOTED-PRINTABLE\b[^:\n]*:(?:.*=\n)+.*$/im',
            fn (array $found): string => (string) preg_replace('/=\n/', '', $found[0]),
            $card,
        );

        return implode("\n", array_map(self::line(...), explode("\n", $joined)));
    }

    private static function line(string $line): string
    {
        if (preg_match('/^([A-Za-z0-9.-]+)((?:;[^:"]*(?:"[^"]*")?)*):(.*)$/s', $line, $found) !== 1) {
            return self::utf8($line, null);
        }
        [, $name, $parameters, $value] = $found;
        $charset = preg_match('/;CHARSET=([^;]+)/i', $parameters, $of) === 1 ? trim($of[1], '"') : null;
        $plain = (string) preg_replace('/;CHARSET=[^;]*/i', '', $parameters);
        if (preg_match('/;(?:ENCODING=)?QUOTED-PRINTABLE(?=;|$)/i', $plain) !== 1) {
            return $name.$plain.':'.self::utf8($value, $charset);
        }
        $parts = array_map(
            fn (string $part): string => addcslashes(
                str_replace(["\r\n", "\n"], "\n", self::utf8(quoted_printable_decode($part), $charset)),
                '\\,;',
            ),
            explode(';', $value),
        );

        return $name.
            preg_replace('/;(?:ENCODING=)?QUOTED-PRINTABLE(?=;|$)/i', '', $plain).
            ':'.
            str_replace("\n", '\n', implode(';', $parts));
    }

    private static function utf8(string $value, ?string $charset): string
    {
        if (mb_check_encoding($value, 'UTF-8')) {
            return $value;
        }
        $known =
            $charset !== null &&
            in_array(strtoupper($charset), array_map(strtoupper(...), mb_list_encodings()), true) &&
            mb_check_encoding($value, $charset);

        return (string) mb_convert_encoding($value, 'UTF-8', $known && strcasecmp($charset, 'UTF-8') !== 0 ? $charset : 'Windows-1252');
    }
}
