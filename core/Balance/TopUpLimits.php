<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use InvalidArgumentException;

/** When and how much can be paid in to an account. */
final readonly class TopUpLimits
{
    /**
     * @param  Instant  $from  the first day on which money can be there
     * @param  Money  $least  of one top-up
     * @param  Money  $step  that each is a multiple of
     * @param  Money|null  $most  of one top-up; null: any sum
     * @param  list<int>  $quietWeekdays  on which no money arrives, Monday 1 to Sunday 7
     *
     * @throws InvalidArgumentException when no sum keeps them
     */
    public function __construct(
        public Instant $from,
        public Money $least,
        public Money $step,
        public ?Money $most = null,
        public array $quietWeekdays = [],
    ) {
        $most = $this->mostMinor();
        if ($step->minor() < 1 || count(array_unique($quietWeekdays)) > 6 || ($most !== null && $most < max(1, $this->leastMinor()))) {
            throw new InvalidArgumentException('No top-up keeps these limits.');
        }
    }

    /** The least, as a multiple of the step. */
    public function leastMinor(): int
    {
        return $this->up(max(1, $this->least->minor()));
    }

    /** The most, as a multiple of the step. */
    public function mostMinor(): ?int
    {
        return $this->most === null ? null : intdiv($this->most->minor(), $this->step->minor()) * $this->step->minor();
    }

    /** The next multiple of the step. */
    public function up(int $minor): int
    {
        return intdiv($minor + $this->step->minor() - 1, $this->step->minor()) * $this->step->minor();
    }

    /** The first day on which money can be there. */
    public function first(): Instant
    {
        $at = $this->from->toDay();
        while ($this->lastBy($at) === null) {
            $at = $at->plusDays(1);
        }

        return $at;
    }

    /** The last day on which money can be there in time; null: there is none. */
    public function lastBy(Instant $day): ?Instant
    {
        for ($at = $day->toDay(); ! $at->isBefore($this->from->toDay()); $at = $at->plusDays(-1)) {
            if (! in_array((int) $at->toDateTime()->format('N'), $this->quietWeekdays, true)) {
                return $at;
            }
        }

        return null;
    }
}
