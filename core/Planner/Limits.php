<?php

declare(strict_types=1);

namespace Acre\Core\Planner;

use Acre\Core\Time\Instant;

/** Within what a migration must keep. */
final readonly class Limits
{
    /** Days ahead that a plan looks; a name that can't begin by then has no day. */
    public const HORIZON = 400;

    /**
     * @param  Instant  $start  its first day
     * @param  int  $perDay  names that may begin on one day
     * @param  list<int>  $quietWeekdays  on which none begins, Monday 1 to Sunday 7
     * @param  list<array{Instant, Instant}>  $quietSpans  first and last day of each
     * @param  int|null  $budget  what may be spent in all, in hundredths; null: without a limit
     * @param  int  $pilot  names that go first, alone
     * @param  int  $arrivalDays  after which a name has surely arrived
     */
    public function __construct(
        public Instant $start,
        public int $perDay,
        public array $quietWeekdays = [],
        public array $quietSpans = [],
        public ?int $budget = null,
        public int $pilot = 0,
        public int $arrivalDays = 9,
    ) {
    }

    /** @return list<Instant> days on which names may begin, in order */
    public function days(): array
    {
        $days = [];
        $start = $this->start->toDay();
        for ($ahead = 0; $ahead < self::HORIZON; $ahead++) {
            $day = $start->plusDays($ahead);
            if (! in_array((int) $day->toDateTime()->format('N'), $this->quietWeekdays, true) && ! $this->isQuiet($day)) {
                $days[] = $day;
            }
        }

        return $days;
    }

    private function isQuiet(Instant $day): bool
    {
        foreach ($this->quietSpans as [$first, $last]) {
            if (! $day->isBefore($first->toDay()) && ! $day->isAfter($last->toDay())) {
                return true;
            }
        }

        return false;
    }
}
