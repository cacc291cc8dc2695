<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Planner\Plan;
use App\Queries\Deeds\JudgedName;

/** A migration as it is planned today. */
final readonly class MadePlan
{
    /**
     * @param  array<int, PlannedName>  $names  by name, in the order of their days; those without a day last
     * @param  list<JudgedName>  $cannot  those that something stands in the way of, which no day takes away
     */
    public function __construct(public Plan $plan, public array $names, public array $cannot)
    {
    }

    /** @return array<string, Money> what all of it costs with tax, by currency */
    public function sums(): array
    {
        return Sums::of(array_map(fn (PlannedName $one): ?Money => $one->placed->day === null ? null : $one->price, $this->names));
    }

    /** @return array<string, Money> what a renewal of the same names costs where they are, by currency */
    public function renewals(): array
    {
        return Sums::of(array_map(fn (PlannedName $one): ?Money => $one->placed->day === null ? null : $one->renewal, $this->names));
    }

    /** @return array<string, Money> what is charged twice, as some have no earlier day, by currency */
    public function lost(): array
    {
        return Sums::of(array_map(fn (PlannedName $one): ?Money => $one->placed->isLate ? $one->renewal : null, $this->names));
    }

    /** @return int how many have a day */
    public function placed(): int
    {
        return count(array_filter($this->names, fn (PlannedName $one): bool => $one->placed->day !== null));
    }
}
