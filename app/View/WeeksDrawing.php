<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Time\Instant;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsSection;
use App\Support\Dates;

/** The coming weeks of Rounds: a box a thing, on its day, dearest lowest. Pixels of a viewBox; a day is as wide as any. */
final readonly class WeeksDrawing
{
    public const WIDTH = 1180;

    public const DAYS = 35;

    private const BOX = 17;

    /** So many boxes a day; what is more is a number beside the highest. */
    private const HIGHEST = 5;

    /**
     * @param  list<array{x: float, y: int, section: string, title: string}>  $boxes
     * @param  list<array{x: float, text: string}>  $weeks  Mondays
     * @param  list<float>  $weekends  where each begins
     * @param  list<array{x: float, y: int, text: string}>  $more
     */
    private function __construct(
        public float $day,
        public float $base,
        public array $boxes,
        public array $weeks,
        public array $weekends,
        public array $more,
        public float $today,
        public string $told,
    ) {
    }

    /** @param  list<RoundsItem>  $items */
    public static function of(Instant $today, array $items): self
    {
        // From this week's Monday.
        $first = $today->plusDays(1 - (int) $today->toDateTime()->format('N'));
        $width = self::WIDTH / self::DAYS;
        $base = 28 + self::HIGHEST * self::BOX;
        $order = array_flip(array_column(RoundsSection::cases(), 'value'));
        usort($items, fn (RoundsItem $a, RoundsItem $b): int => $order[$a->section->value] <=> $order[$b->section->value]);
        $heights = $boxes = $more = [];
        $told = [];
        foreach ($items as $item) {
            // What is overdue stands on today.
            $place = $first->daysUntil($item->due->isBefore($today) ? $today : $item->due);
            if ($place < 0 || $place >= self::DAYS) {
                continue;
            }
            $told[$item->section->value] = ($told[$item->section->value] ?? 0) + 1;
            $heights[$place] = ($heights[$place] ?? 0) + 1;
            if ($heights[$place] <= self::HIGHEST) {
                $boxes[] = [
                    'x' => round($place * $width + 5, 1),
                    'y' => $base - $heights[$place] * self::BOX,
                    'section' => $item->section->value,
                    'title' => Dates::full($item->due).': '.$item->title.', '.$item->says,
                ];
            }
        }
        foreach ($heights as $place => $count) {
            if ($count > self::HIGHEST) {
                $more[] = [
                    'x' => round(($place + 1) * $width + 1, 1),
                    'y' => $base - self::HIGHEST * self::BOX + 11,
                    'text' => '+'.($count - self::HIGHEST),
                ];
            }
        }
        $weeks = $weekends = [];
        for ($place = 0; $place < self::DAYS; $place += 7) {
            $weeks[] = ['x' => round($place * $width, 1), 'text' => Dates::short($first->plusDays($place))];
            $weekends[] = round(($place + 5) * $width, 1);
        }
        $parts = array_map(
            fn (string $section, int $count): string => $count.' '.mb_strtolower(self::word($section)),
            array_keys($told),
            $told,
        );

        return new self(
            round($width, 1),
            $base,
            $boxes,
            $weeks,
            $weekends,
            $more,
            round(($first->daysUntil($today) + 0.5) * $width, 1),
            trans_choice('rounds.weeks', count($parts), ['day' => Dates::full($first), 'what' => implode(', ', $parts)]),
        );
    }

    private static function word(string $section): string
    {
        $said = __('rounds.section.'.$section);

        return is_string($said) ? $said : $section;
    }
}
