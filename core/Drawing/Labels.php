<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** Puts labels into lanes so that none overlaps another, nor another's thing, nor the edge. */
final class Labels
{
    public const SIZE = 12.5;

    private const GAP = 6.0;

    /** Beyond so many lanes a label may lie across a line rather than wander off. */
    private const CLEAR_LANES = 4;

    /**
     * Each is tried right of its thing, then left of it, then around it, lane by lane.
     *
     * @param  list<Label>  $labels  most important first
     * @param  float  $width  pixels of the drawing
     * @param  list<float>  $lines  places of lines that no label should lie across, as long as there is room beside them
     * @return list<PlacedLabel>
     */
    public static function place(array $labels, float $width, array $lines = []): array
    {
        $placed = [];
        /** @var array<int, list<array{float, float}>> $taken by lane */
        $taken = [];
        foreach ($labels as $label) {
            $size = Advances::width($label->text, $label->isStrong(), self::SIZE);
            $lefts = [
                $label->x + $label->reach + self::GAP,
                $label->x - self::GAP - $size,
                max(0.0, min($width - $size, $label->x + $label->reach / 2 - $size / 2)),
            ];
            for ($lane = 0; ; $lane++) {
                foreach ($lefts as $place => $left) {
                    // Around its thing it would lie over a bracket in the same lane.
                    if ($place === 2 && $label->reach > 0 && $lane === 0) {
                        continue;
                    }
                    $from = min($left, $label->x) - self::GAP;
                    $until = max($left + $size, $label->x + $label->reach) + self::GAP;
                    $fits = $left >= -0.01 && $left + $size <= $width + 0.01;
                    if ($lane < self::CLEAR_LANES && self::crosses($lines, $left, $left + $size)) {
                        continue;
                    }
                    if (($fits || $place === 2) && self::isFree($taken[$lane] ?? [], $from, $until)) {
                        $taken[$lane][] = [$from, $until];
                        $placed[] = new PlacedLabel($label, max(0.0, $left), $size, $lane);

                        continue 3;
                    }
                }
            }
        }

        return $placed;
    }

    /** @param  list<float>  $lines */
    private static function crosses(array $lines, float $from, float $until): bool
    {
        foreach ($lines as $line) {
            if ($line > $from - 2 && $line < $until + 2) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<array{float, float}>  $taken */
    private static function isFree(array $taken, float $from, float $until): bool
    {
        foreach ($taken as [$start, $end]) {
            if ($from < $end && $start < $until) {
                return false;
            }
        }

        return true;
    }
}
