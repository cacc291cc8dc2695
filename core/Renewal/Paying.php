<?php

declare(strict_types=1);

namespace Acre\Core\Renewal;

use Acre\Core\Balance\PaidFrom;
use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** What a renewal is paid from: the account, and what is left there for this name once those before it are paid. */
final readonly class Paying
{
    /**
     * @param  string  $account  its number
     * @param  bool  $isOurs  whether we can sign in to it
     * @param  bool  $isTold  whether its registrar takes commands, and so is told what may be charged
     * @param  Money|null  $left  of a balance; null: not known, or it pays otherwise
     * @param  Instant|null  $cardEnds  from when its card is no longer good
     * @param  Money|null  $credit  beside a balance, what pays for this name; null: nothing
     */
    public function __construct(
        public string $account,
        public string $registrar,
        public bool $isOurs,
        public bool $isTold,
        public PaidFrom $from = PaidFrom::Balance,
        public ?Money $left = null,
        public ?Instant $cardEnds = null,
        public ?Money $credit = null,
    ) {
    }

    /** What a balance lacks for a sum; null: nothing, as far as is known. */
    public function lacks(Money $sum): ?Money
    {
        if ($this->from !== PaidFrom::Balance || $this->left === null || $this->left->currency !== $sum->currency) {
            return null;
        }
        $lacks = $sum->minus($this->credit === null ? $this->left : $this->left->plus($this->credit));

        return $lacks->isPositive() ? $lacks : null;
    }
}
