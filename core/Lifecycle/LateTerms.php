<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** A registrar's own terms around a name's end, and its prices for this name; null is not known. */
final readonly class LateTerms
{
    /** Days before the end: a bound of ours for what is typed. Common practice is none to thirty. */
    public const MOST_LEAD = 90;

    /** Beyond any number of days that is counted here. */
    private const MANY = 4_096;

    /** The same for all terms that make the same plan of a term's end. */
    public int $plan;

    /**
     * @param  int  $chargeLead  days before the end on which an auto-renewal is charged
     * @param  int|null  $darkAfter  days after the end until the name stops answering
     * @param  int|null  $plainAfter  days after the end in which the plain price still holds
     * @param  int|null  $lateUntil  days after the end in which the registrar renews at all
     * @param  int  $askLead  days before the end by which a client must have said what they want
     * @param  Money|null  $late  what is asked on top of the renewal after the plain days
     */
    public function __construct(
        public int $chargeLead = 0,
        public ?int $darkAfter = null,
        public ?int $plainAfter = null,
        public ?int $lateUntil = null,
        public int $askLead = 14,
        public ?Money $renew = null,
        public ?Money $late = null,
        public ?Money $restore = null,
    ) {
        $plan = $restore === null ? 0 : 1;
        foreach ([$chargeLead, $askLead, $darkAfter, $plainAfter, $lateUntil] as $days) {
            $plan = $plan * self::MANY + ($days ?? self::MANY - 1);
        }
        $this->plan = $plan;
    }

    /** When an auto-renewal is charged ahead of the end of a term; null: at the end itself. */
    public function chargedAhead(Instant $ends): ?Instant
    {
        return $this->chargeLead === 0 ? null : $ends->plusDays(-$this->chargeLead);
    }

    /** The same, where the registrar renews for as long as the registry does. */
    public function uncut(): self
    {
        return new self(
            $this->chargeLead,
            $this->darkAfter,
            $this->plainAfter,
            null,
            $this->askLead,
            $this->renew,
            $this->late,
            $this->restore,
        );
    }

    /** Renewing after the plain days: the renewal and the late fee. */
    public function lateSum(): ?Money
    {
        return $this->renew === null || $this->late === null || $this->renew->currency !== $this->late->currency
            ? null
            : $this->renew->plus($this->late);
    }
}
