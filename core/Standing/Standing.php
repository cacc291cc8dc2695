<?php

declare(strict_types=1);

namespace Acre\Core\Standing;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\Hold;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\LifecycleFinding;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Money\Money;
use Acre\Core\Movement\MovementFinding;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Time\Instant;

/** What the rules say of a name today: the next date, how loudly to tell it, and the findings of its sentence. */
final readonly class Standing
{
    /** Days before an unguarded end from which it is told as soon, and as grave: the house's own choice, no rule of the trade. */
    private const SOON = 60;

    private const GRAVE = 14;

    /** Seconds. */
    private const DAY = 86_400;

    /**
     * @param  Instant|null  $at  when the next thing comes; null: nothing comes
     * @param  Money|null  $sum  what it costs
     * @param  list<Finding>  $findings  dearest to miss first
     * @param  bool  $isAmiss  whether something is wrong with it already: late, switched off, deleted, on hold, or an answer overdue; it is
     *     told before all that is only to come
     * @param  Instant|null  $until  when this standing must be made again, if no fact changes first
     */
    private function __construct(
        public Lifecycle $lifecycle,
        public NextKind $next,
        public ?Instant $at,
        public ?Money $sum,
        public Severity $severity,
        public array $findings,
        public ?Instant $until,
        public bool $isAmiss = false,
    ) {
    }

    public static function of(Lifecycle $life, ?Waiting $waiting = null): self
    {
        [$kind, $at, $sum, $finding] = self::next($life);
        $severity = self::severity($life, $kind, $at);
        $isAmiss = self::isAmiss($life, $kind, $severity);
        $findings = [$finding, ...self::others($life, $waiting !== null)];
        if ($waiting !== null) {
            $findings[] = Finding::of(MovementFinding::UnderWay, Effect::Worth, null, docket: $waiting->docket, by: $waiting->by);
            if ($severity !== Severity::Grave && ($at === null || ! $at->isBefore($waiting->by))) {
                [$kind, $at, $sum, $severity] = [
                    NextKind::Handover,
                    $waiting->by,
                    null,
                    $waiting->isOver($life->now) ? Severity::Soon : Severity::Moving,
                ];
            }
        }
        $until = self::until($life);
        if ($waiting !== null && ! $waiting->isOver($life->now)) {
            $until = Instant::earliest($waiting->over(), ...array_filter([$until]));
        }

        return new self($life, $kind, $at, $sum, $severity, Finding::dearestFirst($findings), $until, $isAmiss);
    }

    /**
     * Of a name that is only watched: its end is somebody else's to mind, or, deleted, the day on which it falls free.
     *
     * @param  string  $why  why it is watched, in the house's words
     */
    public static function watched(Lifecycle $life, string $why): self
    {
        return new self(
            $life,
            NextKind::Watched,
            $life->since === null ? $life->facts->ends : $life->event(EventKind::Released)?->at,
            null,
            Severity::Calm,
            [Finding::of(LifecycleFinding::Watched, why: $why)],
            self::until($life),
        );
    }

    /** From when it may go to another registrar, where something holds it today; null: nothing does. */
    public function heldUntil(): ?Instant
    {
        $holds = array_map(fn (Hold $hold): Instant => $hold->until, $this->lifecycle->holdsNow());

        return $holds === [] ? null : Instant::latest(...$holds);
    }

    /** @return array{NextKind, Instant|null, Money|null, Finding} */
    private static function next(Lifecycle $life): array
    {
        $ends = $life->facts->ends ?? $life->since;
        if ($ends === null) {
            return [NextKind::NotKnown, null, null, Finding::of(LifecycleFinding::EndNotKnown)];
        }
        if ($life->facts->outside?->isGone === true) {
            $gone = $life->since ?? $life->facts->outside->at;

            return [
                NextKind::Gone,
                null,
                null,
                Finding::of(self::hasLapsed($life) ? LifecycleFinding::Lapsed : LifecycleFinding::Gone, at: $gone),
            ];
        }
        if ($life->phase === Phase::InTerm) {
            return $life->presumed
                ? [
                    NextKind::Renewed,
                    $life->facts->seenUntil,
                    null,
                    Finding::of(LifecycleFinding::RenewedOutside, ended: $ends, until: $life->facts->seenUntil ?? $ends),
                ]
                : self::inTerm($life, $ends);
        }
        $renewUntil = $life->last(Rescue::Renew) ?? $ends;
        if ($life->mayBeRenewed()) {
            return [
                NextKind::Presumed,
                $life->phase === Phase::Grace && ! $renewUntil->hasComeAt($life->now)
                    ? $renewUntil
                    : $life->coming(EventKind::LastAtAll)?->at,
                $life->terms->renew,
                Finding::of(LifecycleFinding::PresumedRenewed, ended: $ends, until: $life->renewedByNow() ?? $ends),
            ];
        }
        $lastAtAll = ($life->coming(EventKind::LastAtAll) ?? $life->event(EventKind::Released))->at ?? $ends;
        $plain = $life->coming(EventKind::LastPlain);
        // Nobody wants it, and nobody is alarmed; whoever changes their mind sees until when they can.
        if ($life->facts->intent === Intent::Lapse && $life->phase->isLate() && ! $life->isCutShort()) {
            $released = $life->event(EventKind::Released)->at ?? $lastAtAll;

            return $life->rescue() === Rescue::Nothing
                ? [
                    NextKind::Lapsing,
                    $released->hasComeAt($life->now) ? null : $released,
                    null,
                    Finding::of(LifecycleFinding::Lapsed, at: $released),
                ]
                : [
                    NextKind::Lapsing,
                    $lastAtAll->hasComeAt($life->now) ? null : $lastAtAll,
                    null,
                    Finding::of(LifecycleFinding::Lapsing, ended: $ends, until: $lastAtAll),
                ];
        }

        if ($life->facts->isCalledOk && $life->phase === Phase::Grace && $renewUntil->hasComeAt($life->now)) {
            return [
                NextKind::LateDear,
                $life->coming(EventKind::LastAtAll)?->at,
                $life->terms->lateSum() ?? $life->terms->renew,
                Finding::of(LifecycleFinding::LateStillOk, ended: $ends),
            ];
        }

        return match ($life->phase) {
            Phase::Grace => $plain !== null && $plain->at->epoch < $renewUntil->epoch
                ? [
                    NextKind::LatePlain,
                    $plain->at,
                    $life->terms->renew,
                    Finding::of(LifecycleFinding::LatePlain, until: $plain->at, last: $renewUntil),
                ]
                : [
                    NextKind::LateDear,
                    $renewUntil,
                    $life->isPlainToday() ? $life->terms->renew : $life->terms->lateSum() ?? $life->terms->renew,
                    Finding::of(LifecycleFinding::LateDear, until: $renewUntil, last: $lastAtAll),
                ],
            Phase::Suspended => [
                NextKind::Suspended,
                $renewUntil,
                $life->isPlainToday() ? $life->terms->renew : $life->terms->lateSum() ?? $life->terms->renew,
                Finding::of(LifecycleFinding::Suspended, until: $renewUntil, last: $lastAtAll),
            ],
            Phase::Redemption, Phase::Quarantine => [
                NextKind::Redemption,
                $lastAtAll,
                $life->terms->restore,
                Finding::of(LifecycleFinding::Redemption, until: $lastAtAll),
            ],
            Phase::PendingDelete => [
                NextKind::PendingDelete,
                $life->event(EventKind::Released)->at ?? $ends,
                null,
                Finding::of(LifecycleFinding::PendingDelete, at: $life->event(EventKind::Released)->at ?? $ends),
            ],
            default => [
                NextKind::Released,
                null,
                null,
                Finding::of(LifecycleFinding::Released, at: $life->event(EventKind::Released)->at ?? $ends),
            ],
        };
    }

    /** @return array{NextKind, Instant, Money|null, Finding} */
    private static function inTerm(Lifecycle $life, Instant $ends): array
    {
        $charge = $life->event(EventKind::Charge);
        $ask = $life->event(EventKind::AskBy);
        $renew = $life->terms->renew;

        return match (true) {
            $charge !== null && ! $charge->at->hasComeAt($life->now) => [
                NextKind::Charge,
                $charge->at,
                $renew,
                $renew === null
                    ? Finding::of(LifecycleFinding::RenewsAtUnknownPrice, at: $charge->at)
                    : Finding::of(LifecycleFinding::RenewsByItself, at: $charge->at, sum: $renew),
            ],
            $charge !== null => [
                NextKind::ChargeUnconfirmed,
                $ends,
                $renew,
                Finding::of(LifecycleFinding::ChargeUnconfirmed, at: $charge->at, ends: $ends),
            ],
            $ask !== null && ! $ask->at->hasComeAt($life->now) => [
                NextKind::AskClient,
                $ask->at,
                $renew,
                Finding::of(LifecycleFinding::AskClient, by: $ask->at, ends: $ends),
            ],
            $ask !== null => [
                NextKind::AskedTooLate,
                $ends,
                $renew,
                Finding::of(LifecycleFinding::AskedTooLate, ends: $ends, by: $ask->at),
            ],
            $life->facts->intent === Intent::Lapse => [NextKind::Lapses, $ends, null, Finding::of(LifecycleFinding::Lapses, at: $ends)],
            default => [NextKind::Ends, $ends, $renew, Finding::of(LifecycleFinding::EndsUnlessRenewed, at: $ends)],
        };
    }

    private static function severity(Lifecycle $life, NextKind $kind, ?Instant $at): Severity
    {
        if (self::isHeld($life, $kind)) {
            return Severity::Grave;
        }
        $severity = self::bySchedule($life, $kind, $at);

        return $severity === Severity::Calm && $life->facts->missing !== null ? Severity::Soon : $severity;
    }

    private static function isAmiss(Lifecycle $life, NextKind $kind, Severity $severity): bool
    {
        return self::isHeld($life, $kind) ||
            match ($kind) {
                NextKind::AskedTooLate,
                NextKind::LatePlain,
                NextKind::LateDear,
                NextKind::Suspended,
                NextKind::Redemption,
                NextKind::PendingDelete,
                NextKind::Released => true,
                NextKind::Gone, NextKind::Presumed => $severity === Severity::Grave,
                default => false,
            };
    }

    /** Whether it is switched off by its record; of one that lapses as was meant that is no news. */
    private static function isHeld(Lifecycle $life, NextKind $kind): bool
    {
        return $life->facts->has(Status::ClientHold, Status::ServerHold) && $kind !== NextKind::Lapsing;
    }

    /** Whether it is gone, and was meant to be. */
    private static function hasLapsed(Lifecycle $life): bool
    {
        return $life->facts->intent === Intent::Lapse && $life->facts->ends?->isBefore($life->since ?? $life->now) === true;
    }

    private static function bySchedule(Lifecycle $life, NextKind $kind, ?Instant $at): Severity
    {
        $days = $at === null ? PHP_INT_MAX : $life->now->daysUntil($at);

        return match ($kind) {
            NextKind::LatePlain, NextKind::LateDear, NextKind::Suspended, NextKind::Redemption, NextKind::PendingDelete => Severity::Grave,
            NextKind::Gone => self::hasLapsed($life) ? Severity::Calm : Severity::Grave,
            NextKind::Ends => $days <= self::GRAVE ? Severity::Grave : ($days <= self::SOON ? Severity::Soon : Severity::Calm),
            NextKind::AskClient, NextKind::Lapses => $days <= self::SOON ? Severity::Soon : Severity::Calm,
            // Long after its end it may be near its last day instead.
            NextKind::Presumed => $life->phase !== Phase::Grace && $life->rescue() !== Rescue::Nothing ? Severity::Grave : Severity::Soon,
            NextKind::AskedTooLate,
            NextKind::ChargeUnconfirmed,
            NextKind::Renewed,
            NextKind::NotKnown,
            NextKind::Released => Severity::Soon,
            NextKind::Charge, NextKind::Handover, NextKind::Watched, NextKind::Lapsing => Severity::Calm,
        };
    }

    /** @return list<Finding> */
    private static function others(Lifecycle $life, bool $moving): array
    {
        $findings = [];
        if ($life->facts->outside !== null) {
            $findings[] = Finding::of(LifecycleFinding::AsSeen, at: $life->facts->outside->at);
        }
        foreach ($life->facts->today() as $status) {
            if ($status === Status::ClientHold || $status === Status::ServerHold) {
                $findings[] = Finding::of(LifecycleFinding::OnHold, status: $status->value);
            }
        }
        $holds = $life->holdsNow();
        usort($holds, fn (Hold $a, Hold $b): int => $b->until->epoch <=> $a->until->epoch);
        if ($holds !== []) {
            $findings[] = Finding::of(LifecycleFinding::MayNotMove, until: $holds[0]->until, reason: $holds[0]->reason->value);
        }
        if (
            ! $moving &&
            $life->phase === Phase::InTerm &&
            $life->facts->lock === Lock::Off &&
            $life->rules->hasLock->value &&
            ! $life->facts->isLocked() &&
            ! $life->facts->has(Status::PendingTransfer)
        ) {
            $findings[] = Finding::of(LifecycleFinding::LockOff);
        }
        if ($life->facts->missing !== null) {
            $findings[] = Finding::of(LifecycleFinding::NotInList, since: $life->facts->missing);
        }
        if ($life->rules->isDefault) {
            $findings[] = Finding::of(LifecycleFinding::DefaultRules, suffix: $life->rules->suffix);
        }

        return $findings;
    }

    /** In seconds: this is asked of every date of every name. */
    private static function until(Lifecycle $life): ?Instant
    {
        $now = $life->now->epoch;
        $least = PHP_INT_MAX;
        foreach ($life->dates() as $epoch) {
            if ($epoch <= $now) {
                continue;
            }
            // How loudly a date is told changes so many whole days before it.
            $day = $epoch - ((($epoch % self::DAY) + self::DAY) % self::DAY);
            $soon = $day - self::SOON * self::DAY;
            $grave = $day - self::GRAVE * self::DAY;
            $change = $soon > $now ? $soon : ($grave > $now ? $grave : $epoch);
            $least = $change < $least ? $change : $least;
        }

        return $least === PHP_INT_MAX ? null : Instant::second($least);
    }
}
