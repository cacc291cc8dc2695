<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Rulebook\Rescue;
use Acre\Core\Rulebook\RuleSet;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use LogicException;

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
     * @param  bool  $presumed  an expected instant has passed, and nothing confirms which way it went
     * @param  EndPlan|null  $plan  what surrounds its end; null: it has none that is known
     * @param  list<Hold>  $holds
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
    ) {
    }

    public static function of(NameFacts $facts, LateTerms $terms, RuleSet $rules, Instant $now): self
    {
        $ends = $facts->ends;
        $plan = $ends === null ? null : $rules->plans->of($rules, $terms, $facts->intent);
        // A term that ends before it begins is refused.
        $span = $ends === null ? null : Span::of($facts->created, $ends);
        $proven = null;
        foreach ($facts->statuses as $status) {
            $proven ??= $status->phase();
        }
        // autoRenewPeriod also stands on a name that did renew: it proves grace only when the end has passed.
        if ($proven === Phase::Grace && ($span === null || $ends === null || ! $ends->hasComeAt($now))) {
            $proven = null;
        }
        $phase = $proven ?? ($plan === null || $ends === null ? Phase::NotKnown : self::phaseAt($plan, $ends, $now));
        $holds = self::holds($facts, $rules);

        return new self($facts, $terms, $rules, $now, $phase, $proven === null && $phase->isLate(), $plan, $holds);
    }

    /** @return list<Event> all of them in order, those already past included */
    public function events(): array
    {
        $events = [];
        foreach ($this->plan->events ?? [] as $planned) {
            $events[] = $this->planned($planned);
        }
        foreach ($this->holds as $hold) {
            $events[] = new Event(EventKind::HoldEnds, $hold->until);
        }

        return $this->holds === [] ? $events : self::inOrder($events);
    }

    /** @return list<Stage> if it is not renewed: from its creation without gap or overlap to its release */
    public function stages(): array
    {
        $ends = $this->facts->ends;
        if ($ends === null || $this->plan === null) {
            return [new Stage(Phase::NotKnown, Span::of($this->facts->created, null), Rescue::Renew)];
        }

        return array_map(fn (array $stage): Stage => new Stage(
            $stage[0], Span::of($stage[1] === null ? $this->facts->created : $ends->plusDays($stage[1]), $stage[2] === null ? null : $ends->plusDays($stage[2])), $stage[3],
        ), $this->plan->stages);
    }

    /** @return list<int> when anything of it changes: its events, and where one phase follows another; seconds since 1970 */
    public function dates(): array
    {
        $dates = [];
        $ends = $this->facts->ends->epoch ?? 0;
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

        return $until === null ? null : $this->facts->ends?->plusDays($until);
    }

    /** The end if it is renewed for one more year, or for the least that the registry sells. */
    public function renewedUntil(): ?Instant
    {
        return $this->facts->ends === null ? null : Term::extend($this->facts->created, $this->facts->ends, max(1, $this->rules->leastYears->value));
    }

    /** @return list<Event> what is still to come, soonest first */
    public function toCome(): array
    {
        return array_values(array_filter($this->events(), fn (Event $event): bool => ! $event->at->hasComeAt($this->now)));
    }

    public function event(EventKind $kind): ?Event
    {
        foreach ($this->plan->events ?? [] as $planned) {
            if ($planned[0] === $kind) {
                return $this->planned($planned);
            }
        }

        return $kind === EventKind::HoldEnds ? array_values(array_filter($this->events(), fn (Event $event): bool => $event->kind === $kind))[0] ?? null : null;
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

    /** How many years could be added today. */
    public function addableYears(): int
    {
        return $this->facts->ends === null ? 0 : Term::addable($this->facts->created, $this->facts->ends, $this->rules, $this->now);
    }

    /** @param  array{EventKind, int, 'renew'|'late'|null, bool}  $planned */
    private function planned(array $planned): Event
    {
        [$kind, $days, $sum, $certain] = $planned;
        $ends = $this->facts->ends ?? throw new LogicException('Only what ends has a plan.');

        return new Event($kind, $ends->plusDays($days), $sum === null ? null : ($sum === 'renew' ? $this->terms->renew : $this->terms->late), $certain);
    }

    private static function phaseAt(EndPlan $plan, Instant $ends, Instant $now): Phase
    {
        foreach ($plan->stages as $stage) {
            if ($stage[2] === null || ! $ends->plusDays($stage[2])->hasComeAt($now)) {
                return $stage[0];
            }
        }

        return Phase::Released;
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
            $holds[] = new Hold(HoldReason::RegistrantChanged, $facts->registrantChanged, $facts->registrantChanged->plusDays($rules->registrantHold->value));
        }

        return $holds;
    }

    /**
     * By time; what falls on one instant stays in the order of the kinds, in which they were made. They are few and nearly
     * in order: sorting them by the language’s own means takes a quarter of a lifecycle.
     *
     * @param  list<Event>  $events
     * @return list<Event>
     */
    private static function inOrder(array $events): array
    {
        $count = count($events);
        for ($from = 1; $from < $count; $from++) {
            for ($place = $from; $place > 0 && $events[$place - 1]->at->epoch > $events[$place]->at->epoch; $place--) {
                [$events[$place - 1], $events[$place]] = [$events[$place], $events[$place - 1]];
            }
        }

        return array_values($events);
    }
}
