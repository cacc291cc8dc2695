<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Movement\Track;
use Acre\Core\Movement\TrackLeg;
use Acre\Core\Time\Instant;
use App\Support\Dates;

/** The steps of a movement as bars over its days. Pixels of a viewBox; a day is as wide as any. */
final readonly class TrackDrawing
{
    public const WIDTH = 1180;

    /** Where the days begin, to the right of the steps' words, and where they end. */
    public const LEFT = 300;

    public const RIGHT = 1170;

    public const ROW = 34;

    public const TOP = 34;

    private const BAR = 16;

    /** Pixels that a day's number needs. */
    private const NUMBER = 26;

    /** Pixels of a step that takes no time. */
    private const LEAST = 14.0;

    /**
     * @param  list<array{x: float, width: float, tail: float, y: int, state: string, leg: TrackLeg}>  $bars  `tail`: how much longer it may
     *     take at worst; `state`: done, now or to_come
     * @param  list<array{x: float, text: string}>  $days
     * @param  list<float>  $weekends  where each day of them begins
     */
    private function __construct(
        public float $day,
        public int $height,
        public array $bars,
        public array $days,
        public array $weekends,
        public ?float $today,
    ) {
    }

    public static function of(Track $track, Instant $now): self
    {
        $first = $track->from->toDay();
        $count = max(6, $first->daysUntil($track->until) + 2, min(60, $first->daysUntil($now) + 2));
        $day = (self::RIGHT - self::LEFT) / $count;
        $x = fn (Instant $at): float => round(self::LEFT + ($at->epoch - $first->epoch) / 86_400 * $day, 1);
        $bars = [];
        foreach ($track->legs as $row => $leg) {
            $from = $x($leg->from);
            $until = max($from + self::LEAST, $x($leg->until));
            $bars[] = [
                'x' => $from,
                'width' => round($until - $from, 1),
                'tail' => round(max(0, $x($leg->latest) - $until), 1),
                'y' => self::TOP + $row * self::ROW + 2,
                'state' => $leg->isDone ? 'done' : ($leg->isNow ? 'now' : 'to_come'),
                'leg' => $leg,
            ];
        }
        $days = $weekends = [];
        $every = max(1, (int) ceil(self::NUMBER / $day));
        for ($place = 0; $place < $count; $place++) {
            $at = $first->plusDays($place);
            if ($place % $every === 0) {
                $date = $at->toDateTime();
                $isFirst = $place === 0 || (int) $date->format('j') <= $every;
                $days[] = [
                    'x' => round(self::LEFT + ($place + 0.5) * $day, 1),
                    'text' => $isFirst ? Dates::short($at) : $date->format('j'),
                ];
            }
            if ((int) $at->toDateTime()->format('N') >= 6) {
                $weekends[] = round(self::LEFT + $place * $day, 1);
            }
        }
        $today = $x($now);

        return new self(
            round($day, 1),
            self::TOP + count($track->legs) * self::ROW + 6,
            $bars,
            $days,
            $weekends,
            $today <= self::RIGHT ? $today : null,
        );
    }

    public static function barHeight(): int
    {
        return self::BAR;
    }
}
