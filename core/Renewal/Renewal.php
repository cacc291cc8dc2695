<?php

declare(strict_types=1);

namespace Acre\Core\Renewal;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Term;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Money\Money;
use Acre\Core\Price\Rate;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Rescue;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;

/** One name that is to be renewed for some years. */
final readonly class Renewal extends Sale
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
        Lifecycle $life,
        public int $years,
        ?Rate $rate,
        public ?Rate $late,
        Paying $paying,
        ?Waiting $underWay = null,
        array $seenOutside = [],
    ) {
        parent::__construct($life, $rate, $paying, $underWay, $seenOutside);
    }

    protected function about(): array
    {
        return [...$this->aboutStatuses(), ...$this->aboutTheTerm(), ...$this->aboutBeingLate()];
    }

    public function endAfter(): ?Instant
    {
        $facts = $this->life->facts;

        return $facts->ends === null ? null : Term::extend($facts->created, $facts->ends, 12 * $this->years);
    }

    public function price(): ?Money
    {
        return $this->withLate($this->rate?->gross($this->years), $this->lateRate()?->gross());
    }

    public function fee(): ?Money
    {
        return $this->withLate($this->rate?->net($this->years), $this->lateRate()?->net());
    }

    public function usualPrice(): ?Money
    {
        return $this->withLate($this->rate?->usual()->gross($this->years), $this->lateRate()?->gross());
    }

    private function withLate(?Money $sum, ?Money $late): ?Money
    {
        return $sum === null || $late === null ? $sum : $sum->plus($late);
    }

    /** What is asked on top today; null: nothing. */
    private function lateRate(): ?Rate
    {
        return $this->life->phase->isLate() && ! $this->life->isPlainToday() && $this->late?->net->currency === $this->rate?->net->currency
            ? $this->late
            : null;
    }

    /** @return list<Finding> */
    private function aboutStatuses(): array
    {
        return $this->life->facts->has(Status::ClientRenewProhibited, Status::ServerRenewProhibited, Status::PendingRenew)
            ? [Finding::of(RenewalFinding::Prohibited, Effect::Stops)]
            : [];
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
    private function aboutBeingLate(): array
    {
        $late = $this->lateRate();

        return $late === null ? [] : [Finding::of(RenewalFinding::LatePrice, Effect::Worth, null, sum: $late->gross())];
    }
}
