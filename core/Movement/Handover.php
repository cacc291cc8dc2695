<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Time\Instant;

/** One name that is to go from one account to another at the same registrar, and the judgement of it. */
final readonly class Handover
{
    /**
     * @param  Account|null  $receiver  null: not chosen yet, so only the name itself is judged
     * @param  Instant  $answerBy  by when an answer is wanted
     * @param  list<ExtraKind>  $extras  what was bought with the name
     * @param  Waiting|null  $underWay  another movement of this name
     * @param  list<Finding>  $seenOutside  where the outside says otherwise, with what that does to it
     */
    public function __construct(
        public Lifecycle $life,
        public Account $giver,
        public ?Account $receiver,
        public HandoverTerms $terms,
        public Instant $answerBy,
        public array $extras = [],
        public ?Waiting $underWay = null,
        public array $seenOutside = [],
    ) {
    }

    public function judge(): Readiness
    {
        $findings = [
            ...$this->aboutTheMovement(),
            ...$this->aboutTheReceiver(),
            ...$this->aboutTheEnd(),
            ...$this->aboutLocks(),
            ...$this->aboutExtras(),
            ...$this->seenOutside,
        ];

        return Readiness::of($findings, $this->legs(...));
    }

    /** @return list<Finding> */
    private function aboutTheMovement(): array
    {
        $findings = [];
        if ($this->underWay !== null) {
            $findings[] = Finding::of(
                MovementFinding::UnderWay,
                Effect::Stops,
                null,
                docket: $this->underWay->docket,
                by: $this->underWay->by,
            );
        }
        if ($this->life->facts->has(Status::PendingTransfer)) {
            $findings[] = Finding::of(MovementFinding::TransferPending, Effect::Stops);
        }
        if (! $this->giver->ours) {
            $findings[] = Finding::of(MovementFinding::NoAccess, Effect::Stops, null, account: $this->giver->number);
        }
        $since = $this->life->facts->moved ?? $this->life->facts->created;
        if ($this->terms->holdDays > 0 && $since !== null) {
            $until = $since->plusDays($this->terms->holdDays);
            if (! $until->hasComeAt($this->life->now)) {
                $findings[] = Finding::of(MovementFinding::HeldAtRegistrar, Effect::Delays, $until, until: $until);
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function aboutTheReceiver(): array
    {
        $receiver = $this->receiver;
        if ($receiver === null) {
            return [];
        }
        if ($receiver->registrar !== $this->giver->registrar) {
            return [
                Finding::of(
                    MovementFinding::OtherRegistrar,
                    Effect::Stops,
                    null,
                    held: $this->giver->registrarName,
                    asked: $receiver->registrarName,
                ),
            ];
        }
        if ($receiver->id === $this->giver->id) {
            return [Finding::of(MovementFinding::AlreadyThere, Effect::Stops, null, account: $receiver->number)];
        }
        $findings = [];
        foreach ($this->terms->receiverBy->identifiers() as $identifier) {
            if (($receiver->identifier($identifier) ?? '') === '') {
                $findings[] = Finding::of(
                    MovementFinding::ReceiverLacks,
                    Effect::Stops,
                    null,
                    registrar: $receiver->registrarName,
                    identifier: $identifier->value,
                );
            }
        }
        // Who answers a letter with what names the account proves it.
        if ($receiver->proven === null && $findings === [] && ! $this->terms->asksFirst($this->receiver)) {
            // A single identifier with a slip in it gives the name to a stranger, so there the missing proof stops.
            $findings[] = $this->terms->receiverBy->checksItself()
                ? Finding::of(MovementFinding::ReceiverUnproven, Effect::Worth, null, registrar: $receiver->registrarName)
                : Finding::of(MovementFinding::ReceiverUnprovenAlone, Effect::NotKnown, null, registrar: $receiver->registrarName);
        }
        if ($this->terms->asksFirst($this->receiver)) {
            $mailbox = $receiver->mailbox ?? '';
            $findings[] =
                $mailbox === ''
                    ? Finding::of(
                        MovementFinding::ReceiverLacks,
                        Effect::Stops,
                        null,
                        registrar: $receiver->registrarName,
                        identifier: Identifier::Mailbox->value,
                    )
                    : Finding::of(MovementFinding::ReceiverIsAsked, Effect::Worth, null, mailbox: $mailbox);
        }
        if ($receiver->mailbox !== null && self::domainOf($receiver->mailbox)?->equals($this->life->facts->name) === true) {
            $findings[] = Finding::of(MovementFinding::MailboxInside, Effect::Worth, null, mailbox: $receiver->mailbox);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function aboutTheEnd(): array
    {
        $life = $this->life;
        $ends = $life->facts->ends ?? $life->since;
        if ($ends === null) {
            return $life->rules->showsEnd->value ? [Finding::of(MovementFinding::EndNotKnown, Effect::NotKnown)] : [];
        }
        if ($life->mayBeRenewed()) {
            return [Finding::of(MovementFinding::MaybeRenewed, Effect::NotKnown, null, ended: $ends)];
        }
        if ($life->phase->isLate()) {
            return [
                match (true) {
                    $life->phase === Phase::Redemption || $life->phase === Phase::Quarantine => Finding::of(
                        MovementFinding::InRedemption,
                        Effect::Stops,
                        null,
                        until: $life->event(EventKind::LastAtAll)->at ?? $ends,
                    ),
                    $life->phase === Phase::PendingDelete || $life->phase === Phase::Released => Finding::of(
                        MovementFinding::GoneForGood,
                        Effect::Stops,
                    ),
                    default => Finding::of(MovementFinding::PastEnd, Effect::Stops, null, ended: $ends),
                },
            ];
        }
        $findings = [];
        if ($ends->hasComeAt($life->now->plusDays(1))) {
            return [Finding::of(MovementFinding::EndsToday, Effect::Stops, null, ends: $ends)];
        }
        if (! $this->answerBy->isBefore($ends)) {
            $findings[] = Finding::of(MovementFinding::AcceptBeforeEnd, Effect::Worth, null, ends: $ends, by: $this->lastAnswer());
        }
        if ($life->facts->intent === Intent::Lapse) {
            $findings[] = Finding::of(MovementFinding::MeantToLapse, Effect::Worth, null, ends: $ends);
        }
        $charge = $life->coming(EventKind::Charge);
        if ($charge !== null && ! $charge->at->isAfter($this->answerBy)) {
            $findings[] = Finding::of(
                MovementFinding::ChargedMeanwhile,
                Effect::Worth,
                null,
                at: $charge->at,
                account: $this->giver->number,
            );
        }

        return $findings;
    }

    /** Whether a lock is in the way; where no name has one, what is recorded of it is nothing to lift. */
    private function locksFirst(): bool
    {
        return $this->terms->lockFirst && $this->life->rules->mayBeLocked();
    }

    /** @return list<Finding> */
    private function aboutLocks(): array
    {
        $findings = [];
        if ($this->locksFirst() && $this->life->facts->isLocked()) {
            $findings[] = Finding::of(MovementFinding::LockLifted);
        } elseif ($this->locksFirst() && $this->life->facts->lock === Lock::NotKnown) {
            $findings[] = Finding::of(MovementFinding::LockNotKnown);
        }
        if ($this->terms->unlockAccountFirst) {
            $findings[] = Finding::of(MovementFinding::AccountUnlocked);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function aboutExtras(): array
    {
        $findings = [];
        foreach ($this->extras as $extra) {
            $tag = match ($this->terms->extras[$extra->value] ?? null) {
                ExtraFate::Ends => MovementFinding::ExtraEnds,
                ExtraFate::Stays => MovementFinding::ExtraStays,
                ExtraFate::ComesAlong => null,
                null => MovementFinding::ExtraNotKnown,
            };
            if ($tag !== null) {
                $findings[] = Finding::of($tag, Effect::Worth, null, extra: $extra->value);
            }
        }

        return $findings;
    }

    /** @return list<Leg> */
    private function legs(): array
    {
        $by = $this->lastAnswer();
        $lifted = $this->locksFirst() && $this->life->facts->isLocked();
        $asks = $this->terms->asksFirst($this->receiver);
        $kinds = $asks ? [LegKind::Accept] : [];
        if ($this->terms->unlockAccountFirst) {
            $kinds[] = LegKind::UnlockAccount;
        }
        if ($lifted) {
            $kinds[] = LegKind::LiftLock;
        }
        $kinds[] = LegKind::Offer;
        foreach ($this->terms->confirms->legs() as $kind) {
            if (! $asks || $kind !== LegKind::Accept) {
                $kinds[] = $kind;
            }
        }
        if ($this->terms->unlockAccountFirst) {
            $kinds[] = LegKind::LockAccount;
        }
        if ($lifted) {
            $kinds[] = LegKind::SetLock;
        }
        $theirs = $this->isTheirs();

        $legs = [];
        foreach ($kinds as $kind) {
            $legs[] = new Leg(
                $kind,
                $theirs && ! $kind->isGiving() ? Actor::Receiver : Actor::House,
                $kind->comesAfter() ? $by->plusDays(1) : $by,
            );
        }

        return $legs;
    }

    private function isTheirs(): bool
    {
        return $this->receiver !== null && ! $this->receiver->ours;
    }

    /** By when it must be answered: as wanted, but before the name ends. */
    private function lastAnswer(): Instant
    {
        $ends = $this->life->facts->ends;

        return $ends === null || $this->answerBy->isBefore($ends) ? $this->answerBy : $ends->plusDays(-1);
    }

    private static function domainOf(string $mailbox): ?DomainName
    {
        $at = strrpos($mailbox, '@');
        try {
            return $at === false ? null : DomainName::of(substr($mailbox, $at + 1))->registrable();
        } catch (NameError) {
            return null;
        }
    }
}
