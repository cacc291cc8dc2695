<?php

declare(strict_types=1);

namespace Acre\Core\Price;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** What one of a currency was worth in another on a day, as somebody wrote it down: good for comparing, not for paying. */
final readonly class Exchange
{
    /** Decimals of a rate that is turned round. */
    private const DECIMALS = 12;

    /**
     * @param  list<array{string, string, string, Instant}>  $rates  from, to, how many of those one is worth, and on which day; the
     *     first of two counts
     */
    public function __construct(private array $rates)
    {
    }

    /** Null: nobody wrote down a rate. */
    public function convert(Money $sum, string $to): ?Money
    {
        $rate = $sum->currency === $to ? '1' : $this->between($sum->currency, $to)[0] ?? null;

        return $rate === null ? null : Money::rounded((string) BigDecimal::of($sum->decimal())->multipliedBy($rate)->toScale(
            self::DECIMALS,
            RoundingMode::HALF_UP,
        ), $to);
    }

    /** The same rate in another currency, with what is offered now; null: nobody wrote down what that is worth. */
    public function rate(Rate $rate, string $to): ?Rate
    {
        if ($rate->net->currency === $to) {
            return $rate;
        }
        [$usual, $now] = [$this->convert($rate->usual()->net(), $to), $this->convert($rate->net(), $to)];

        return $usual === null || $now === null
            ? null
            : (new Rate($usual, $rate->taxPercent))->with($rate->offer === null ? [] : [
                Offer::price($now, $rate->offer->isFirstOnly, $rate->offer->code, $rate->offer->until),
            ]);
    }

    /** @return array{string, Instant}|null how many of the second one of the first is worth, and since when that stands written */
    public function between(string $from, string $to): ?array
    {
        foreach ($this->rates as [$one, $other, $rate, $on]) {
            if ($one === $from && $other === $to) {
                return [$rate, $on];
            }
            if ($one === $to && $other === $from) {
                return [(string) BigDecimal::one()->dividedBy($rate, self::DECIMALS, RoundingMode::HALF_UP), $on];
            }
        }

        return null;
    }
}
