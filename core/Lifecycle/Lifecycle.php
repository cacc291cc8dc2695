<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Rulebook\RuleSet;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Acre\Core\Time\TimeError;

/**
 * A name's dates and phases, past and to come, from facts, terms and rules.
 *
 * Nothing but `$phase` and `$presumed` depends on the clock: moving it never moves an event.
 */
final readonly class Lifecycle
{
    /** Seconds. */
    private const DAY = 86_400;

    /**
     * @param  Phase  $phase  where it stands at `$now`
     * @param  bool  $presumed  an expected instant has passed, and nothing recorded confirms which way it went
     * @param  EndPlan|null  $plan  what surrounds its end; null: it has none that is known
     * @param  list<Hold>  $holds
     * @param  Instant|null  $since  when the phase that is proven did begin, on whatever day the plan has it; null: the plan stands
     * @param  int  $begins  the day of the plan on which that phase begins
     * @param  Phase|null  $proven  what its statuses prove; null: nothing
     */
    private function __construct(
        public NameFacts $facts,
        public LateTerms $terms,
        public RuleSet $rules,
        public Instant $now,
        public Phase $phase,
        public bool $presumed,
        private ?EndPlan $plan,
        public array $holds,
        public ?Instant $since,
        private int $begins,
        private ?Phase $proven,
    ) {
    }

    public static function of(NameFacts $facts, LateTerms $terms, RuleSet $rules, Instant $now): self
    {
        $ends = $facts->ends;
        $proven = $said = $facts->proven();
        $since = $proven?->isDeleted() === true || $facts->outside?->isGone === true ? $facts->deleted() : null;
        $plan = $ends === null && $since === null ? null : EndPlans::of($rules, $terms, $facts->intent);
        $begins = $since === null ? null : $plan?->begin($proven ?? Phase::NotKnown);
        if ($since !== null && $begins !== null && $facts->outside !== null) {
            $since = self::notOver($since, $facts->outside->at, $plan?->days($proven ?? Phase::NotKnown));
        }
        // A term that ends before it begins is refused.
        if ($ends !== null && $facts->created !== null && $ends->epoch <= $facts->created->epoch) {
            throw TimeError::emptySpan($facts->created, $ends);
        }
        // autoRenewPeriod also stands on a name that did renew: it proves grace only when the end has passed.
        if ($proven === Phase::Grace && ($ends === null || ! $ends->hasComeAt($now))) {
            $proven = null;
        }
        $phase = $proven ?? ($plan === null || $ends === null ? Phase::NotKnown : self::phaseAt($plan, $ends, $now));
        if ($proven?->isDeleted() === true && $plan !== null) {
            [$from, $day] = $begins === null ? [$ends, 0] : [$since, $begins];
            $phase = self::follows($proven, $plan, $from, $day, $now);
            if ($phase !== $proven && $begins === null) {
                // Deleted still when its registrar's days are over: then its registry may have given it the longest.
                $plan = EndPlans::of($rules, $terms->uncut(), $facts->intent);
                $phase = self::follows($proven, $plan, $from, $day, $now);
            }
        }
        $presumed = $phase !== $proven && $phase->isLate();
        // No fact of ours before it is taken over; but against what is only expected it is believed, once it can't be the registry's own
        // renewal, which may be taken back.
        if (
            $presumed &&
            $facts->seenUntil?->isAfter($now) === true &&
            ($facts->seenPaid === true || $ends?->plusDays($plan->ahead ?? 0)->hasComeAt($now) === true)
        ) {
            $phase = Phase::InTerm;
        }
        // What its registry calls ok is late at the most: neither suspended nor deleted, whatever the rules expect.
        if ($presumed && $facts->isCalledOk && $phase->isLate()) {
            $phase = Phase::Grace;
        }
        $holds = self::holds($facts, $rules);

        return new self(
            $facts,
            $terms,
            $rules,
            $now,
            $phase,
            $presumed,
            $ends === null && $begins === null ? null : $plan,
            $holds,
            $begins === null ? null : $since,
            $begins ?? 0,
            $said,
        );
    }

    /** @return list<Event> all of them in order, those already past included */
    public function events(): array
    {
        $ends = $this->facts->ends;
        $planned = $this->plan->events ?? [];
        $events = [];
        if ($ends !== null && $this->since === null && $this->proven?->isDeleted() !== true) {
            // As nearly every name stands: nothing of its plan is over, or comes on another day than planned.
            $sums = ['renew' => $this->terms->renew, 'late' => $this->terms->late, 'restore' => $this->terms->restore];
            foreach ($planned as [$kind, $days, $sum, $certain]) {
                $events[] = new Event($kind, $ends->plusDays($days), $sum === null ? null : $sums[$sum], $certain);
            }
        } else {
            $events = array_values(array_filter(array_map($this->planned(...), $planned)));
        }
        $holds = [];
        foreach ($this->holds as $hold) {
            $holds[] = new Event(EventKind::HoldEnds, $hold->until);
        }

        return match (true) {
            $holds === [] && $this->since === null => $events,
            // As of nearly every name they were over long before its end.
            isset($holds[0], $events[0]) && ! isset($holds[1]) && $holds[0]->at->epoch < $events[0]->at->epoch && $this->since === null => [
                $holds[0],
                ...$events,
            ],
            default => self::inOrder([...$events, ...$holds]),
        };
    }

    /** @return list<Stage> if it is not renewed: from its creation without gap or overlap to its release */
    public function stages(): array
    {
        if ($this->plan === null) {
            return [new Stage(Phase::NotKnown, Span::of($this->facts->created, null), Rescue::Renew)];
        }
        $stages = [];
        foreach ($this->plan->stages as [$phase, $from, $to, $rescue]) {
            [$from, $to] = [$from === null ? $this->facts->created : $this->turn($from), $to === null ? null : $this->turn($to)];
            // What it did not live to see is left out.
            if ($from === null || $to === null || $from->isBefore($to)) {
                $stages[] = new Stage($phase, Span::of($from, $to), $rescue);
            }
        }

        return $stages;
    }

    /** @return list<int> when anything of it changes: its events, and where one phase follows another; seconds since 1970 */
    public function dates(): array
    {
        $ends = $this->facts->ends->epoch ?? 0;
        $dates = $this->facts->seenUntil === null ? [] : [$ends + ($this->plan->ahead ?? 0) * self::DAY, $this->facts->seenUntil->epoch];
        if ($this->since !== null) {
            return [...array_map(fn (Event $event): int => $event->at->epoch, $this->events()), ...$dates];
        }
        if ($this->mayBeRenewed()) {
            $dates[] = $this->renewedByNow()->epoch ?? 0;
        }
        foreach ($this->plan->events ?? [] as $event) {
            $dates[] = $ends + $event[1] * self::DAY;
        }
        foreach ($this->holds as $hold) {
            $dates[] = $hold->until->epoch;
        }
        foreach ($this->plan->stages ?? [] as $stage) {
            if ($stage[2] !== null) {
                $dates[] = $ends + $stage[2] * self::DAY;
            }
        }

        return $dates;
    }

    /** The last instant at which a name can still be kept in this way, as the rules place it. */
    public function last(Rescue $rescue): ?Instant
    {
        $until = null;
        foreach ($this->plan->stages ?? [] as $stage) {
            if ($stage[3] === $rescue) {
                $until = $stage[2];
            }
        }

        return $until === null ? null : $this->turn($until);
    }

    /** What can still keep it today. */
    public function rescue(): Rescue
    {
        foreach ($this->plan->stages ?? [] as $stage) {
            if ($stage[0] === $this->phase) {
                return $stage[3];
            }
        }

        return match ($this->phase) {
            Phase::Redemption, Phase::Quarantine => Rescue::Restore,
            Phase::PendingDelete, Phase::Released => Rescue::Nothing,
            default => Rescue::Renew,
        };
    }

    /** When its paid term was over, or will be: at its end, or when it was deleted before that. */
    public function over(): ?Instant
    {
        return $this->since === null ? $this->facts->ends : Instant::earliest($this->since, ...array_filter([$this->facts->ends]));
    }

    /** Whether it was deleted before its paid term was over. */
    public function isCutShort(): bool
    {
        return $this->since !== null && $this->over() === $this->since;
    }

    /** The end if it is renewed for one more year, or for the least that the registry sells. */
    public function renewedUntil(): ?Instant
    {
        return $this->facts->ends === null
            ? null
            : Term::extend($this->facts->created, $this->facts->ends, max(12, $this->rules->leastMonths->value));
    }

    /** The end that it has by now if it has renewed by itself at each of them. */
    public function renewedByNow(): ?Instant
    {
        $step = max(12, $this->rules->leastMonths->value);
        $until = $this->renewedUntil();
        for ($months = 2 * $step; $this->facts->ends !== null && $until?->hasComeAt($this->now) === true; $months += $step) {
            $until = Term::extend($this->facts->created, $this->facts->ends, $months);
        }

        return $until;
    }

    /**
     * Whether it may as well have been renewed: its end has passed, and either it was to renew by itself, and nothing says that it did not,
     * or it is seen outside.
     */
    public function mayBeRenewed(): bool
    {
        return $this->presumed &&
            ($this->phase === Phase::InTerm ||
                ($this->facts->intent === Intent::ByItself &&
                    $this->facts->seenPaid !== false &&
                    $this->proven?->isDeleted() !== true));
    }

    /** @return list<Event> what is still to come, soonest first */
    public function toCome(): array
    {
        return array_values(array_filter($this->events(), fn (Event $event): bool => ! $event->at->hasComeAt($this->now)));
    }

    /** Whether renewing it today costs what it cost before its end. */
    public function isPlainToday(): bool
    {
        return $this->since === null && $this->facts->ends?->plusDays($this->plan->plain ?? 0)->hasComeAt($this->now) === false;
    }

    public function event(EventKind $kind): ?Event
    {
        foreach ($this->plan->events ?? [] as $planned) {
            if ($planned[0] === $kind) {
                return $this->planned($planned);
            }
        }

        return $kind === EventKind::HoldEnds
            ? array_values(array_filter($this->events(), fn (Event $event): bool => $event->kind === $kind))[0] ?? null
            : null;
    }

    /** The same, only while it is still to come. */
    public function coming(EventKind $kind): ?Event
    {
        $event = $this->event($kind);

        return $event === null || $event->at->hasComeAt($this->now) ? null : $event;
    }

    /** @return list<Hold> those that stand at the clock's time */
    public function holdsNow(): array
    {
        return array_values(array_filter($this->holds, fn (Hold $hold): bool => $hold->coversAt($this->now)));
    }

    /** From when it can be renewed at all, where that is still to come. */
    public function renewableFrom(): ?Instant
    {
        $from = $this->facts->ends === null ? null : Term::renewableFrom($this->facts->ends, $this->rules);

        return $from === null || $from->hasComeAt($this->now) ? null : $from;
    }

    /** Whether a renewal for a year or more can be taken today, as far as its rules say. */
    public function isRenewable(): bool
    {
        return $this->rescue() === Rescue::Renew && $this->addableYears() > 0;
    }

    /** How many years could be added today. */
    public function addableYears(): int
    {
        return $this->facts->ends === null ? 0 : Term::addable($this->facts->created, $this->facts->ends, $this->rules, $this->now);
    }

    /**
     * @param  array{EventKind, int, 'renew'|'late'|'restore'|null, bool}  $planned
     * @return Event|null null: it was deleted before that could come, or that is over on a day that nobody knows
     */
    private function planned(array $planned): ?Event
    {
        [$kind, $days, $sum, $certain] = $planned;
        $at = $this->facts->ends?->plusDays($days);
        if ($this->since === null) {
            $isOver = match ($kind) {
                EventKind::LastPlain, EventKind::Deleted => $this->proven?->isDeleted() === true,
                EventKind::LastAtAll => $this->proven === Phase::PendingDelete,
                default => false,
            };
            $at = $isOver ? null : $at;
        } else {
            $at = match (true) {
                $kind === EventKind::LastAtAll || $kind === EventKind::Released => $this->since->plusDays(max(0, $days - $this->begins)),
                $at?->isBefore($this->since) === true => $at,
                $kind === EventKind::Dark, $kind === EventKind::Deleted => $this->since,
                default => null,
            };
        }

        return $at === null
            ? null
            : new Event(
                $kind,
                $at,
                match ($sum) {
                    'renew' => $this->terms->renew,
                    'late' => $this->terms->late,
                    'restore' => $this->terms->restore,
                    null => null,
                },
                $certain,
            );
    }

    /** When one stage gives way to the next. */
    private function turn(int $days): ?Instant
    {
        $planned = $this->facts->ends?->plusDays($days);
        if ($this->since === null) {
            return $planned;
        }

        return $days >= $this->begins
            ? $this->since->plusDays($days - $this->begins)
            : ($planned === null
                ? $this->since
                : Instant::earliest($planned, $this->since));
    }

    private static function phaseAt(EndPlan $plan, Instant $ends, Instant $now): Phase
    {
        $past = $now->epoch - $ends->epoch;
        foreach ($plan->stages as $stage) {
            if ($stage[2] === null || $past < $stage[2] * self::DAY) {
                return $stage[0];
            }
        }

        return Phase::Released;
    }

    /**
     * What a phase that was proven has become by now: nothing stays deleted for ever.
     *
     * @param  Instant|null  $from  whence the plan's days count; null: that is not known
     * @param  int  $day  which of them it was
     */
    private static function follows(Phase $proven, EndPlan $plan, ?Instant $from, int $day, Instant $now): Phase
    {
        if ($from === null) {
            return $proven;
        }
        $isReached = false;
        foreach ($plan->stages as [$phase, , $to]) {
            $isReached = $isReached || $phase === $proven;
            if ($isReached && ($to === null || ! $from->plusDays($to - $day)->hasComeAt($now))) {
                return $phase;
            }
        }

        // By the rules no name there stands so: only the day on which it is free is known.
        return $from->plusDays(($plan->begin(Phase::Released) ?? 0) - $day)->hasComeAt($now) ? Phase::Released : $proven;
    }

    /**
     * What its registry said to be so was not over then, nor within the day until the next look: the last change of a record can be another
     * than its deletion.
     *
     * @param  int|null  $days  for which it is so; null: for ever
     */
    private static function notOver(Instant $since, Instant $seen, ?int $days): Instant
    {
        return $days === null ? $since : Instant::latest($since, $seen->plusDays(1 - $days));
    }

    /** @return list<Hold> */
    private static function holds(NameFacts $facts, RuleSet $rules): array
    {
        $holds = [];
        if ($facts->created !== null && $rules->holdAfterCreated->value > 0) {
            $holds[] = new Hold(HoldReason::Registered, $facts->created, $facts->created->plusDays($rules->holdAfterCreated->value));
        }
        if ($facts->moved !== null && $rules->holdAfterMoved->value > 0) {
            $holds[] = new Hold(HoldReason::Moved, $facts->moved, $facts->moved->plusDays($rules->holdAfterMoved->value));
        }

        if ($facts->registrantChanged !== null && $rules->registrantHold->value > 0) {
            $holds[] = new Hold(
                HoldReason::RegistrantChanged,
                $facts->registrantChanged,
                $facts->registrantChanged->plusDays($rules->registrantHold->value),
            );
        }

        return $holds;
    }

    /**
     * By time; what falls on one instant stays in the order of the kinds, in which they were made.
     *
     * @param  list<Event>  $events
     * @return list<Event>
     */
    private static function inOrder(array $events): array
    {
        usort($events, fn (Event $one, Event $other): int => $one->at->epoch <=> $other->at->epoch);

        return $events;
    }
}
