<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** How wide a text is in the shipped font, from its advance widths (kerning left out: it only makes text narrower). */
final class Advances
{
    /** @var array<int, array<int, int>>|null */
    private static ?array $table = null;

    /**
     * @param  bool  $strong  semibold
     * @param  float  $size  pixels
     * @return float pixels
     */
    public static function width(string $text, bool $strong, float $size): float
    {
        /** @var array<int, array<int, int>> $table */
        $table = self::$table ?? require __DIR__.'/Data/advances.php';
        self::$table = $table;
        $weight = $table[$strong ? 600 : 400];
        $sum = 0;
        foreach (mb_str_split($text) as $character) {
            // What the font lacks comes from another one; a full em is the safe side.
            $sum += $weight[mb_ord($character)] ?? 1000;
        }

        return $sum * $size / 1000;
    }
}
