<?php

declare(strict_types=1);

namespace App\Actions\Words;

/** Words that people give to names, as they type or list them. */
final class Labels
{
    /** As many letters as a word may have. */
    public const LENGTH = 60;

    /**
     * @param  string  $text  with commas, semicolons or line breaks between
     * @return list<string> each once, whatever its capitals
     */
    public static function read(string $text): array
    {
        $parts = preg_split('/[,;\r\n]+/u', $text, -1, PREG_SPLIT_NO_EMPTY);
        $labels = array_map(fn (string $part): string => trim((string) preg_replace('/\s+/u', ' ', $part)), $parts === false ? [] : $parts);

        return self::joined([], array_values(array_filter($labels, fn (string $label): bool => $label !== '')));
    }

    /**
     * @param  array<array-key, mixed>  $now
     * @param  array<array-key, mixed>  $more
     * @return list<string> what was there, and behind it what is new, whatever its capitals
     */
    public static function joined(array $now, array $more): array
    {
        $joined = [];
        foreach ([...$now, ...$more] as $label) {
            if (is_string($label)) {
                $joined[mb_strtolower($label)] ??= $label;
            }
        }

        return array_values($joined);
    }
}
