<?php

declare(strict_types=1);

namespace Acre\Core\Planner;

use Acre\Core\Time\Instant;

/**
 * Plans a migration: each name on a day that is safe, before anything is charged twice where that can be, within the limits. A pilot goes
 * first; what guards others goes after them, or before them where its end is too near. The same names and limits make the same plan.
 */
final class Planner
{
    /** @var list<Instant> */
    private array $days;

    /** @var array<int, int> how many each day still takes */
    private array $room;

    /** @var array<int, Placed> by key */
    private array $placed = [];

    private function __construct(private readonly Limits $limits)
    {
        $this->days = $limits->days();
        $this->room = array_fill(0, count($this->days), $limits->perDay);
    }

    /** @param  list<Candidate>  $candidates */
    public static function plan(array $candidates, Limits $limits): Plan
    {
        $planner = new self($limits);
        $byKey = [];
        foreach ($candidates as $candidate) {
            $byKey[$candidate->key] = $candidate;
        }
        $affordable = $planner->afford($byKey);
        $pilot = $planner->pilot($affordable);
        $others = array_diff_key($affordable, $pilot);
        $planner->place($pilot, Why::Pilot);
        $planner->theOthers($others, $planner->earliestAfter($pilot));
        $placed = array_values($planner->placed);
        usort($placed, fn (Placed $a, Placed $b): int => match (true) {
            $a->day === null || $b->day === null => ($a->day === null) <=> ($b->day === null),
            default => $a->day->compare($b->day),
        });

        return new Plan($placed);
    }

    /**
     * Where the money doesn't reach for all, those go without which lose least by staying.
     *
     * @param  array<int, Candidate>  $candidates
     * @return array<int, Candidate>
     */
    private function afford(array $candidates): array
    {
        $left = $this->limits->budget;
        if ($left === null) {
            return $candidates;
        }
        $byLoss = $candidates;
        uasort($byLoss, fn (Candidate $a, Candidate $b): int => [$b->lateCost, $a->price] <=> [$a->lateCost, $b->price]);
        $affordable = [];
        foreach ($byLoss as $key => $candidate) {
            if ($candidate->price <= $left) {
                $left -= $candidate->price;
                $affordable[$key] = true;
            } else {
                $this->placed[$key] = new Placed($candidate, null, Why::NoMoney);
            }
        }

        return array_intersect_key($candidates, $affordable);
    }

    /**
     * Those that risk least: safe at once, with the most time left, that guard no others.
     *
     * @param  array<int, Candidate>  $candidates
     * @return array<int, Candidate>
     */
    private function pilot(array $candidates): array
    {
        if ($this->limits->pilot === 0 || $this->days === [] || count($candidates) <= $this->limits->pilot) {
            return [];
        }
        $can = array_filter(
            $candidates,
            fn (Candidate $one): bool => $one->guards === [] && ! $one->first->isAfter($this->days[0]) && $this->window($one)->last >= 0,
        );
        uasort($can, fn (Candidate $a, Candidate $b): int => [$this->window($b)->sensible, $a->lateCost] <=> [
            $this->window($a)->sensible,
            $b->lateCost,
        ]);

        return array_slice($can, 0, $this->limits->pilot, true);
    }

    /**
     * @param  array<int, Candidate>  $pilot
     * @return int the first place at which the pilot has surely arrived; 0: there is none
     */
    private function earliestAfter(array $pilot): int
    {
        $last = null;
        foreach (array_intersect_key($this->placed, $pilot) as $one) {
            $last = $one->day === null || ($last !== null && $last->isAfter($one->day)) ? $last : $one->day;
        }

        return $last === null ? 0 : $this->placeOf($last->plusDays($this->limits->arrivalDays));
    }

    /**
     * @param  array<int, Candidate>  $others
     * @param  int  $afterPilot  the first place for those that can wait
     */
    private function theOthers(array $others, int $afterPilot): void
    {
        $urgent = array_filter($others, fn (Candidate $one): bool => $afterPilot > 0 && $this->isUrgent($one, $afterPilot));
        $this->place($urgent, Why::BeforePilot);
        $others = array_diff_key($others, $urgent);
        $guards = array_filter($others, fn (Candidate $one): bool => array_intersect_key(array_flip($one->guards), $others) !== []);
        // A guard that can't wait until what it guards has arrived goes first, and those wait for it.
        $first = array_filter(
            $guards,
            fn (Candidate $one): bool => $this->window($one)->last < $this->afterGuarded($one, $others, $afterPilot),
        );
        $this->place($first, Why::GuardFirst, fn (Candidate $one): int => $afterPilot);
        $waiting = $this->waitFor($first);
        $plain = array_diff_key($others, $guards);
        $this->place(
            $plain,
            $afterPilot > 0 ? Why::AfterPilot : null,
            fn (Candidate $one): int => max($afterPilot, $waiting[$one->key] ?? 0),
        );
        // Chains of guards, those that guard only what is placed already first.
        $left = array_diff_key($guards, $first);
        while ($left !== []) {
            $ready = array_filter($left, fn (Candidate $one): bool => array_intersect_key(array_flip($one->guards), $left) === []);
            // Of a ring none can be last: the first of them begins.
            $ready = $ready === [] ? array_slice($left, 0, 1, true) : $ready;
            $this->place($ready, Why::GuardLast, fn (Candidate $one): int => max(
                $afterPilot,
                $waiting[$one->key] ?? 0,
                $this->afterPlaced($one),
            ));
            $left = array_diff_key($left, $ready);
        }
    }

