<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Rulebook\Darkness;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Rulebook\RuleSet;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;

/**
 * A name's dates and phases, past and to come, from facts, terms and rules.
 *
 * Nothing but `$phase` and `$presumed` depends on the clock: moving it never moves an event.
 */
final readonly class Lifecycle
{
    /**
     * @param  Phase  $phase  where it stands at `$now`
     * @param  bool  $presumed  an expected instant has passed, and nothing confirms which way it went
     * @param  list<Stage>  $stages  if it is not renewed: from its creation without gap or overlap to its release
     * @param  list<Event>  $events  all of them in order, those already past included
     * @param  list<Hold>  $holds
     */
    private function __construct(
        public NameFacts $facts,
        public LateTerms $terms,
        public RuleSet $rules,
        public Instant $now,
        public Phase $phase,
        public bool $presumed,
        public array $stages,
        public array $events,
        public array $holds,
    ) {
    }

    public static function of(NameFacts $facts, LateTerms $terms, RuleSet $rules, Instant $now): self
    {
        $stages = self::stages($facts, $terms, $rules);
        $holds = self::holds($facts, $rules);
        $proven = null;
        foreach ($facts->statuses as $status) {
            $proven ??= $status->phase();
        }
        // autoRenewPeriod also stands on a name that did renew: it proves grace only when the end has passed.
        if ($proven === Phase::Grace && ($facts->ends === null || ! $facts->ends->hasComeAt($now))) {
            $proven = null;
        }
        $phase = $proven ?? self::stageAt($stages, $now)->phase;

        return new self(
            $facts, $terms, $rules, $now,
            $phase,
            $proven === null && $phase->isLate(),
            $stages,
            self::events($facts, $terms, $rules, $stages, $holds),
            $holds,
        );
    }

    /** The end if it is renewed for one more year, or for the least that the registry sells. */
    public function renewedUntil(): ?Instant
    {
        return $this->facts->ends === null ? null : Term::extend($this->facts->created, $this->facts->ends, max(1, $this->rules->leastYears->value));
    }

    /** @return list<Event> what is still to come, soonest first */
    public function toCome(): array
    {
        return array_values(array_filter($this->events, fn (Event $event): bool => ! $event->at->hasComeAt($this->now)));
    }

    public function event(EventKind $kind): ?Event
    {
        foreach ($this->events as $event) {
            if ($event->kind === $kind) {
                return $event;
            }
        }

        return null;
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

    /** @return list<Stage> */
    private static function stages(NameFacts $facts, LateTerms $terms, RuleSet $rules): array
    {
        if ($facts->ends === null) {
            return [new Stage(Phase::NotKnown, Span::of($facts->created, null), Rescue::Renew)];
        }
        $stages = [new Stage(Phase::InTerm, Span::of($facts->created, $facts->ends), Rescue::Renew)];
        $at = $facts->ends;
        foreach ($rules->end->value as $phase) {
            $days = $phase->cut && $terms->lateUntil !== null ? min($phase->days, $terms->lateUntil) : $phase->days;
            if ($days === 0) {
                continue;
            }
            $until = $at->plusDays($days);
            $stages[] = new Stage($phase->phase, Span::of($at, $until), $phase->rescue);
            $at = $until;
        }
        $stages[] = new Stage(Phase::Released, Span::since($at), Rescue::Nothing);

        return $stages;
    }

    /** @param  list<Stage>  $stages */
    private static function stageAt(array $stages, Instant $now): Stage
    {
        foreach ($stages as $stage) {
            if ($stage->span->until === null || ! $stage->span->until->hasComeAt($now)) {
                return $stage;
            }
        }

        return $stages[count($stages) - 1];
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

        return $holds;
    }

    /**
     * @param  list<Stage>  $stages
     * @param  list<Hold>  $holds
     * @return list<Event>
     */
    private static function events(NameFacts $facts, LateTerms $terms, RuleSet $rules, array $stages, array $holds): array
    {
        $events = [];
        $ends = $facts->ends;
        if ($ends !== null) {
            if ($facts->intent === Intent::AskClient) {
                $events[] = new Event(EventKind::AskBy, $ends->plusDays(-$terms->askLead));
            }
            if ($facts->intent === Intent::ByItself) {
                $events[] = new Event(EventKind::Charge, $ends->plusDays(-$terms->chargeLead), $terms->renew);
            }
            $events[] = new Event(EventKind::End, $ends);
            $events[] = self::dark($ends, $terms, $rules, $stages);
            $renewable = self::until($stages, Rescue::Renew) ?? $ends;
            if ($terms->lateUntil !== null) {
                $renewable = Instant::earliest($renewable, $ends->plusDays($terms->lateUntil));
            }
            $plain = $terms->plainAfter === null ? $ends : $ends->plusDays($terms->plainAfter);
            if ($plain->epoch < $renewable->epoch || $terms->restore !== null) {
                $events[] = new Event(EventKind::LastPlain, Instant::earliest($plain, $renewable), $terms->late, $terms->plainAfter !== null);
            }
            $events[] = new Event(EventKind::LastAtAll, self::until($stages, Rescue::Restore) ?? $renewable);
            $released = $stages[count($stages) - 1]->span->from;
            if ($released !== null) {
                $events[] = new Event(EventKind::Released, $released);
            }
        }
        foreach ($holds as $hold) {
            $events[] = new Event(EventKind::HoldEnds, $hold->until);
        }

        return self::inOrder($events);
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

    /** @param  list<Stage>  $stages */
    private static function dark(Instant $ends, LateTerms $terms, RuleSet $rules, array $stages): Event
    {
        $at = $ends;
        foreach ($rules->end->value as $phase) {
            $stage = self::stage($stages, $phase->phase);
            if ($stage === null) {
                continue;
            }
            $at = $stage->span->from ?? $ends;
            if ($phase->dark === Darkness::Dark) {
                break;
            }
            if ($phase->dark === Darkness::May) {
                // By the recovery policy at the latest: the last days in which it can be renewed are dark.
                $latest = ($stage->span->until ?? $at)->plusDays(-$rules->lastDark->value);
                $told = $terms->darkAfter === null ? $at : $ends->plusDays($terms->darkAfter);

                return new Event(EventKind::Dark, Instant::latest($ends, Instant::earliest($told, $latest)), null, $terms->darkAfter !== null);
            }
        }
        if ($terms->darkAfter !== null) {
            $at = Instant::earliest($at, $ends->plusDays($terms->darkAfter));
        }

        return new Event(EventKind::Dark, $at);
    }

    /** @param  list<Stage>  $stages */
    private static function stage(array $stages, Phase $phase): ?Stage
    {
        foreach ($stages as $stage) {
            if ($stage->phase === $phase) {
                return $stage;
            }
        }

        return null;
    }

    /** @param  list<Stage>  $stages */
    private static function until(array $stages, Rescue $rescue): ?Instant
    {
        $until = null;
        foreach ($stages as $stage) {
            if ($stage->rescue === $rescue) {
                $until = $stage->span->until;
            }
        }

        return $until;
    }
}
