<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Time\Instant;
use App\Actions\Plans\PlannedName;
use App\Support\Dates;

/** A migration on one axis: how many begin on each day, and names with their holds, arrivals and charges. Pixels of a viewBox. */
final readonly class PlanDrawing
{
    public const WIDTH = 1180;

    public const LEFT = 240;

    public const RIGHT = 940;

    public const ROW = 37;

    public const TOP = 108;

    private const HIGHEST = 52;

    /** Days until a name has likely, and surely, arrived. */
    private const LIKELY = 7;

    private const LATEST = 9;

    /**
     * @param  list<array{x: float, y: float, width: float, height: float, count: int}>  $days
     * @param  list<array{x: float, text: string}>  $weeks
     * @param  list<float>  $weekends
     * @param  list<array{y: int, name: PlannedName, x: float, width: float, tail: float, hold: float|null, coin: float|null}>  $rows
     */
    private function __construct(
        public float $day,
        public int $height,
        public array $days,
        public array $weeks,
        public array $weekends,
        public array $rows,
        public ?float $today,
    ) {
    }

    /**
     * @param  array<string, int>  $byDay  names by day
     * @param  list<PlannedName>  $names  those that are drawn one by one
     */
    public static function of(array $byDay, array $names, Instant $now): self
    {
        $today = $now->toDay();
        $first = $byDay === [] ? $today : Instant::earliest($today, Instant::of((string) array_key_first($byDay)));
        $first = $first->plusDays(1 - (int) $first->toDateTime()->format('N'));
        $last = $byDay === [] ? $today : Instant::of((string) array_key_last($byDay));
        $count = max(28, $first->daysUntil($last) + self::LATEST + 3);
        $day = (self::RIGHT - self::LEFT) / $count;
        $x = fn (Instant $at): float => round(self::LEFT + ($at->epoch - $first->epoch) / 86_400 * $day, 1);
        $most = $byDay === [] ? 1 : max($byDay);
        $days = [];
        foreach ($byDay as $date => $names_) {
            $height = round(max(4, $names_ / $most * self::HIGHEST), 1);
            $days[] = ['x' => $x(Instant::of($date)), 'y' => round(self::TOP - 8 - $height, 1), 'width' => round(max(3, $day - 2), 1),
                'height' => $height, 'count' => $names_];
        }
        $weeks = $weekends = [];
        $every = max(1, (int) ceil(70 / ($day * 7)));
        for ($place = 0; $place < $count; $place += 7) {
            if (intdiv($place, 7) % $every === 0) {
                $weeks[] = ['x' => round(self::LEFT + $place * $day, 1), 'text' => Dates::short($first->plusDays($place))];
            }
            $saturday = round(self::LEFT + ($place + 5) * $day, 1);
            if ($saturday + 2 * $day <= self::RIGHT) {
                $weekends[] = $saturday;
            }
        }

        return new self(
            round($day, 2),
            self::TOP + count($names) * self::ROW + 8,
            $days,
            $weeks,
            $weekends,
            self::rows($names, $x, $first),
            $x($now),
        );
    }

    /**
     * @param  list<PlannedName>  $names
     * @param  callable(Instant): float  $x
     * @return list<array{y: int, name: PlannedName, x: float, width: float, tail: float, hold: float|null, coin: float|null}>
     */
    private static function rows(array $names, callable $x, Instant $first): array
    {
        $rows = [];
        foreach ($names as $place => $one) {
            $begins = $one->placed->day;
            if ($begins === null) {
                continue;
            }
            $from = $x($begins);
            $until = $x($begins->plusDays(self::LIKELY));
            $coin = $one->charged === null || $one->charged->isBefore($first) ? null : $x($one->charged);
            $rows[] = [
                'y' => self::TOP + $place * self::ROW,
                'name' => $one,
                'x' => $from,
                'width' => round($until - $from, 1),
                'tail' => round($x($begins->plusDays(self::LATEST)) - $until, 1),
                'hold' => $one->heldUntil === null ? null : $x($one->heldUntil),
                'coin' => $coin !== null && $coin < self::RIGHT ? $coin : null,
            ];
        }

        return $rows;
    }
}