    /** Whether it ends, or something is charged twice, before the pilot has arrived. */
    private function isUrgent(Candidate $candidate, int $afterPilot): bool
    {
        $window = $this->window($candidate);

        return $window->last < $afterPilot
            || ($window->lateCost > 0 && $window->sensible >= $window->first && $window->sensible < $afterPilot);
    }

    /**
     * The earliest place at which all that it guards can have arrived, if they go as soon as they may.
     *
     * @param  array<int, Candidate>  $others
     */
    private function afterGuarded(Candidate $guard, array $others, int $afterPilot): int
    {
        $place = 0;
        foreach (array_intersect_key($others, array_flip($guard->guards)) as $guarded) {
            $day = $this->days[max($afterPilot, $this->placeOf($guarded->first))] ?? null;
            $place = max($place, $day === null ? count($this->days) : $this->placeOf($day->plusDays($this->limits->arrivalDays)));
        }

        return $place;
    }

    private function afterPlaced(Candidate $guard): int
    {
        $place = 0;
        foreach ($guard->guards as $key) {
            $day = ($this->placed[$key] ?? null)?->day;
            if ($day !== null) {
                $place = max($place, $this->placeOf($day->plusDays($this->limits->arrivalDays)));
            }
        }

        return $place;
    }

    /**
     * @param  array<int, Candidate>  $first
     * @return array<int, int> from which place on those that these guard may begin, by key
     */
    private function waitFor(array $first): array
    {
        $waiting = [];
        foreach ($first as $guard) {
            $day = ($this->placed[$guard->key] ?? null)?->day;
            $from = $day === null ? 0 : $this->placeOf($day->plusDays($this->limits->arrivalDays));
            foreach ($guard->guards as $key) {
                $waiting[$key] = max($waiting[$key] ?? 0, $from);
            }
        }

        return $waiting;
    }

    /**
     * @param  array<int, Candidate>  $candidates
     * @param  Why|null  $why  of those that are where they were to be; null: as it turns out
     * @param  (callable(Candidate): int)|null  $from  the first place of each
     */
    private function place(array $candidates, ?Why $why, ?callable $from = null): void
    {
        $windows = [];
        foreach ($candidates as $candidate) {
            $least = $from === null ? 0 : $from($candidate);
            $window = $this->window($candidate, $least);
            if ($window->first > $window->last) {
                $this->placed[$candidate->key] = new Placed($candidate, null, Why::NeverSafe);
            } else {
                $windows[$candidate->key] = $window;
            }
        }
        $given = Seats::give(array_values($windows), $this->room);
        foreach ($windows as $key => $window) {
            $place = $given[$key] ?? null;
            if ($place === null) {
                $this->placed[$key] = new Placed($candidates[$key], null, Why::NoRoom);

                continue;
            }
            $this->room[$place]--;
            $isLate = $place > $window->sensible && $candidates[$key]->lateCost > 0;
            $because = $this->why($candidates[$key], $window, $place, $isLate, $why);
            $this->placed[$key] = new Placed($candidates[$key], $this->days[$place], $because, $isLate);
        }
    }

    private function why(Candidate $candidate, Window $window, int $place, bool $isLate, ?Why $why): Why
    {
        $own = $this->placeOf($candidate->first);

        return match (true) {
            $isLate => Why::Late,
            $place > $window->first => Why::Full,
            $why !== null && ($why !== Why::AfterPilot || $place > $own) => $why,
            $window->first > $own => Why::Guarded,
            $place > 0 || $candidate->first->isAfter($this->limits->start) => Why::Held,
            default => $this->days[0]->agreesWith($this->limits->start->toDay()) ? Why::First : Why::Quiet,
        };
    }

    private function window(Candidate $candidate, int $least = 0): Window
    {
        return new Window(
            $candidate->key,
            max($least, $this->placeOf($candidate->first)),
            $candidate->sensible === null ? count($this->days) - 1 : $this->placeBy($candidate->sensible),
            $candidate->last === null ? count($this->days) - 1 : $this->placeBy($candidate->last),
            $candidate->lateCost,
        );
    }

    /** The first place that is not before a day; as many as there are: none. */
    private function placeOf(Instant $day): int
    {
        if (! $day->isAfter($this->limits->start)) {
            return 0;
        }
        [$low, $high] = [0, count($this->days)];
        $epoch = $this->roundedUp($day)->epoch;
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->days[$middle]->epoch < $epoch) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /** The last place that is not after a day; -1: none. */
    private function placeBy(Instant $day): int
    {
        $after = $this->placeOf($day->toDay()->plusDays(1));

        return $after - 1;
    }

    /** What is safe only from an hour on is safe for the whole day only on the next. */
    private function roundedUp(Instant $at): Instant
    {
        $day = $at->toDay();

        return $day->epoch === $at->epoch ? $day : $day->plusDays(1);
    }
}
