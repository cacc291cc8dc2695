<?php

declare(strict_types=1);

namespace Acre\Core\Price;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;

/** What a registrar asks for a while, or to whoever has a code, instead of its list price. */
final readonly class Offer
{
    /**
     * @param  string|null  $percent  that is taken off, such as `20`; null: it has a price of its own
     * @param  Money|null  $yearly  before tax, for a year or a time; null: it takes a share off
     * @param  bool  $isFirstOnly  whether it holds for the first year of what is bought alone
     * @param  string|null  $code  without which it doesn't hold; null: it holds for everybody
     * @param  Instant|null  $until  not included; null: until further notice
     */
    private function __construct(
        public ?string $percent,
        public ?Money $yearly,
        public bool $isFirstOnly,
        public ?string $code,
        public ?Instant $until,
    ) {
    }

    public static function percent(string $percent, bool $isFirstOnly = false, ?string $code = null, ?Instant $until = null): self
    {
        return new self($percent, null, $isFirstOnly, $code, $until);
    }

    public static function price(Money $yearly, bool $isFirstOnly = false, ?string $code = null, ?Instant $until = null): self
    {
        return new self(null, $yearly, $isFirstOnly, $code, $until);
    }

    /** Whether it can hold beside a list price: a price in another currency can't. */
    public function fits(Money $listed): bool
    {
        return $this->yearly === null || $this->yearly->currency === $listed->currency;
    }

    /**
     * What so many years cost before tax.
     *
     * @param  Money  $listed  one of them, by the list
     */
    public function net(Money $listed, int $times): Money
    {
        $one = $this->yearly ?? $listed->changedBy('-'.($this->percent ?? '0'));

        return $this->isFirstOnly ? $one->plus($listed->times($times - 1)) : $one->times($times);
    }
}
