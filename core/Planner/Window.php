<?php

declare(strict_types=1);

namespace Acre\Core\Planner;

/** On which of the days of a plan a name may begin: places in the list of days. */
final readonly class Window
{
    /**
     * @param  int  $first  the first place
     * @param  int  $sensible  the last place that costs nothing more; less than the first: none
     * @param  int  $last  the last place at all; less than the first: none
     */
    public function __construct(public int $key, public int $first, public int $sensible, public int $last, public int $lateCost)
    {
    }

    /** @return int|null what it costs more to begin there; null: it can't */
    public function cost(int $place): ?int
    {
        return match (true) {
            $place < $this->first || $place > $this->last => null,
            $place <= $this->sensible => 0,
            default => $this->lateCost,
        };
    }
}
