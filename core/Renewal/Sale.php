<?php

declare(strict_types=1);

namespace Acre\Core\Renewal;

use Acre\Core\Balance\PaidFrom;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Money\Money;
use Acre\Core\Movement\MovementFinding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Price\Rate;
use Acre\Core\Time\Instant;

/** What is bought for one name at its registrar: whether that can be done, its new end, and what it costs. */
abstract readonly class Sale
{
    /**
     * @param  Rate|null  $rate  of one; null: not known
     * @param  Waiting|null  $underWay  a movement of this name
     * @param  list<Finding>  $seenOutside  where the outside says otherwise, with what that does to it
     */
    public function __construct(
        public Lifecycle $life,
        public ?Rate $rate,
        public Paying $paying,
        public ?Waiting $underWay = null,
        public array $seenOutside = [],
    ) {
    }

    /** @return list<Finding> what is in the way of it, or worth knowing, apart from the money */
    abstract protected function about(): array;

    final public function judge(): Readiness
    {
        $findings = [...$this->aboutTheName(), ...$this->about()];
        // Whoever must leave it out needs no money for it.
        $isHopeless = array_filter($findings, fn (Finding $one): bool => $one->tag->cure() === Cure::LeaveOut) !== [];

        return Readiness::of([...$findings, ...$isHopeless ? [] : $this->aboutMoney(), ...$this->seenOutside], []);
    }

    /** Whether it can be had today, as far as that is no matter of money. */
    final public function isPossible(): bool
    {
        return Readiness::of([...$this->aboutTheName(), ...$this->about()], [])->isClear();
    }

    /** The end that it then has; null: today's is not known. */
    abstract public function endAfter(): ?Instant;

    /** What is paid in the end; null: not known. */
    abstract public function price(): ?Money;

    /** The same before tax, as registries count it. */
    abstract public function fee(): ?Money;

    /** What is paid in the end where no offer holds. */
    abstract public function usualPrice(): ?Money;

    /**
     * What is paid in the end where its registrar charged another fee than agreed.
     *
     * @param  Money  $fee  before tax, as registries count it
     */
    final public function paid(Money $fee): Money
    {
        return match (true) {
            $this->rate === null, $fee->currency !== $this->rate->net->currency => $fee,
            // Of a late fee the tax can be another.
            $this->fee()?->equals($fee) === true => $this->price() ?? $fee,
            default => $fee->withTax($this->rate->taxPercent),
        };
    }

    /** @return list<Finding> */
    private function aboutTheName(): array
    {
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
        } elseif ($this->life->facts->has(Status::PendingTransfer)) {
            $findings[] = Finding::of(RenewalFinding::AlreadyMoving, Effect::Stops);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function aboutOffer(): array
    {
        $offer = $this->rate?->offer;
        if ($offer === null) {
            return [];
        }
        $usual = $this->rate->usual()->gross();

        return [
            $offer->code === null
                ? Finding::of(RenewalFinding::Offered, Effect::Worth, null, usual: $usual)
                : Finding::of(RenewalFinding::OfferedByCode, Effect::Worth, null, usual: $usual, code: $offer->code),
        ];
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
        $findings = $this->aboutOffer();
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
