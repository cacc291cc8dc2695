<?php

declare(strict_types=1);

namespace Tests\Reference;

/** The published texts that `./acre test reference --all` keeps under var/. Tests that read them are of the group `published`. */
final class Published
{
    public static function isThere(): bool
    {
        return is_dir(dirname(__DIR__, 2).'/var/published/RFC/links');
    }

    public static function rfc(int $number): string
    {
        $file = dirname(__DIR__, 2)."/var/published/RFC/links/rfc{$number}.txt.gz";

        return (string) file_get_contents('compress.zlib://'.$file);
    }

    /** A text without the head and foot of its pages. */
    public static function whole(int $number): string
    {
        return (string) preg_replace('/\n*^\S.*\[Page \d+\]\n\f?\n?^RFC \d+ .*\d{4}\n+/m', "\n", self::rfc($number));
    }

    /** @return list<string> the frames of EPP that a text shows whole: what a client sends (`C`), or a server (`S`) */
    public static function frames(int $number, string $side): array
    {
        preg_match_all("/^ *{$side}: ?<\\?xml.*(?:\n+ *{$side}:.*)*/m", self::whole($number), $found);
        $frames = array_map(fn (string $frame): string => (string) preg_replace("/^ *{$side}: ?/m", '', $frame), $found[0]);

        return array_values(array_filter($frames, fn (string $frame): bool => str_contains($frame, '</epp>')));
    }

    /** @return list<array<array-key, mixed>> the objects that stand in a text as examples, those that are whole */
    public static function json(int $number): array
    {
        preg_match_all('/^( *)\{\n.*?^\1\}/ms', self::rfc($number), $found);

        return array_values(array_filter(array_map(fn (string $text): mixed => json_decode($text, true), $found[0]), is_array(...)));
    }
}
