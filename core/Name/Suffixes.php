<?php

declare(strict_types=1);

namespace Acre\Core\Name;

/**
 * Which part of a name a registry sells under, by the public suffix list's ICANN section as dated data in `Data/`.
 *
 * Source: the list's published algorithm (https://publicsuffix.org/list/), its private section left out.
 */
final class Suffixes
{
    private const ITSELF = 1;

    private const BELOW = 2;

    private const EXCEPT = 4;

    /** @var array<string, int>|null */
    private static ?array $rules = null;

    /**
     * How many labels, counted from the right, are the public suffix. A suffix that the list lacks counts as one label.
     *
     * @param  non-empty-list<string>  $labels  A-labels, leftmost first
     */
    public static function length(array $labels): int
    {
        $rules = self::rules();
        $longest = 1;
        $tail = '';
        for ($count = 1, $all = count($labels); $count <= $all; $count++) {
            $label = $labels[$all - $count];
            $parent = $tail;
            $tail = $tail === '' ? $label : $label.'.'.$tail;
            $flags = $rules[$tail] ?? 0;
            if (($flags & self::EXCEPT) !== 0) {
                return $count - 1;
            }
            if (($flags & self::ITSELF) !== 0 || (($rules[$parent] ?? 0) & self::BELOW) !== 0) {
                $longest = $count;
            }
        }

        return $longest;
    }

    /** Whether the list knows the suffix (an A-label form such as `co.uk`). */
    public static function knows(string $suffix): bool
    {
        return ((self::rules()[$suffix] ?? 0) & (self::ITSELF | self::BELOW)) !== 0;
    }

    /** @return array<string, int> */
    private static function read(): array
    {
        $rules = [];
        $text = (string) file_get_contents(__DIR__.'/Data/icann-suffixes.dat');
        // The first line says what it is; the rules follow, with blanks between.
        for ($rule = strtok(substr($text, (int) strpos($text, "\n")), " \n"); $rule !== false; $rule = strtok(" \n")) {
            [$suffix, $flag] = match ($rule[0]) {
                '!' => [substr($rule, 1), self::EXCEPT],
                '*' => [substr($rule, 2), self::BELOW],
                default => [$rule, self::ITSELF],
            };
            $rules[$suffix] = ($rules[$suffix] ?? 0) | $flag;
        }

        return $rules;
    }

    /** @return array<string, int> */
    private static function rules(): array
    {
        return self::$rules ??= self::read();
    }
}
