<?php

declare(strict_types=1);

namespace Acre\Core\Planner;

/**
 * Gives names to days that each take so many. What is left over costs more than any lateness; then the lateness counts, then how early
 * each begins. Few names are given the cheapest of all seatings, by shortest augmenting paths (Jewell 1958, Busacker and Gowen 1960); of
 * very many the dearest to be late come first, and one gives way to another where both find room then.
 */
final class Seats
{
    /** Names times names times days up to which the cheapest seating of all is worked out. */
    private const EXACT = 4_000_000;

    /** More than any lateness. */
    private const NEVER = 1_000_000_000_000_000;

    /** @var array<int, list<int>> keys by place */
    private array $at = [];

    /** @var array<int, int> place by key */
    private array $place = [];

    /** @var array<int, Window> by key */
    private array $windows = [];

    /** @param  array<int, int>  $room  how many each place still takes */
    private function __construct(private array $room)
    {
    }

    /**
     * @param  list<Window>  $windows
     * @param  array<int, int>  $room  by place
     * @param  int  $exact  names times names times days up to which the cheapest of all is worked out
     * @return array<int, int> place by key; those without one are left out
     */
    public static function give(array $windows, array $room, int $exact = self::EXACT): array
    {
        $seats = new self($room);
        // Days on which nothing can go any more, and those after the last that is needed, are never looked at.
        $full = count(array_filter($room, fn (int $left): bool => $left <= 0));
        $last = array_reduce($windows, fn (int $last, Window $one): int => max($last, $one->first), 0) + count($windows) + $full;
        $days = min(count($room), $last + 1);
        count($windows) ** 2 * $days <= $exact ? $seats->exactly($windows, $days) : $seats->greedily($windows);

        return $seats->place;
    }

    /** @param  list<Window>  $windows */
    private function exactly(array $windows, int $days): void
    {
        // Beyond the last day that is needed nobody sits; those without a seat stand there.
        $this->room = array_slice($this->room, 0, $days);
        foreach ($windows as $window) {
            $this->windows[$window->key] = $window;
            $this->seat($window, $days);
        }
        $this->place = array_filter($this->place, fn (int $place): bool => $place < $days);
    }

    /**
     * The cheapest way to seat one more, others moving over for it, or staying without a seat in its stead (Bellman and Ford: moving over
     * may save).
     */
    private function seat(Window $new, int $days): void
    {
        $cost = $from = [];
        foreach ($this->places($new, $days) as $place => $own) {
            [$cost[$place], $from[$place]] = [$own, null];
        }
        $open = array_keys($cost);
        while ($open !== []) {
            $next = [];
            foreach ($open as $place) {
                foreach ($this->at[$place] ?? [] as $key) {
                    $places = $this->places($this->windows[$key], $days);
                    foreach ($places as $to => $there) {
                        $then = $cost[$place] - $places[$place] + $there;
                        if ($to !== $place && (! isset($cost[$to]) || $then < $cost[$to])) {
                            [$cost[$to], $from[$to], $next[$to]] = [$then, [$place, $key], true];
                        }
                    }
                }
            }
            $open = array_keys($next);
        }
        $best = $days;
        foreach ($cost as $place => $sum) {
            $best = $sum < $cost[$best] && $this->hasRoom($place) ? $place : $best;
        }
        $this->moveOver($new->key, $best, $from);
    }

    /** @return array<int, int> what each place costs that a name can have: lateness first, then how early it is; the last is none at all */
    private function places(Window $window, int $days): array
    {
        $places = [];
        for ($place = max(0, $window->first); $place < $days && $place <= $window->last; $place++) {
            $places[$place] = (int) $window->cost($place) * 1_000 + $place;
        }

        return $places + [$days => self::NEVER];
    }

    /** @param  array<int, array{int, int}|null>  $from  whence who moves to each place; null: the new one itself */
    private function moveOver(int $new, int $to, array $from): void
    {
        while (($step = $from[$to]) !== null) {
            [$place, $key] = $step;
            $this->at[$place] = array_values(array_diff($this->at[$place] ?? [], [$key]));
            $this->put($key, $to);
            $to = $place;
        }
        $this->put($new, $to);
    }

    /** @param  list<Window>  $windows */
    private function greedily(array $windows): void
    {
        usort($windows, fn (Window $a, Window $b): int => [$b->lateCost, $a->last, $a->first] <=> [$a->lateCost, $b->last, $b->first]);
        $left = [];
        foreach ($windows as $window) {
            $this->windows[$window->key] = new Window($window->key, $window->first, $window->sensible, $window->sensible, 0);
            if (! $this->reach($window->key)) {
                $left[] = $window;
            }
        }
        // Those that must be late take what is left.
        foreach ($left as $window) {
            $this->windows[$window->key] = $window;
            $this->reach($window->key);
        }
    }

    /** Seats one, others moving over within their windows, by as few moves as can be. */
    private function reach(int $key): bool
    {
        $from = [];
        $open = [];
        $window = $this->windows[$key];
        for ($place = max(0, $window->first); $place <= $window->last && $place < count($this->room); $place++) {
            $from[$place] = null;
            if ($this->hasRoom($place)) {
                $this->put($key, $place);

                return true;
            }
            $open[] = $place;
        }
        while ($open !== []) {
            $place = array_shift($open);
            foreach ($this->at[$place] ?? [] as $other) {
                $window = $this->windows[$other];
                for ($to = max(0, $window->first); $to <= $window->last && $to < count($this->room); $to++) {
                    if (array_key_exists($to, $from)) {
                        continue;
                    }
                    $from[$to] = [$place, $other];
                    if ($this->hasRoom($to)) {
                        $this->moveOver($key, $to, $from);

                        return true;
                    }
                    $open[] = $to;
                }
            }
        }

        return false;
    }

    private function hasRoom(int $place): bool
    {
        return ($this->room[$place] ?? 0) > count($this->at[$place] ?? []);
    }

    private function put(int $key, int $place): void
    {
        $this->at[$place][] = $key;
        $this->place[$key] = $place;
    }
}
