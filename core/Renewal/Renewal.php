<?php

declare(strict_types=1);

namespace Acre\Core\Renewal;

use Acre\Core\Balance\PaidFrom;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Term;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Money\Money;
use Acre\Core\Movement\MovementFinding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Price\Rate;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;

/** One name that is to be renewed for some years: whether it can be, its new end, and what it costs. */
final readonly class Renewal
{
    /** From so many years on, whoever renews is warned: they outlive everybody's memory (common practice). */
    private const VERY_LONG = 10;

    /**
     * @param  Rate|null  $rate  of one year; null: not known
     * @param  Rate|null  $late  what is asked on top once the plain days are over; null: nothing that is known
     * @param  Waiting|null  $underWay  a movement of this name
     * @param  list<Finding>  $seenOutside  where the outside says otherwise, with what that does to it
     */
    public function __construct(
        public Lifecycle $life,
        public int $years,
        public ?Rate $rate,
        public ?Rate $late,
        public Paying $paying,
        public ?Waiting $underWay = null,
        public array $seenOutside = [],
    ) {
    }

    public function judge(): Readiness
    {
        return Readiness::of([...$this->aboutTheName(), ...$this->aboutTheTerm(), ...$this->aboutMoney(), ...$this->seenOutside], []);
    }

    /** The end of the term that it then has; null: today's is not known. */
    public function endAfter(): ?Instant
    {
        $facts = $this->life->facts;

        return $facts->ends === null ? null : Term::extend($facts->created, $facts->ends, 12 * $this->years);
    }

    /** What is paid in the end; null: not known. */
    public function price(): ?Money
    {
        $late = $this->lateRate();

        return $this->rate === null ? null : ($late === null ? $this->rate->gross($this->years) : $this->rate->gross($this->years)->plus(
            $late->gross(),
        ));
    }

    /** The same before tax, as registries count it. */
    public function fee(): ?Money
    {
        $late = $this->lateRate();

        return $this->rate === null ? null : ($late === null ? $this->rate->net($this->years) : $this->rate->net($this->years)->plus(
            $late->net(),
        ));
    }

    /**
     * What is paid in the end where its registrar charged another fee than agreed.
     *
     * @param  Money  $fee  before tax, as registries count it
     */
    public function paid(Money $fee): Money
    {
        return match (true) {
            $this->rate === null, $fee->currency !== $this->rate->net->currency => $fee,
            // Of a late fee the tax can be another.
            $this->fee()?->equals($fee) === true => $this->price() ?? $fee,
            default => $fee->withTax($this->rate->taxPercent),
        };
    }

    /** What is asked on top today; null: nothing. */
    private function lateRate(): ?Rate
    {
        return $this->life->phase->isLate() && ! $this->life->isPlainToday() && $this->late?->net->currency === $this->rate?->net->currency
            ? $this->late
            : null;
    }

    /** @return list<Finding> */
    private function aboutTheName(): array
    {
        $facts = $this->life->facts;
        $findings = [];
        if (! $this->paying->isOurs) {
            $findings[] = Finding::of(MovementFinding::NoAccess, Effect::Stops, null, account: $this->paying->account);
        }
        if ($this->underWay !== null) {
            $findings[] = Finding::of(
                RenewalFinding::UnderWay,
                Effect::Stops,
                null,
                docket: $this->underWay->docket,
                by: $this->underWay->by,
            );
        } elseif ($facts->has(Status::PendingTransfer)) {
            $findings[] = Finding::of(RenewalFinding::AlreadyMoving, Effect::Stops);
        }
        if ($facts->has(Status::ClientRenewProhibited, Status::ServerRenewProhibited, Status::PendingRenew)) {
            $findings[] = Finding::of(RenewalFinding::Prohibited, Effect::Stops);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function aboutTheTerm(): array
    {
        $life = $this->life;
        $ends = $life->facts->ends;
        $after = $this->endAfter();
        if ($ends === null || $after === null) {
            return [Finding::of(BookFinding::NoEnd, Effect::Stops)];
        }
        if ($life->mayBeRenewed()) {
            return [Finding::of(RenewalFinding::MaybeRenewed, Effect::NotKnown, null, ended: $ends)];
        }
        if ($life->rescue() !== Rescue::Renew) {
            return [
                $life->rescue() === Rescue::Restore
                    ? Finding::of(BookFinding::RestoreFirst, Effect::Stops)
                    : Finding::of(RenewalFinding::GoneForGood, Effect::Stops),
            ];
        }
        $rules = $life->rules;
        $findings = [];
        $from = $life->renewableFrom();
        if ($from !== null) {
            $findings[] = Finding::of(RenewalFinding::TooEarly, Effect::Delays, $from, until: $from);
        }
        if ($this->years > $rules->mostYears->value) {
            $findings[] = Finding::of(RenewalFinding::TooManyYears, Effect::Stops, null, years: $rules->mostYears->value);
        } elseif (12 * $this->years < $rules->leastMonths->value) {
            $findings[] = Finding::of(RenewalFinding::TooFewYears, Effect::Stops, null, years: intdiv($rules->leastMonths->value + 11, 12));
        } elseif ($after->isAfter($life->now->plusYears($rules->yearsAhead->value))) {
            $clear = $this->clearOfLimit($after);
            $findings[] = Finding::of(
                RenewalFinding::TooFarAhead,
                Effect::Delays,
                $clear,
                until: $clear,
                years: $rules->yearsAhead->value,
            );
        }
        if ($this->years >= self::VERY_LONG) {
            $findings[] = Finding::of(RenewalFinding::VeryLong, Effect::Worth, null, years: $this->years);
        }
        if ($life->facts->intent === Intent::Lapse) {
            $findings[] = Finding::of(RenewalFinding::MeantToLapse, Effect::Worth, null, ends: $ends);
        }

        return [...$findings, ...$this->aboutAutoRenew()];
    }

    /** The first day from which the new end is no longer too far ahead. */
    private function clearOfLimit(Instant $after): Instant
    {
        $years = $this->life->rules->yearsAhead->value;
        $day = $after->toDay()->plusYears(-$years);
        // From 29 February it is a day or two until the limit reaches it.
        while ($after->isAfter($day->plusYears($years))) {
            $day = $day->plusDays(1);
        }

        return $day;
    }

    /** @return list<Finding> */
    private function aboutAutoRenew(): array
    {
        $charge = $this->life->event(EventKind::Charge)?->at;

        return match (true) {
            $charge === null || $this->life->phase !== Phase::InTerm => [],
            $charge->hasComeAt($this->life->now) => [
                Finding::of(BookFinding::MayBeCharged, Effect::Worth, null, at: $charge),
            ],
            default => [Finding::of(RenewalFinding::RenewsItself, Effect::Worth, null, at: $charge)],
        };
    }

    /** @return list<Finding> */
    private function aboutMoney(): array
    {
        $sum = $this->price();
        if ($sum === null) {
            // A registrar that is told what it may charge can't be told; a person sees it before they pay.
            return [
                Finding::of(
                    RenewalFinding::PriceNotKnown,
                    $this->paying->isTold ? Effect::NotKnown : Effect::Worth,
                    null,
                    registrar: $this->paying->registrar,
                ),
            ];
        }
        $findings = [];
        $late = $this->lateRate();
        if ($late !== null) {
            $findings[] = Finding::of(RenewalFinding::LatePrice, Effect::Worth, null, sum: $late->gross());
        }
        $lacks = $this->paying->lacks($sum);
        if ($lacks !== null) {
            $findings[] = Finding::of(RenewalFinding::BalanceLacks, Effect::Stops, null, account: $this->paying->account, sum: $lacks);
        } elseif ($this->paying->from === PaidFrom::Balance && $this->paying->left?->currency !== $sum->currency) {
            $findings[] = Finding::of(RenewalFinding::BalanceNotKnown, Effect::Worth, null, account: $this->paying->account);
        }
        if ($this->paying->from === PaidFrom::Card && $this->paying->cardEnds?->hasComeAt($this->life->now) === true) {
            $findings[] = Finding::of(
                RenewalFinding::CardExpired,
                Effect::Stops,
                null,
                account: $this->paying->account,
                on: $this->paying->cardEnds,
            );
        }

        return $findings;
    }
}
