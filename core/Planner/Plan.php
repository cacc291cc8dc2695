<?php

declare(strict_types=1);

namespace Acre\Core\Planner;

use Acre\Core\Time\Instant;

/** The days of a migration. */
final readonly class Plan
{
    /** @param  list<Placed>  $placed  by day, then as they were given; those without a day last */
    public function __construct(public array $placed)
    {
    }

    /** @return array<string, list<Placed>> by day, in order */
    public function byDay(): array
    {
        $days = [];
        foreach ($this->placed as $one) {
            if ($one->day !== null) {
                $days[$one->day->date()][] = $one;
            }
        }

        return $days;
    }

    /** @return list<Placed> those without a day */
    public function without(): array
    {
        return array_values(array_filter($this->placed, fn (Placed $one): bool => $one->day === null));
    }

    /** What the transfers cost, in hundredths. */
    public function price(): int
    {
        return array_sum(array_map(fn (Placed $one): int => $one->day === null ? 0 : $one->candidate->price, $this->placed));
    }

    /** What is charged twice, in hundredths. */
    public function lateCost(): int
    {
        return array_sum(array_map(fn (Placed $one): int => $one->isLate ? $one->candidate->lateCost : 0, $this->placed));
    }

    public function ends(): ?Instant
    {
        $days = array_filter(array_map(fn (Placed $one): ?Instant => $one->day, $this->placed));

        return $days === [] ? null : Instant::latest(...array_values($days));
    }
}
