<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Contact\TakesMail;
use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Hold;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Movement\Readiness;
use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Time\Instant;

/** One name that is to go from one registrar to another, and the judgement of it. */
final readonly class Transfer
{
    /** Days before its end in which nobody begins one: what was charged meanwhile may be lost (common practice). */
    public const LAST_DAYS = 30;

    /** Seconds of a year, and some days more. */
    private const YEAR = 370 * 86_400;

    private Arrival $arrival;

    /**
     * @param  list<Dispute>  $disputes
     * @param  Waiting|null  $underWay  another movement of this name
     * @param  list<Finding>  $seenOutside  where the outside says otherwise, with what that does to it
     * @param  ArrivalsSeen|null  $seen  how long others have taken; null: none have
     */
    public function __construct(
        public Lifecycle $life,
        public Losing $losing,
        public Gaining $gaining,
        public CodeKnown $code,
        public Approver $approver,
        public ServersKnown $servers,
        public array $disputes = [],
        public ?Waiting $underWay = null,
        public array $seenOutside = [],
        public ?ArrivalsSeen $seen = null,
    ) {
        $this->arrival = Arrival::of($life->rules->movesBy->value, $losing->isOurs, $life->now, $seen);
    }

    public function judge(): Readiness
    {
        if ($this->losing->registrar === $this->gaining->registrar) {
            return Readiness::of(
                [Finding::of(TransferFinding::SameRegistrar, Effect::Stops, null, registrar: $this->losing->registrar)],
                [],
            );
        }

        return Readiness::of([
            ...$this->aboutTheMovement(),
            ...$this->aboutLocks(),
            ...$this->aboutTheCode(),
            ...$this->aboutTheEnd(),
            ...$this->aboutTheGainingSide(),
            ...$this->aboutTheApprover(),
            ...$this->aboutTheServers(),
            ...$this->aboutExtras(),
            ...$this->seenOutside,
        ], $this->legs(...));
    }

    /**
     * The steps if it begins now. Before it is ordered everything is done at once; the losing side then has its days; what must be there
     * afterwards is counted from the latest arrival.
     *
     * @return list<Leg>
     */
    public function legs(): array
    {
        $rules = $this->life->rules;
        $now = $this->life->now;
        $arrival = $this->arrival();
        $after = $arrival->latest->plusDays(1);
        $legs = [];
        if ($rules->mayBeLocked() && $this->life->facts->isLocked()) {
            $legs[] = new Leg(LegKind::LiftLock, Actor::House, $now);
        }
        if ($this->losing->isOurs && $this->losing->renewsItself === true) {
            $legs[] = new Leg(LegKind::RenewOff, Actor::House, $now);
        }
        if ($rules->movesBy->value === MovesBy::Tag) {
            $legs[] = new Leg(LegKind::Tag, $this->losing->isOurs ? Actor::House : Actor::Giver, $arrival->latest, $arrival->likely);
        } else {
            if ($this->wantsCode()) {
                $legs[] = new Leg(LegKind::Code, Actor::House, $now);
            }
            $legs[] = $this->gaining->isOurs
                ? new Leg(LegKind::Order, Actor::House, $now)
                : new Leg(LegKind::HandOut, Actor::Receiver, $arrival->latest, $now);
            $legs[] = new Leg(LegKind::Answer, $this->losing->isOurs ? Actor::House : Actor::Registrar, $arrival->latest, $arrival->likely);
        }
        $legs[] = new Leg(LegKind::Arrive, Actor::Registry, $arrival->latest, $arrival->likely);
        if (! $this->gaining->isOurs) {
            return $legs;
        }
        if ($rules->verifyDays->value > 0) {
            $legs[] = new Leg(LegKind::Verify, Actor::Client, $arrival->latest->plusDays($rules->verifyDays->value));
        }
        if ($rules->mayBeLocked()) {
            $legs[] = new Leg(LegKind::SetLock, Actor::House, $after);
        }
        if ($this->gaining->renewsItself) {
            $legs[] = new Leg(LegKind::RenewOn, Actor::House, $after);
        }

        return [...$legs, new Leg(LegKind::Compare, Actor::House, $after)];
    }

    /** Whether a code must be asked for, or typed, before it can begin. */
    public function wantsCode(): bool
    {
        $until = $this->code->goodUntil($this->life->rules->codeDays->value);

        $isGood = $this->code->inHand !== null && $this->code->fits !== false && $until?->hasComeAt($this->life->now) !== true;

        return $this->isByCode() && ! $isGood;
    }

    public function arrival(): Arrival
    {
        return $this->arrival;
    }

    /**
     * The end that it has afterwards: with the added year, but not further ahead than names of its suffix go (RFC 5731 §3.2.4); in the
     * grace after an end that its registry renewed by itself it keeps one year, not two (gTLD registry agreements). Null: not known.
     */
    public function endAfter(): ?Instant
    {
        $ends = $this->life->facts->ends;
        $after = $ends?->plusYears($this->life->rules->moveAdds->value);
        $most = $this->furthest();

        return $after !== null && $after->isAfter($most) ? Instant::latest($most, $ends) : $after;
    }

    private function furthest(): Instant
    {
        return $this->arrival()->latest->toDay()->plusYears($this->life->rules->yearsAhead->value);
    }

    private function isByCode(): bool
    {
        return $this->life->rules->movesBy->value === MovesBy::Code;
    }

    /** @return list<Finding> */
    private function aboutTheMovement(): array
    {
        $found = $this->underWay === null ? [] : [
            Finding::of(TransferFinding::UnderWay, Effect::Stops, null, docket: $this->underWay->docket, by: $this->underWay->by),
        ];
        if ($this->life->facts->has(Status::PendingTransfer)) {
            $found[] = Finding::of(TransferFinding::AlreadyMoving, Effect::Stops);
        }
        $holds = array_map(
            fn (Hold $hold): Finding => Finding::of(
                TransferFinding::Held,
                Effect::Delays,
                $hold->until,
                reason: $hold->reason->value,
                until: $hold->until,
            ),
            $this->life->holdsNow(),
        );

        $disputes = array_map(fn (Dispute $dispute): Finding => $dispute->finding(), $this->disputes);

        return [...$found, ...$disputes, ...$holds];
    }

    /** @return list<Finding> */
    private function aboutLocks(): array
    {
        $facts = $this->life->facts;
        $found = $facts->has(Status::ServerTransferProhibited)
            ? [Finding::of(TransferFinding::LockedByRegistry, Effect::Stops)]
            : [];
        if (! $this->life->rules->mayBeLocked()) {
            return $found;
        }

        return [...$found, ...match (true) {
            $facts->isLocked() && $this->losing->isOurs => [Finding::of(TransferFinding::LockLifted)],
            $facts->isLocked() => [
                Finding::of(TransferFinding::LockNotOurs, Effect::Stops, null, registrar: $this->losing->registrar),
            ],
            $facts->lock === Lock::NotKnown && ! $facts->isCalledOk => [Finding::of(TransferFinding::LockNotKnown, Effect::NotKnown)],
            default => [],
        }];
    }

    /** @return list<Finding> */
    private function aboutTheCode(): array
    {
        if (! $this->isByCode()) {
            return [];
        }
        $until = $this->code->goodUntil($this->life->rules->codeDays->value);
        $isOver = $until !== null && $until->hasComeAt($this->life->now);
        if ($this->code->inHand !== null && ! $isOver && $this->code->fits !== false) {
            return [];
        }

        return match (true) {
            // Ours to ask for: a step of it, and no reason to wait.
            $this->losing->isOurs => [Finding::of(TransferFinding::CodeAsked)],
            $this->code->fits === false => [
                Finding::of(TransferFinding::CodeWrong, Effect::Stops, null, registrar: $this->losing->registrar),
            ],
            $until !== null => [Finding::of(TransferFinding::CodeOver, Effect::Stops, null, until: $until)],
            default => [Finding::of(TransferFinding::CodeNotOurs, Effect::Stops, null, registrar: $this->losing->registrar)],
        };
    }

    /** @return list<Finding> */
    private function aboutTheEnd(): array
    {
        $life = $this->life;
        $ends = $life->facts->ends ?? $life->since;
        if ($life->phase === Phase::Redemption || $life->phase === Phase::Quarantine) {
            return [Finding::of(TransferFinding::InRedemption, Effect::Stops, null, ends: $ends ?? $life->now)];
        }
        if ($life->phase === Phase::PendingDelete || $life->phase === Phase::Released) {
            return [Finding::of(TransferFinding::GoneForGood, Effect::Stops)];
        }
        $adds = $life->rules->moveAdds->value;
        $found = $adds === 0 ? [Finding::of(TransferFinding::NoYear, Effect::Worth, null, suffix: $life->facts->name->suffix())] : [];
        if ($ends === null) {
            return $life->rules->showsEnd->value ? [...$found, Finding::of(TransferFinding::EndNotKnown, Effect::NotKnown)] : $found;
        }
        if ($life->phase->isLate()) {
            return [...$found, Finding::of(TransferFinding::YearPaidTwice, Effect::Worth, null, ends: $ends)];
        }
        $latest = $this->arrival()->latest;
        if (! $ends->isAfter($latest)) {
            return [...$found, Finding::of(TransferFinding::EndsOnTheWay, Effect::Stops, null, ends: $ends)];
        }

        return [...$found, ...$this->aboutMoney($ends, $latest, $adds)];
    }

    /** @return list<Finding> */
    private function aboutMoney(Instant $ends, Instant $latest, int $adds): array
    {
        $found = [];
        $charge = $this->life->terms->chargedAhead($ends) ?? $ends;
        $isToCome = ! $charge->hasComeAt($this->life->now) && ! $charge->isAfter($latest);
        if ($this->losing->renewsItself !== false && $isToCome) {
            $found[] = Finding::of(
                TransferFinding::ChargedOnTheWay,
                Effect::Worth,
                null,
                at: $charge,
                registrar: $this->losing->registrar,
            );
        } elseif ($this->losing->renewsItself === true) {
            $found[] = Finding::of(TransferFinding::RenewsItself, Effect::Worth, null, registrar: $this->losing->registrar);
        }
        if (! $ends->isAfter($this->life->now->plusDays(self::LAST_DAYS))) {
            $found[] = Finding::of(TransferFinding::LastDays, Effect::Worth, null, ends: $ends);
        }
        // Far from the limit no dates are worked out.
        $isFar = $ends->epoch - $this->life->now->epoch > ($this->life->rules->yearsAhead->value - $adds - 1) * self::YEAR;
        if ($adds > 0 && $isFar && $ends->plusYears($adds)->isAfter($this->furthest())) {
            $found[] = Finding::of(TransferFinding::YearLost, Effect::Worth, null, until: $this->endAfter() ?? $ends);
        }

        return $found;
    }

    /** @return list<Finding> */
    private function aboutTheGainingSide(): array
    {
        $registrar = $this->gaining->registrar;
        $suffix = $this->life->facts->name->suffix();
        if ($this->life->rules->movesBy->value === MovesBy::Tag && $this->gaining->tag === null) {
            return [Finding::of(TransferFinding::TagNotKnown, Effect::Stops, null, registrar: $registrar, suffix: $suffix)];
        }
        if (! $this->gaining->isOurs) {
            return [];
        }
        if ($this->gaining->takesSuffix !== true) {
            return [
                $this->gaining->takesSuffix === false
                    ? Finding::of(TransferFinding::SuffixNotTaken, Effect::Stops, null, registrar: $registrar, suffix: $suffix)
                    : Finding::of(TransferFinding::SuffixNotKnown, Effect::NotKnown, null, registrar: $registrar, suffix: $suffix),
            ];
        }
        $lacks = $this->gaining->lacks();

        return match (true) {
            $this->gaining->price === null => [
                Finding::of(TransferFinding::PriceNotKnown, Effect::NotKnown, null, registrar: $registrar),
            ],
            $lacks !== null => [Finding::of(TransferFinding::BalanceLacks, Effect::Stops, null, registrar: $registrar, sum: $lacks)],
            default => [],
        };
    }

    /** @return list<Finding> */
    private function aboutTheApprover(): array
    {
        $mailbox = $this->approver->mailbox;
        $found = $mailbox !== null && $this->approver->isInside
            ? [Finding::of(TransferFinding::MailboxInside, Effect::Worth, null, mailbox: $mailbox)]
            : [];
        // Where the gaining side writes to nobody, what reaches them is no condition.
        if (! $this->gaining->asksByLetter) {
            return $found;
        }

        return [...$found, ...match (true) {
            $mailbox === null => [Finding::of(TransferFinding::MailboxNotKnown, Effect::NotKnown)],
            $this->approver->takesMail === TakesMail::No => [
                Finding::of(TransferFinding::MailboxDead, Effect::Stops, null, mailbox: $mailbox),
            ],
            $this->approver->isForwarder === true => [
                Finding::of(TransferFinding::MailboxForwards, Effect::Stops, null, mailbox: $mailbox),
            ],
            $this->approver->isReplaced => [Finding::of(TransferFinding::LetterSwallowed, Effect::Stops)],
            default => [],
        }];
    }

    /** @return list<Finding> */
    private function aboutTheServers(): array
    {
        $found = [];
        $changes = $this->gaining->insistsOnServers || $this->servers->areLosings === true;
        if ($this->servers->areLosings === true) {
            $found[] = Finding::of(TransferFinding::ServersEnd, Effect::Worth, null, registrar: $this->losing->registrar);
        }
        if ($changes && ! $this->servers->isKept($this->life->now)) {
            $found[] = Finding::of(TransferFinding::ZoneNotKept, Effect::Stops);
        }
        if ($this->gaining->insistsOnServers && ! $this->servers->hasZoneThere) {
            $found[] = Finding::of(TransferFinding::ZoneNotThere, Effect::Stops, null, registrar: $this->gaining->registrar);
        }
        if ($this->servers->isSigned === true && ($this->gaining->takesSigned === false || $this->gaining->insistsOnServers)) {
            $found[] = Finding::of(TransferFinding::KeysNotTaken, Effect::Stops, null, registrar: $this->gaining->registrar);
        }

        return $found;
    }

    /** @return list<Finding> */
    private function aboutExtras(): array
    {
        return array_map(
            fn (ExtraKind $extra): Finding => Finding::of(
                TransferFinding::ExtraEnds,
                Effect::Worth,
                null,
                extra: $extra->value,
                registrar: $this->losing->registrar,
            ),
            $this->losing->extras,
        );
    }
}
