<?php

declare(strict_types=1);

namespace App\Queries\Almanac;

use Acre\Core\Balance\Charge;
use Acre\Core\Balance\Entry;
use Acre\Core\Balance\Forecast;
use Acre\Core\Balance\Purse;
use Acre\Core\Balance\SmallestTopUps;
use Acre\Core\Balance\TopUp;
use Acre\Core\Balance\TopUpLimits;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Queries\Money\AccountPurse;

/** One account run forward, in one currency. */
final readonly class AccountRun
{
    /**
     * @param  list<Charge>  $charges  all that come there
     * @param  Forecast  $forecast  where nobody knows its balance, as if everything could be paid
     * @param  bool  $isKnown  whether its money is known
     * @param  list<Entry>  $entries  those that are shown
     * @param  list<Charge>  $due  the charges that are shown, whether the money is there or not
     */
    public function __construct(
        public AccountPurse $account,
        public string $currency,
        public array $charges,
        public Forecast $forecast,
        public bool $isKnown,
        public array $entries,
        public array $due,
    ) {
    }

    /** What must be paid in at least, so that nothing is refused in the span; from tomorrow on, and not at weekends. */
    public function topUps(Instant $now): SmallestTopUps
    {
        return SmallestTopUps::of($this->purse(), $this->charges, $this->limits($now));
    }

    /** @return array<int, TopUp> by the first second of each day, the one that carries all charges until then */
    public function topUpsUntil(Instant $now): array
    {
        return SmallestTopUps::untilEach($this->purse(), $this->charges, $this->limits($now));
    }

    private function purse(): Purse
    {
        return ($this->isKnown ? $this->account->purse($this->currency) : null) ?? $this->forecast->purse;
    }

    private function limits(Instant $now): TopUpLimits
    {
        $penny = Money::ofMinor(1, $this->currency);

        return new TopUpLimits($now->toDay()->plusDays(1), $penny, $penny, quietWeekdays: [6, 7]);
    }
}
